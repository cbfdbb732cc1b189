import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { Check } from "./icons";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface TogglesProps {
  /** What is chosen, for screen readers. */
  label: string;
  options: readonly { value: string; label: string }[];
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}

/** Some of many, each a thumb wide; those that are chosen are filled and have a mark. */
export function Toggles({ label, options, chosen, onChange }: TogglesProps) {
  const colors = useColors();
  return (
    <View role="group" aria-label={label} style={styles.list}>
      {options.map(({ value, label: name }) => {
        const isChosen = chosen.includes(value);
        return (
          <Press
            key={value}
            role="checkbox"
            label={name}
            aria-checked={isChosen}
            onPress={() => onChange(isChosen ? chosen.filter((other) => other !== value) : [...chosen, value])}
            style={[
              styles.option,
              {
                borderColor: isChosen ? colors.petrol : colors.muted,
                backgroundColor: isChosen ? colors.petrol : colors.paper,
              },
            ]}
          >
            <View style={styles.inside}>
              {isChosen ? <Check size={18} color={colors.onPetrol} strokeWidth={3} /> : null}
              <Words tone={isChosen ? "onPetrol" : "ink"} strong={isChosen}>
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
  list: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  option: {
    borderWidth: 1.5,
    borderRadius: 4,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.xs,
    maxWidth: "100%",
  },
  inside: { flexDirection: "row", gap: 6, alignItems: "center" },
});
