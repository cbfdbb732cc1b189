import { useVirtualizer } from "@tanstack/react-virtual";
import {
  createElement,
  useEffect,
  useLayoutEffect,
  useMemo,
  useReducer,
  useRef,
  useState,
  type ReactNode,
} from "react";
import { View } from "react-native";
import { scrollElement, useScroller } from "./scroller";

export interface LongListProps<Item> {
  items: readonly Item[];
  keyOf: (item: Item) => string;
  /** The same function each time: a row is drawn anew when its item is another. */
  draw: (item: Item) => ReactNode;
  label: string;
  /** About how high one is, in pixels; each is measured as it is drawn. */
  itemHeight: number;
  /** The end is near: more may be asked for. */
  onEnd?: () => void;
}

/** So many are drawn whole: the browser finds words in them, and nothing moves. */
const MOST_WHOLE = 60;

/** A list that is drawn as far as it is seen, however long it is; it scrolls with its screen. */
export function LongList<Item>(props: LongListProps<Item>) {
  const { items, keyOf, draw, label, onEnd } = props;
  if (items.length > MOST_WHOLE) return <Seen {...props} />;
  return (
    <>
      <View role="list" aria-label={label}>
        {items.map((item) => (
          <View role="listitem" key={keyOf(item)}>
            {draw(item)}
          </View>
        ))}
      </View>
      <End onEnd={onEnd} />
    </>
  );
}

function Seen<Item>({ items, keyOf, draw, label, itemHeight, onEnd }: LongListProps<Item>) {
  // The virtualizer changes in place, which a compiled component would not notice.
  "use no memo";
  const scroller = useScroller();
  const box = useRef<HTMLDivElement>(null);
  const [margin, setMargin] = useState(0);
  const virtualizer = useVirtualizer({
    count: items.length,
    getScrollElement: () => scrollElement(scroller),
    estimateSize: () => itemHeight,
    getItemKey: (index) => {
      const item = items[index];
      return item === undefined ? index : keyOf(item);
    },
    // An element that scrolls a screen has React Native's `scrollTo`, which takes other words.
    scrollToFn: (offset, { adjustments = 0 }) => {
      const element = scrollElement(scroller);
      if (element) element.scrollTop = offset + adjustments;
    },
    scrollMargin: margin,
    overscan: 6,
  });
  // Drawn together with its screen, it is there before what scrolls it can be asked for: once more, then.
  const [, drawAgain] = useReducer((times: number) => times + 1, 0);
  useEffect(drawAgain, [drawAgain]);
  // What stands above the list may have changed its height.
  // eslint-disable-next-line react-hooks/exhaustive-deps -- after each drawing, and settled after one more
  useLayoutEffect(() => {
    const element = scrollElement(scroller);
    if (!element || !box.current) return;
    const top = box.current.getBoundingClientRect().top - element.getBoundingClientRect().top + element.scrollTop;
    if (Math.abs(top - margin) > 1) setMargin(top);
  });
  const rows = virtualizer.getVirtualItems().map(({ index, key, start }) => {
    const item = items[index];
    if (item === undefined) return null;
    return createElement(
      "div",
      {
        key,
        ref: virtualizer.measureElement,
        "data-index": index,
        role: "listitem",
        "aria-setsize": items.length,
        "aria-posinset": index + 1,
        style: { position: "absolute", top: 0, left: 0, right: 0, transform: `translateY(${start - margin}px)` },
      },
      createElement(Row<Item>, { item, draw }),
    );
  });
  return (
    <>
      {createElement(
        "div",
        {
          ref: box,
          role: "list",
          "aria-label": label,
          style: { position: "relative", height: virtualizer.getTotalSize() },
        },
        rows,
      )}
      <End onEnd={onEnd} />
    </>
  );
}

/** By itself, so that scrolling draws only what comes into sight. */
function Row<Item>({ item, draw }: Pick<LongListProps<Item>, "draw"> & { item: Item }) {
  return useMemo(() => draw(item), [draw, item]);
}

/** How far ahead of the end more is asked for. */
const AHEAD = "600px";

/** Tells when the end of the list comes near. */
function End({ onEnd }: { onEnd: (() => void) | undefined }) {
  const mark = useRef<View>(null);
  const told = useRef(onEnd);
  useEffect(() => {
    told.current = onEnd;
  });
  const isWatched = onEnd !== undefined;
  const scroller = useScroller();
  useEffect(() => {
    const element: unknown = mark.current;
    if (!isWatched || typeof IntersectionObserver === "undefined" || !(element instanceof Element)) return;
    const observer = new IntersectionObserver(([entry]) => (entry?.isIntersecting ? told.current?.() : undefined), {
      root: scrollElement(scroller),
      rootMargin: AHEAD,
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [isWatched, scroller]);
  return isWatched ? <View ref={mark} /> : null;
}
