import { StyleSheet, View } from "react-native";
import { Press } from "../ui/Press";
import { useColors } from "../ui/face";
import { MIN_TARGET, SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface JobOptionsProps<Option> {
  /** The job they are of. */
  title: string;
  options: readonly Option[];
  onChoose: (option: Option) => void;
}

/** Where a job is done, or in which quality: one tap adds it so. */
export function JobOptions<Option extends { key: string; label: string }>({
  title,
  options,
  onChoose,
}: JobOptionsProps<Option>) {
  const colors = useColors();
  if (options.length === 0) return null;
  return (
    <View style={styles.options}>
      {options.map((option) => (
        <Press
          key={option.key}
          label={`Add ${title}, ${option.label}`}
          onPress={() => onChoose(option)}
          style={[styles.option, { borderColor: colors.muted }]}
        >
          <Words size="small" tone="petrol" figures strong>
            {option.label}
          </Words>
        </Press>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  options: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, paddingVertical: SPACE.xs },
  option: {
    borderWidth: 1,
    borderRadius: 6,
    paddingHorizontal: SPACE.m,
    minHeight: MIN_TARGET,
    justifyContent: "center",
  },
});
