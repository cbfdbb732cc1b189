import { useEffect, type ReactNode } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { SPACE } from "./theme";

export interface ScreenProps {
  /** Name of the page, for the window and screen readers. */
  title: string;
  children: ReactNode;
  /** Keeps lines short on a wide screen: for what is read, not worked on. */
  measured?: boolean;
  /** Stays at the foot: the next act. */
  foot?: ReactNode;
}

/** One screen: what scrolls, and the foot under the thumb. */
export function Screen({ title, children, foot, measured = false }: ScreenProps) {
  const colors = useColors();
  useEffect(() => {
    if (typeof document !== "undefined") document.title = `${title} · Mechanon`;
  }, [title]);
  return (
    <View role="main" style={[styles.screen, { backgroundColor: colors.paper }]}>
      <ScrollView
        style={styles.scroll}
        contentContainerStyle={[styles.content, measured && styles.measured]}
        keyboardShouldPersistTaps="handled"
      >
        {children}
      </ScrollView>
      {foot ? (
        <View style={[styles.foot, { borderColor: colors.hairline, backgroundColor: colors.paper }]}>
          <View style={[styles.acts, measured && styles.measured]}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

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
