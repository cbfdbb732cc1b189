import { StyleSheet, View } from "react-native";
import { showMeasure, type InspectionPoint, type WorkOrderState } from "@mechanon/core";
import { PhotoStrip } from "../photos/PhotoStrip";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { GRADE_LOOK } from "../work/gradeLook";

interface FoundListProps {
  points: readonly InspectionPoint[];
  findings: WorkOrderState["findings"];
}

/** What was found that asks for something, with its measure, note and photos. */
export function FoundList({ points, findings }: FoundListProps) {
  const colors = useColors();
  const found = points.flatMap((point) => {
    const finding = findings.find(({ pointId }) => pointId === point.id);
    return finding && (finding.grade === "act" || finding.grade === "watch") ? [{ point, finding }] : [];
  });
  if (found.length === 0) return null;
  return (
    <>
      <Heading level={2}>What was found</Heading>
      {found.map(({ point, finding }) => {
        const { icon: Icon, label } = GRADE_LOOK[finding.grade];
        return (
          <View key={point.id} style={styles.finding}>
            <Icon size={24} color={colors.ink} />
            <View style={styles.grow}>
              <Words strong>{`${point.title}: ${label.toLowerCase()}`}</Words>
              {finding.measured !== null && point.measure ? (
                <Words figures>{`${point.measure.name} ${showMeasure(finding.measured, point.measure.unit)}`}</Words>
              ) : null}
              {finding.note ? <Words>{finding.note}</Words> : null}
              <PhotoStrip ids={finding.photoIds} title={point.title} />
            </View>
          </View>
        );
      })}
    </>
  );
}

const styles = StyleSheet.create({
  finding: { flexDirection: "row", gap: SPACE.m },
  grow: { flex: 1, gap: SPACE.xs },
});
