import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { SPACE } from "./theme";
import { Words, type WordsProps } from "./Words";

export interface RowProps {
  left: string;
  right: string;
  strong?: boolean;
  tone?: WordsProps["tone"];
  rule?: boolean;
}

/** A label and its figure on one line. */
export function Row({ left, right, strong = false, tone = "ink", rule = false }: RowProps) {
  const colors = useColors();
  return (
    <View style={[styles.row, rule && { borderTopWidth: 1, borderColor: colors.ink, paddingTop: SPACE.xs }]}>
      <Words strong={strong} tone={tone} style={styles.left}>
        {left}
      </Words>
      <Words strong={strong} tone={tone} figures align="right">
        {right}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: "row", gap: SPACE.m }, left: { flex: 1 } });
