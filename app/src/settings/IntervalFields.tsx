import type { Control, FieldPath, FieldValues } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";

export interface IntervalFieldsProps<Fields extends FieldValues, Read> {
  control: Control<Fields, unknown, Read>;
  miles: FieldPath<Fields>;
  months: FieldPath<Fields>;
  /** Which service, where several are on the screen. */
  of?: string;
}

/** How often a service is due: by miles, by months, or by whichever comes first. */
export function IntervalFields<Fields extends FieldValues, Read>({
  control,
  miles,
  months,
  of,
}: IntervalFieldsProps<Fields, Read>) {
  const label = (unit: string): string => (of === undefined ? unit : `${unit}, ${of}`);
  return (
    <View style={styles.row}>
      <FormField
        control={control}
        name={miles}
        label={label("Miles")}
        inputMode="numeric"
        maxLength={7}
        style={styles.grow}
      />
      <FormField
        control={control}
        name={months}
        label={label("Months")}
        inputMode="numeric"
        maxLength={3}
        style={styles.grow}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.m },
  grow: { flex: 1 },
});
