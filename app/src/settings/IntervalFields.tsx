import { StyleSheet, View } from "react-native";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { intervalFault } from "./intervalFault";

export interface IntervalFieldsProps {
  /** As typed. */
  miles: string;
  months: string;
  onChange: (typed: { miles?: string; months?: string }) => void;
  /** Which service, where several are on the screen. */
  of?: string;
}

/** How often a service is due: by miles, by months, or by whichever comes first. */
export function IntervalFields({ miles, months, onChange, of }: IntervalFieldsProps) {
  const label = (unit: string): string => (of === undefined ? unit : `${unit}, ${of}`);

  return (
    <View style={styles.row}>
      <Field
        label={label("Miles")}
        value={miles}
        onChangeText={(typed) => onChange({ miles: typed })}
        error={intervalFault("miles", miles)}
        inputMode="numeric"
        maxLength={7}
        style={styles.grow}
      />
      <Field
        label={label("Months")}
        value={months}
        onChangeText={(typed) => onChange({ months: typed })}
        error={intervalFault("months", months)}
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
