import { memo } from "react";
import { StyleSheet, View } from "react-native";
import type { Finding, InspectionPoint } from "@mechanon/core";
import { useColors } from "../ui/face";
import { Camera } from "../ui/icons";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { GRADE_LOOK, NO_GRADE } from "./gradeLook";
import { allMeasured } from "./measureWords";

interface PointRowProps {
  point: InspectionPoint;
  finding: Finding | undefined;
  photos: number;
  /** What it still misses beside its grade. */
  misses: "measure" | "photo" | null;
  isActive: boolean;
  onPick: (pointId: string) => void;
}

/** A point in one line: its grade by shape and word, what was measured, what is missing. */
export const PointRow = memo(function PointRow({ point, finding, photos, misses, isActive, onPick }: PointRowProps) {
  const colors = useColors();
  const look = finding ? GRADE_LOOK[finding.grade] : null;
  const Icon = look?.icon ?? NO_GRADE;
  const isBad = finding?.grade === "act" || finding?.grade === "unsafe";
  const details = [
    allMeasured(point, finding),
    misses === "measure" ? "measure it" : misses === "photo" ? "photo needed" : "",
    finding?.note ?? "",
  ].filter(Boolean);
  const said = [look?.label ?? "not graded", ...details, photos > 0 ? `${photos} photos` : ""].filter(Boolean);
  return (
    <Press
      label={`${point.title}, ${said.join(", ")}`}
      aria-current={isActive ? "step" : undefined}
      onPress={() => onPick(point.id)}
      testID={`point-${point.id}`}
      nativeID={`point-${point.id}`}
      style={[
        styles.row,
        { borderColor: colors.hairline },
        isActive && [styles.active, { borderLeftColor: colors.petrol, backgroundColor: colors.inset }],
      ]}
    >
      <View style={styles.inside}>
        <Icon size={24} color={isBad ? colors.alarm : finding ? colors.ink : colors.muted} />
        <View style={styles.words}>
          <Words strong={isBad || isActive} numberOfLines={1}>
            {point.title}
          </Words>
          {details.length > 0 ? (
            <Words size="small" tone={misses ? "alarm" : "muted"} figures numberOfLines={1}>
              {details.join(" · ")}
            </Words>
          ) : null}
        </View>
        {photos > 0 ? (
          <View style={styles.photos}>
            <Camera size={18} color={colors.muted} />
            <Words size="small" figures tone="muted">
              {String(photos)}
            </Words>
          </View>
        ) : null}
        <Words size="small" strong={isBad} tone={isBad ? "alarm" : "muted"}>
          {look?.label ?? ""}
        </Words>
      </View>
    </Press>
  );
});

const styles = StyleSheet.create({
  row: { minHeight: 64, borderTopWidth: 1, paddingHorizontal: SPACE.s },
  active: { borderLeftWidth: 4, paddingLeft: SPACE.xs },
  inside: { flexDirection: "row", alignItems: "center", gap: SPACE.m },
  words: { flex: 1, minWidth: 0 },
  photos: { flexDirection: "row", alignItems: "center", gap: 2 },
});
