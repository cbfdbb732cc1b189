import { ChevronDown, ChevronRight } from "./icons";
import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface FoldProps {
  title: string;
  /** The line that still says what matters when it is folded. */
  line: string;
  open: boolean;
  onToggle: () => void;
  children: ReactNode;
  testID?: string;
}

/** A part of the sheet: folds to one line, stands open where something is to be done. */
export function Fold({ title, line, open, onToggle, children, testID }: FoldProps) {
  const colors = useColors();
  const Arrow = open ? ChevronDown : ChevronRight;
  return (
    <View style={[styles.part, { borderColor: colors.hairline }]} testID={testID} nativeID={testID}>
      <View role="heading" aria-level={2}>
        <Press label={`${title}, ${line}`} aria-expanded={open} onPress={onToggle}>
          <View style={styles.head}>
            <Words strong style={styles.title}>
              {title}
            </Words>
            <Words tone="muted" figures style={styles.line} numberOfLines={2} align="right">
              {line}
            </Words>
            <Arrow size={20} color={colors.muted} />
          </View>
        </Press>
      </View>
      {open ? <View style={styles.body}>{children}</View> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { borderBottomWidth: 1 },
  head: { flexDirection: "row", alignItems: "center", gap: SPACE.s, paddingVertical: SPACE.xs },
  title: { flexShrink: 0 },
  line: { flex: 1 },
  body: { paddingBottom: SPACE.l, gap: SPACE.m },
});
