import { StyleSheet, View } from "react-native";
import { Check } from "./icons";
import { useColors } from "./face";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface TickProps {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

/** Yes or no, with its words beside it. */
export function Tick({ label, value, onChange }: TickProps) {
  const colors = useColors();
  return (
    <Press role="checkbox" label={label} aria-checked={value} onPress={() => onChange(!value)}>
      <View style={styles.row}>
        <View
          style={[
            styles.box,
            {
              borderColor: value ? colors.petrol : colors.muted,
              backgroundColor: value ? colors.petrol : colors.paper,
            },
          ]}
        >
          {value ? <Check size={20} color={colors.onPetrol} strokeWidth={3} /> : null}
        </View>
        <Words style={styles.words}>{label}</Words>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.m },
  box: { width: 28, height: 28, borderWidth: 2, borderRadius: 4, alignItems: "center", justifyContent: "center" },
  words: { flex: 1 },
});
