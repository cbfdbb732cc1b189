import { useEffect, type ReactNode } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { SPACE } from "./theme";

export interface ScreenProps {
  /** Name of the page, for the window and screen readers. */
  title: string;
  children: ReactNode;
  /** Stays at the foot: the next act. */
  foot?: ReactNode;
}

/** One screen: what scrolls, and the foot under the thumb. */
export function Screen({ title, children, foot }: ScreenProps) {
  const colors = useColors();
  useEffect(() => {
    if (typeof document !== "undefined") document.title = `${title} · Mechanon`;
  }, [title]);
  return (
    <View role="main" style={[styles.screen, { backgroundColor: colors.paper }]}>
      <ScrollView style={styles.scroll} contentContainerStyle={styles.content} keyboardShouldPersistTaps="handled">
        {children}
      </ScrollView>
      {foot ? <View style={[styles.foot, { borderColor: colors.hairline, backgroundColor: colors.paper }]}>{foot}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minWidth: 0 },
  scroll: { flex: 1 },
  content: { padding: SPACE.l, gap: SPACE.m, paddingBottom: SPACE.xxl },
  foot: { borderTopWidth: 1, paddingHorizontal: SPACE.l, paddingVertical: SPACE.s, gap: SPACE.xs },
});
