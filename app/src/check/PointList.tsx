import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { needOfPoint, restThatCanBeSound, type Finding, type InspectionPoint } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { PointRow } from "./PointRow";

interface PointListProps {
  points: readonly InspectionPoint[];
  findings: readonly Finding[];
  photosOf: (pointId: string) => number;
  /** The sheet is being run. */
  isOpen: boolean;
  activeId: string | undefined;
  onPick: (pointId: string) => void;
  onRest: (points: readonly InspectionPoint[]) => void;
  /** What there is to the point at hand, below its line; null: it stands elsewhere. */
  detail: ReactNode;
}

/** The points of a sheet by area, a line each; what is fine in an area goes with one tap. */
export function PointList({ points, findings, photosOf, isOpen, activeId, onPick, onRest, detail }: PointListProps) {
  const byPoint = new Map(findings.map((finding) => [finding.pointId, finding]));
  return (
    <View>
      {[...new Set(points.map(({ area }) => area))].map((area) => {
        const inArea = points.filter((point) => point.area === area);
        const rest = isOpen ? restThatCanBeSound(inArea, findings).length : 0;
        return (
          <View key={area} style={styles.area}>
            <View style={styles.head}>
              <Heading level={2}>{area}</Heading>
              {rest > 1 ? (
                <Button
                  label={`Rest is sound, ${rest}`}
                  spoken={`Rest is sound, ${rest} of ${area}`}
                  onPress={() => onRest(inArea)}
                  testID={`rest-${area}`}
                />
              ) : null}
            </View>
            {inArea.map((point) => {
              const finding = byPoint.get(point.id);
              const photos = photosOf(point.id);
              const need = finding ? needOfPoint(point, finding, photos) : null;
              const isActive = point.id === activeId;
              return (
                <View key={point.id}>
                  <PointRow
                    point={point}
                    finding={finding}
                    photos={photos}
                    misses={need === "grade" ? null : need}
                    isActive={isActive}
                    onPick={onPick}
                  />
                  {isActive && detail !== null && (finding !== undefined || point.isPhotoMust) ? (
                    <View style={styles.detail}>{detail}</View>
                  ) : null}
                </View>
              );
            })}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  area: { marginBottom: SPACE.m },
  head: { flexDirection: "row", alignItems: "center", justifyContent: "space-between", minHeight: 56 },
  detail: { paddingHorizontal: SPACE.s, paddingBottom: SPACE.m, gap: SPACE.s },
});
