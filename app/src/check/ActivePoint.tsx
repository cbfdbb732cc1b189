import { StyleSheet, View } from "react-native";
import { isBad, type Finding, type Grade, type InspectionPoint, type Measure, type MeasuredOn } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { Button } from "../ui/Button";
import { Undo2 } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { isDoneBy, measured, mildest } from "./checkActs";
import { GradeBar } from "./GradeBar";
import { lastValueOf, likelyValueOf } from "./likelyValue";
import { MeasurePad } from "./MeasurePad";
import type { Check } from "./useCheck";

interface ActivePointProps {
  point: InspectionPoint;
  finding: Finding | undefined;
  view: WorkOrderView;
  on: MeasuredOn;
  check: Check;
  /** Nothing else is open. */
  isLast: boolean;
}

/** The point under the thumb: its measures by a tap each, the five grades, and on to the next. */
export function ActivePoint({ point, finding, view, on, check, isLast }: ActivePointProps) {
  const floor = mildest(point, finding, on);
  const grade = (wanted: Grade): void => {
    // What the law or the car calls unsafe is not graded milder.
    const given = floor !== null && wanted !== "skipped" ? floor : wanted;
    check.grade(point, { grade: given }, given === "sound" && !point.isPhotoMust && !misses(point, finding));
  };
  const take = (key: string, value: number): void => {
    const given = measured(point, finding, key, value, on);
    check.grade(point, given, isDoneBy(point, key, given));
  };
  const isGradedBad = finding !== undefined && (isBad(finding.grade) || finding.grade === "skipped");
  return (
    <View style={styles.panel} role="group" aria-label={`At hand: ${point.title}`} testID="active-point">
      <View style={styles.head}>
        <Words strong style={styles.title} numberOfLines={1}>
          {point.title}
        </Words>
        {check.undo ? <Button kind="quiet" icon={Undo2} label="Undo" onPress={check.undo} testID="undo" /> : null}
      </View>
      {point.measures.length > 0 ? (
        <MeasurePad
          key={point.id}
          point={point}
          finding={finding}
          today={on.today}
          likelyOf={(measure: Measure) => likelyValueOf(point.id, measure, view, on)}
          beforeOf={(measure: Measure) => lastValueOf(point.id, measure, view)}
          onMeasure={take}
        />
      ) : null}
      <GradeBar title={point.title} value={finding?.grade ?? null} onGrade={grade} isNext={!isGradedBad} />
      {floor !== null && finding?.grade === floor ? (
        <Words size="small" tone="alarm">
          By its limit this is unsafe, and is not graded milder.
        </Words>
      ) : null}
      {isGradedBad && !isLast ? (
        <Button kind="next" label="Next point" onPress={check.next} testID="next-point" />
      ) : null}
    </View>
  );
}

function misses(point: InspectionPoint, finding: Finding | undefined): boolean {
  return point.measures.some(({ key, isMust }) => isMust && finding?.measures[key] === undefined);
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.xs },
  head: { flexDirection: "row", alignItems: "center", gap: SPACE.s, minHeight: 32 },
  title: { flex: 1 },
});
