import { useState } from "react";
import { z } from "zod";
import { StyleSheet, View } from "react-native";
import {
  GRADES,
  countOf,
  gradeFromMeasurement,
  offersForFindings,
  openPoints,
  type Grade,
  type InspectionPoint,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { PhotoButton } from "../photos/PhotoButton";
import { PhotoStrip } from "../photos/PhotoStrip";
import { sendCommand } from "../sync/give";
import { attachPhoto } from "../sync/photoActs";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Stepper } from "../ui/Stepper";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";
import { OfferJob } from "../jobLibrary/OfferJob";
import { GRADE_LOOK } from "./gradeLook";
import { OdometerField } from "./OdometerField";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";
import type { Business } from "../session/useSession";

/** The inspection, odometer and tire pressures. */
export const checkSection: WorkOrderSection = {
  name: "check",
  title: "Check",
  acts: ["inspect"],
  line: ({ view: { state }, business }) => {
    if (state.findings.length === 0) return "Not started";
    const graded = (wanted: Grade): number => state.findings.filter(({ grade }) => grade === wanted).length;
    const open = openPoints(business.settings.inspection, state.findings).length;
    const [bad, watch] = [graded("act"), graded("watch")];
    return [
      open > 0 ? `${open} open` : "All checked",
      bad > 0 ? `${bad} act now` : "",
      watch > 0 ? `${watch} to watch` : "",
    ]
      .filter(Boolean)
      .join(", ");
  },
  Body: CheckSection,
};

const GRADE_OPTIONS = GRADES.map((value) => ({ value, ...GRADE_LOOK[value] }));

/** The short inspection: one thumb a point, a measurement where the trade measures, and the cure at once. */
export function CheckSection({ view, business }: WorkOrderSectionProps) {
  const { state } = view;
  const points = business.settings.inspection;
  const open = openPoints(points, state.findings);
  const markRest = (): void =>
    open.forEach(({ id }) =>
      sendCommand(state.id, { type: "gradePoint", pointId: id, grade: "sound", measured: null, note: "" }),
    );
  return (
    <View style={styles.list}>
      <OdometerField view={view} />
      <Pressures view={view} />
      {points.map((point) => (
        <Point key={point.id} point={point} view={view} business={business} />
      ))}
      {open.length > 0 ? (
        <Button
          label={`The other ${countOf(open.length, "point is", "points are")} sound`}
          onPress={markRest}
          testID="rest-sound"
        />
      ) : null}
    </View>
  );
}

const USUAL_PSI = 33;

/** The tire pressures as they were set; the next visit begins with them. */
function Pressures({ view }: { view: WorkOrderView }) {
  const { pressures } = view.state;
  const [isOpen, setOpen] = useState(false);
  const [front, setFront] = useState(pressures?.frontPsi ?? USUAL_PSI);
  const [rear, setRear] = useState(pressures?.rearPsi ?? USUAL_PSI);
  if (!isOpen)
    return (
      <Button
        kind="quiet"
        label={pressures ? `Tires at ${pressures.frontPsi} and ${pressures.rearPsi} psi` : "Tire pressures"}
        onPress={() => setOpen(true)}
        style={styles.left}
      />
    );
  return (
    <View style={styles.pressures}>
      <Words>Front</Words>
      <Stepper label="Front" value={front} unit="psi" step={1} least={10} most={120} onChange={setFront} />
      <Words>Rear</Words>
      <Stepper label="Rear" value={rear} unit="psi" step={1} least={10} most={120} onChange={setRear} />
      <Button
        label="Keep the pressures"
        onPress={() => {
          sendCommand(view.state.id, { type: "recordPressures", frontPsi: front, rearPsi: rear });
          setOpen(false);
        }}
      />
    </View>
  );
}

function Point({ point, view, business }: { point: InspectionPoint; view: WorkOrderView; business: Business }) {
  const colors = useColors();
  const { state } = view;
  const finding = state.findings.find(({ pointId }) => pointId === point.id);
  const [typedNote, setNote, dropNote] = useUnsaved(`note/${state.id}/${point.id}`, z.string());
  const note = typedNote ?? finding?.note ?? "";
  const [hasNote, setHasNote] = useState(note !== "");
  const grade = (value: NonNullable<typeof finding>["grade"], measured = finding?.measured ?? null): void =>
    sendCommand(state.id, { type: "gradePoint", pointId: point.id, grade: value, measured, note });
  const measure = (value: number): void => grade(gradeFromMeasurement(point, value) ?? "sound", value);
  const offers = finding
    ? offersForFindings(state, business.library).filter(({ pointId }) => pointId === point.id)
    : [];
  return (
    <View style={[styles.point, { borderColor: colors.hairline }]} role="group" aria-label={point.title}>
      <View style={styles.title}>
        <Words strong style={styles.grow}>
          {point.title}
        </Words>
        {point.measure ? (
          <Stepper
            label={`${point.title} ${point.measure.name}`}
            value={finding?.measured ?? point.measure.start}
            unit={point.measure.unit}
            step={point.measure.step}
            most={point.measure.most}
            onChange={measure}
          />
        ) : null}
      </View>
      <Choices
        even
        label={`Grade of ${point.title}`}
        options={GRADE_OPTIONS}
        value={finding?.grade ?? null}
        onChoose={(value) => grade(value)}
        testID={`grade-${point.id}`}
      />
      {finding && finding.grade !== "sound" ? (
        <>
          <View style={styles.extras}>
            <PhotoButton
              label="Photo"
              of={point.title}
              testID={`photo-${point.id}`}
              onTake={(photo) => attachPhoto(state.id, point.id, photo)}
            />
            {hasNote ? null : <Button kind="quiet" label="Note" onPress={() => setHasNote(true)} />}
          </View>
          {hasNote ? (
            <Field
              label={`Note on ${point.title}`}
              value={note}
              onChangeText={setNote}
              maxLength={500}
              onBlur={() => {
                if (note !== finding.note) grade(finding.grade);
                dropNote();
              }}
            />
          ) : null}
        </>
      ) : null}
      <PhotoStrip ids={finding?.photoIds ?? []} title={point.title} tellsSending />
      {offers.map(({ libraryJob, pointId }) => (
        <OfferJob
          key={libraryJob.id}
          job={libraryJob}
          why={{ pointId, concernId: concernAnswered(view, libraryJob.answersConcerns) }}
          view={view}
          business={business}
        />
      ))}
    </View>
  );
}

function concernAnswered({ state }: WorkOrderView, phraseIds: readonly string[]): string | null {
  return (
    state.concerns.find(
      ({ id, phraseId }) =>
        phraseId !== null && phraseIds.includes(phraseId) && !state.jobs.some((job) => job.concernId === id),
    )?.id ?? null
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: "flex-start" },
  pressures: { flexDirection: "row", flexWrap: "wrap", alignItems: "center", gap: SPACE.s },
  list: { gap: SPACE.l },
  point: { gap: SPACE.s, borderTopWidth: 1, paddingTop: SPACE.m },
  title: { flexDirection: "row", alignItems: "center", gap: SPACE.s, flexWrap: "wrap" },
  grow: { flex: 1, minWidth: 130 },
  extras: { flexDirection: "row", gap: SPACE.s },
});
