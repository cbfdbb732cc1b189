import { StyleSheet, View } from "react-native";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** How far something is that takes a while, and what it is; the page can be left meanwhile. */
export function ImportProgress({ label, done, total }: { label: string; done: number; total: number }) {
  const colors = useColors();
  const percent = total === 0 ? 0 : Math.min(100, Math.round((done / total) * 100));
  return (
    <View style={styles.box}>
      <Words figures aria-live="polite">
        {label}
      </Words>
      <View
        role="progressbar"
        aria-label={label}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        style={[styles.track, { backgroundColor: colors.inset }]}
      >
        <View style={[styles.bar, { backgroundColor: colors.petrol, width: `${percent}%` }]} />
      </View>
      <Words size="small" tone="muted">
        It goes on by itself; this page can be left.
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.xs },
  track: { height: 12, borderRadius: 4, overflow: "hidden" },
  bar: { height: 12 },
});
