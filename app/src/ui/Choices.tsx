import { StyleSheet, View } from "react-native";
import type { IconShape } from "./icons";
import { useColors } from "./face";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface ChoicesProps<T extends string> {
  /** What is chosen, for screen readers. */
  label: string;
  options: readonly { value: T; label: string; icon?: IconShape }[];
  value: T | null;
  onChoose: (value: T) => void;
  /** Side by side in equal widths instead of wrapping. */
  even?: boolean;
  /** They may be others in a moment: none can be chosen until then. */
  disabled?: boolean;
  testID?: string;
}

/** One of a few, each a thumb wide. The chosen one is filled and says so. */
export function Choices<T extends string>({
  label,
  options,
  value,
  onChoose,
  even = false,
  disabled = false,
  testID,
}: ChoicesProps<T>) {
  const colors = useColors();
  return (
    <View role="radiogroup" aria-label={label} style={[styles.row, !even && styles.wrap]} testID={testID}>
      {options.map(({ value: option, label: name, icon: Icon }) => {
        const isChosen = option === value;
        return (
          <Press
            key={option}
            role="radio"
            label={name}
            aria-checked={isChosen}
            disabled={disabled}
            aria-disabled={disabled}
            onPress={() => onChoose(option)}
            style={[
              styles.option,
              even && styles.even,
              {
                borderColor: isChosen ? colors.petrol : colors.muted,
                backgroundColor: isChosen ? colors.petrol : colors.paper,
              },
            ]}
          >
            <View style={[styles.inside, even && Icon ? styles.stacked : undefined]}>
              {Icon ? <Icon size={20} color={isChosen ? colors.onPetrol : colors.ink} /> : null}
              <Words tone={isChosen ? "onPetrol" : "ink"} strong={isChosen} align="center">
                {name}
              </Words>
            </View>
          </Press>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.s },
  wrap: { flexWrap: "wrap" },
  option: {
    borderWidth: 1.5,
    borderRadius: 4,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.xs,
    maxWidth: "100%",
  },
  even: { flex: 1, paddingHorizontal: SPACE.xs },
  inside: { flexDirection: "row", gap: 6, alignItems: "center", justifyContent: "center" },
  stacked: { flexDirection: "column", gap: 2 },
});
