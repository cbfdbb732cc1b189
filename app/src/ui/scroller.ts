import { createContext, useContext, type RefObject } from "react";
import type { ScrollView } from "react-native";

/** What scrolls the screen something is on. */
export const ScrollerSlot = createContext<RefObject<ScrollView | null> | null>(null);

/** The element that scrolls, where there is a page. */
export function scrollElement(scroller: RefObject<ScrollView | null> | null): HTMLElement | null {
  const node: unknown = scroller?.current?.getScrollableNode?.();
  return typeof HTMLElement !== "undefined" && node instanceof HTMLElement ? node : null;
}

export function useScroller(): RefObject<ScrollView | null> | null {
  return useContext(ScrollerSlot);
}
