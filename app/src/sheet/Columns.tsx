import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";

/** What is done, and what one looks up, beside each other where there is room; below each other on a phone. */
export function Columns({ main, side }: { main: ReactNode; side: ReactNode }) {
  const isWide = useIsWide();
  return (
    <View style={isWide ? styles.columns : undefined}>
      <View style={isWide ? styles.main : undefined}>{main}</View>
      <View style={isWide ? styles.side : undefined}>{side}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: "row", gap: SPACE.xxl },
  main: { flex: 3, minWidth: 0 },
  side: { flex: 2, minWidth: 0 },
});
