import { StyleSheet, View } from "react-native";
import { Press } from "../ui/Press";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { JobOptions } from "./JobOptions";

interface ChoiceRowProps<Option> {
  title: string;
  /** As it is called in "Add …". */
  spoken: string;
  /** Why it is offered, or why it is not. */
  why: string;
  /** What it costs or takes; null: nothing to say. */
  figure: string | null;
  isOffered: boolean;
  /** Adds it as it stands; null: one of the options says where it is done. */
  onAdd: (() => void) | null;
  options: readonly Option[];
  onChoose: (option: Option) => void;
}

/** Something to put on the quote with one tap: as it stands, or by one of its options. */
export function ChoiceRow<Option extends { key: string; label: string }>({
  title,
  spoken,
  why,
  figure,
  isOffered,
  onAdd,
  options,
  onChoose,
}: ChoiceRowProps<Option>) {
  const colors = useColors();
  const head = (
    <View style={styles.row}>
      <View style={styles.grow}>
        <Words strong tone={!isOffered ? "muted" : onAdd ? "petrol" : "ink"}>
          {title}
        </Words>
        <Words size="small" tone="muted">
          {why}
        </Words>
      </View>
      {figure === null ? null : <Words figures>{figure}</Words>}
    </View>
  );
  return (
    <View style={[styles.line, { borderColor: colors.hairline }]}>
      {isOffered && onAdd ? (
        <Press label={`Add ${spoken}`} onPress={onAdd}>
          {head}
        </Press>
      ) : (
        <View style={styles.still}>{head}</View>
      )}
      {isOffered ? <JobOptions title={spoken} options={options} onChoose={onChoose} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.m },
  grow: { flex: 1 },
  still: { paddingVertical: SPACE.s },
});
