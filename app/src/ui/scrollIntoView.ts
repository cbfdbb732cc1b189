import type { View } from "react-native";

/** Brings into sight what a press has opened, as little as it takes; where there is no page to scroll, nothing. */
export function scrollIntoView(view: View | null): void {
  const element: unknown = view;
  if (typeof HTMLElement === "undefined" || !(element instanceof HTMLElement)) return;
  element.scrollIntoView({ block: "nearest", behavior: "smooth" });
}
