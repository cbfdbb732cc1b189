import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { isBad, type Finding, type Grade, type InspectionPoint, type Measure, type MeasuredOn } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { Button } from "../ui/Button";
import { Undo2 } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { isMeasuredToItsEnd, isDoneBy, measured, mildest, missesMeasure } from "./checkActs";
import { GradeBar } from "./GradeBar";
import { GRADE_LOOK } from "./gradeLook";
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
  const [changing, setChanging] = useState<string | null>(null);
  const floor = mildest(point, finding, on);
  const grade = (wanted: Grade): void => {
    setChanging(null);
    // What the law or the car calls unsafe is not graded milder.
    const given = floor !== null && wanted !== "skipped" ? floor : wanted;
    check.grade(point, { grade: given }, given === "sound" && !point.isPhotoMust && !missesMeasure(point, finding));
  };
  const take = (key: string, value: number): void => {
    const given = measured(point, finding, key, value, on);
    check.grade(point, given, isDoneBy(point, key, given));
  };
  const isGradedBad = finding !== undefined && (isBad(finding.grade) || finding.grade === "skipped");
  // Once it is graded, what is told of it needs the room more than the buttons.
  const isSettled =
    isGradedBad && changing !== point.id && (finding.grade === "skipped" || isMeasuredToItsEnd(point, finding));
  const units = [...new Set(point.measures.map(({ unit }) => unit).filter(Boolean))].slice(0, 1);
  return (
    <View style={styles.panel} role="group" aria-label={`At hand: ${point.title}`} testID="active-point">
      <View style={styles.head}>
        <Words strong style={styles.title} numberOfLines={1}>
          {point.title}
          {units.map((unit) => (
            <Words
              key={unit}
              tone="muted"
              size="small"
            >{`  in ${unit === "/32 in" ? "32nds of an inch" : unit}`}</Words>
          ))}
        </Words>
        {isSettled ? (
          <Button
            kind="quiet"
            label={`${GRADE_LOOK[finding.grade].label}, change`}
            onPress={() => setChanging(point.id)}
            testID="change-grade"
          />
        ) : null}
        {check.undo ? <Button kind="quiet" icon={Undo2} label="Undo" onPress={check.undo} testID="undo" /> : null}
      </View>
      {point.measures.length > 0 && !isSettled ? (
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
      {isSettled ? null : (
        <GradeBar title={point.title} value={finding?.grade ?? null} onGrade={grade} isNext={!isGradedBad} />
      )}
      {floor !== null && finding?.grade === floor ? (
        <Words size="small" tone="alarm">
          By its limit this is unsafe, and is not graded milder.
        </Words>
      ) : null}
      {isGradedBad || isLast ? (
        <Button kind="next" label={isLast ? "Done" : "Next point"} onPress={check.next} testID="next-point" />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.xs },
  head: { flexDirection: "row", alignItems: "center", gap: SPACE.s, minHeight: 48 },
  title: { flex: 1 },
});
