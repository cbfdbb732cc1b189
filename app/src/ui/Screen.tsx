import { useEffect, useRef, useState, type ReactNode } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { FOLDED_HEAD_HEIGHT, FoldedHead } from "./FoldedHead";
import { ScrollerSlot, scrollElement } from "./scroller";
import { SPACE } from "./theme";

export interface ScreenProps {
  /** Name of the page, for the window and screen readers. */
  title: string;
  children: ReactNode;
  /** Keeps lines short on a wide screen: for what is read, not worked on. */
  measured?: boolean;
  /** Stays at the foot: the next act. */
  foot?: ReactNode;
  /** Of a sheet: what it is about, in one line, while its head is scrolled out of sight. */
  foldedHead?: string;
}

/** One screen: what scrolls, and the foot under the thumb. */
export function Screen({ title, children, foot, foldedHead, measured = false }: ScreenProps) {
  const colors = useColors();
  const scroller = useRef<ScrollView>(null);
  const [isFolded, setFolded] = useState(false);
  useEffect(() => {
    const element = scrollElement(scroller);
    // What is brought into sight, by a touch or by the keyboard, is not brought under the folded head.
    if (element && foldedHead !== undefined) element.style.scrollPaddingTop = `${FOLDED_HEAD_HEIGHT + SPACE.s}px`;
  }, [foldedHead]);
  useEffect(() => {
    if (typeof document !== "undefined") document.title = `${title} · Mechanon`;
  }, [title]);
  return (
    <View role="main" style={[styles.screen, { backgroundColor: colors.paper }]}>
      <ScrollView
        ref={scroller}
        onScroll={
          foldedHead === undefined
            ? undefined
            : ({ nativeEvent }) => setFolded(nativeEvent.contentOffset.y > HEAD_OUT_OF_SIGHT)
        }
        scrollEventThrottle={100}
        style={styles.scroll}
        contentContainerStyle={[styles.content, measured && styles.measured]}
        keyboardShouldPersistTaps="handled"
      >
        <ScrollerSlot.Provider value={scroller}>{children}</ScrollerSlot.Provider>
      </ScrollView>
      {isFolded && foldedHead !== undefined ? (
        <FoldedHead words={foldedHead} onTop={() => scroller.current?.scrollTo({ y: 0, animated: true })} />
      ) : null}
      {foot ? (
        <View style={[styles.foot, { borderColor: colors.hairline, backgroundColor: colors.paper }]}>
          <View style={[styles.acts, measured && styles.measured]}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

/** How far a sheet is scrolled when its name is out of sight, in pixels. */
const HEAD_OUT_OF_SIGHT = 80;

/** About 70 letters of body text. */
const MEASURE = 680;

const styles = StyleSheet.create({
  measured: { maxWidth: MEASURE, width: "100%", alignSelf: "center" },
  acts: { gap: SPACE.xs },
  screen: { flex: 1, minWidth: 0 },
  scroll: { flex: 1 },
  content: { padding: SPACE.l, gap: SPACE.m, paddingBottom: SPACE.xxl },
  foot: { borderTopWidth: 1, paddingHorizontal: SPACE.l, paddingVertical: SPACE.s, gap: SPACE.xs },
});
