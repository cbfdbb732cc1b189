import { showMeasure } from "@mechanon/core";
import { Minus, Plus } from "./icons";
import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface StepperProps {
  label: string;
  value: number;
  unit: string;
  step: number;
  least?: number;
  most?: number;
  onChange: (value: number) => void;
}

/** A number changed by steps instead of typing. */
export function Stepper({ label, value, unit, step, least = 0, most = Infinity, onChange }: StepperProps) {
  const colors = useColors();
  // Steps of tenths add up without the dust of binary fractions.
  const move = (direction: 1 | -1): void =>
    onChange(Math.min(most, Math.max(least, Math.round((value + direction * step) * 10_000) / 10_000)));
  return (
    <View style={styles.row} role="group" aria-label={label}>
      <Press label={`${label} less`} onPress={() => move(-1)} style={[styles.end, { borderColor: colors.petrol }]}>
        <Minus size={22} color={colors.petrol} />
      </Press>
      <Words figures strong align="center" style={styles.value} aria-live="polite">
        {showMeasure(value, unit)}
      </Words>
      <Press label={`${label} more`} onPress={() => move(1)} style={[styles.end, { borderColor: colors.petrol }]}>
        <Plus size={22} color={colors.petrol} />
      </Press>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.xs },
  end: { borderWidth: 1.5, borderRadius: 4, alignItems: "center" },
  value: { minWidth: 76 },
});
