import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { SPACE } from "./theme";

/** A quiet stand-in where a list is about to be. */
export function WaitingRows({ label, rows = 4 }: { label: string; rows?: number }) {
  const colors = useColors();
  return (
    <View role="status" aria-label={label} style={styles.box}>
      {Array.from({ length: rows }, (_, index) => (
        <View key={index} style={[styles.bar, { backgroundColor: colors.inset, width: `${90 - index * 12}%` }]} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.m, paddingVertical: SPACE.l },
  bar: { height: 20, borderRadius: 4 },
});
