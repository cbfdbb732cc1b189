import type { View } from "react-native";

/** Brings into sight what a press has opened, as little as it takes; where there is no page to scroll, nothing. */
export function scrollIntoView(view: View | null): void {
  scroll(view, "nearest");
}

/** Brings what is about to be drawn to the top of what is seen, by its native id. */
export function scrollToTop(nativeId: string): void {
  if (typeof document === "undefined") return;
  requestAnimationFrame(() => scroll(document.getElementById(nativeId), "start"));
}

/** Brings something into the middle of what is seen, at once: a thumb waits for it. */
export function keepInSight(nativeId: string): void {
  if (typeof document === "undefined") return;
  requestAnimationFrame(() => {
    document.getElementById(nativeId)?.scrollIntoView({ block: "center", behavior: "auto" });
  });
}

function scroll(element: unknown, block: ScrollLogicalPosition): void {
  if (typeof HTMLElement === "undefined" || !(element instanceof HTMLElement)) return;
  const isCalm = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
  element.scrollIntoView({ block, behavior: isCalm ? "auto" : "smooth" });
}
