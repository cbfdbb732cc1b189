import { StyleSheet, View } from "react-native";
import { POWER_TITLES, VEHICLE_CLASS_TITLES, type LaborRate } from "@mechanon/core";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Ticks } from "../ui/Ticks";

type When = LaborRate["when"];

const SINGLES = [
  ["isDiagnosis", "Diagnosis"],
  ["isAfterHours", "After hours"],
  ["hasCustomersPart", "The customer brings a part"],
] as const satisfies readonly [keyof When, string][];

/** When a rate stands by itself: all that is ticked has to be so. */
export function RateWhen({ when, onChange }: { when: When; onChange: (when: When) => void }) {
  return (
    <>
      <View style={styles.ticks}>
        {SINGLES.map(([key, label]) => (
          <Tick key={key} label={label} value={when[key]} onChange={(on) => onChange({ ...when, [key]: on })} />
        ))}
      </View>
      <Ticks
        title="Only these vehicles"
        titles={VEHICLE_CLASS_TITLES}
        chosen={when.vehicleClasses}
        onChange={(vehicleClasses) => onChange({ ...when, vehicleClasses })}
      />
      <Ticks
        title="Only these drives"
        titles={POWER_TITLES}
        chosen={when.powers}
        onChange={(powers) => onChange({ ...when, powers })}
      />
    </>
  );
}

const styles = StyleSheet.create({ ticks: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l } });
