import { StyleSheet, View } from "react-native";
import type { VinReport } from "@mechanon/core/vin";
import { useColors } from "../ui/face";
import { Words } from "../ui/Words";

/** A VIN in its characters, the suspect ones framed and said. */
export function VinMarks({ report }: { report: VinReport }) {
  const colors = useColors();
  const suspect = new Set(
    report.problems.flatMap(({ code, position }) =>
      position !== null && code !== "check-digit-note" ? [position] : [],
    ),
  );
  // What would be put right is as suspect as what is wrong.
  for (const { changes } of report.suggestions.slice(0, 1)) for (const { position } of changes) suspect.add(position);
  if (suspect.size === 0) return null;
  const places = [...suspect].sort((a, b) => a - b);
  return (
    <View accessibilityLabel={`Look again at character ${places.join(", ")}`} role="img" style={styles.row}>
      {[...report.vin].map((character, index) => {
        const isSuspect = suspect.has(index + 1);
        return (
          <View
            key={index}
            style={[
              styles.place,
              isSuspect && { borderColor: colors.alarm, borderWidth: 2, backgroundColor: colors.inset },
            ]}
          >
            <Words mono strong={isSuspect} tone={isSuspect ? "alarm" : "muted"} align="center">
              {character}
            </Words>
            {isSuspect ? (
              <Words size="small" tone="alarm" align="center">
                {String(index + 1)}
              </Words>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", flexWrap: "wrap" },
  place: { minWidth: 19, borderRadius: 4, paddingHorizontal: 1 },
});
