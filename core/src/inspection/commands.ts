import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { decimal, pointId, uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import type { InspectionRefusal } from "./refusals";
import type { InspectionPoint } from "./point";
import { GRADES, type Finding, type InspectionSlice } from "./slice";

const recordOdometer = z.strictObject({
  type: z.literal("recordOdometer"),
  miles: z.number().int().min(0).max(2_000_000),
});
const takeBackOdometer = z.strictObject({
  type: z.literal("takeBackOdometer"),
  /** The reading that was wrong; another one stays. */
  miles: z.number().int(),
  reason: words(200).min(1),
});
const recordPressures = z.strictObject({
  type: z.literal("recordPressures"),
  frontPsi: z.number().min(1).max(150),
  rearPsi: z.number().min(1).max(150),
});
const gradePoint = z.strictObject({
  type: z.literal("gradePoint"),
  pointId,
  grade: z.enum(GRADES),
  measured: decimal.nullable(),
  note: words(500),
});
const attachPhoto = z.strictObject({ type: z.literal("attachPhoto"), pointId, photoId: uuid });
const removePhoto = z.strictObject({ type: z.literal("removePhoto"), pointId, photoId: uuid });

const MOST_PHOTOS = 60;

/** What a finding is held against: the points of the business's list. */
export interface InspectionContext extends CommandContext {
  settings: { inspection: readonly InspectionPoint[] };
}

const rule = ruleFor<InspectionSlice, InspectionSlice, InspectionContext>();

export const inspectionRules = {
  recordOdometer: rule({
    schema: recordOdometer,
    kind: "fact",
    apply: (_state, { miles }, { at }) => ({ odometerMiles: { value: miles, at } }),
  }),
  takeBackOdometer: rule({
    schema: takeBackOdometer,
    kind: "intention",
    apply({ odometerMiles, odometerTakenBack = [] }, { miles, reason }, { at, actor }) {
      if (odometerMiles?.value !== miles) throw new Refusal<InspectionRefusal>("odometer/not-found");
      const takenBack = { ...odometerMiles, reason, by: actor.id, takenBackAt: at };
      return { odometerMiles: null, odometerTakenBack: [...odometerTakenBack, takenBack] };
    },
  }),
  recordPressures: rule({
    schema: recordPressures,
    kind: "fact",
    apply: (_state, { frontPsi, rearPsi }, { at }) => ({ pressures: { frontPsi, rearPsi, at } }),
  }),
  gradePoint: rule({
    schema: gradePoint,
    kind: "intention",
    apply({ findings }, { pointId: point, grade, measured, note }, context) {
      const photoIds = findingOf(findings, point, context)?.photoIds ?? [];
      const { at, actor } = context;
      return withFinding(findings, { pointId: point, grade, measured, note, photoIds, at, by: actor.id });
    },
  }),
  attachPhoto: rule({
    schema: attachPhoto,
    kind: "intention",
    apply({ findings }, { pointId: point, photoId }, context) {
      const before = findingOf(findings, point, context) ?? notLookedAt(point, context);
      const photoIds = [...before.photoIds.filter((id) => id !== photoId), photoId];
      if (photoIds.length > MOST_PHOTOS) throw new Refusal<InspectionRefusal>("photo/too-many");
      return withFinding(findings, { ...before, photoIds });
    },
  }),
  removePhoto: rule({
    schema: removePhoto,
    kind: "intention",
    apply({ findings }, { pointId: point, photoId }, context) {
      const before = findingOf(findings, point, context);
      if (!before?.photoIds.includes(photoId)) throw new Refusal<InspectionRefusal>("photo/not-found");
      return withFinding(findings, { ...before, photoIds: before.photoIds.filter((id) => id !== photoId) });
    },
  }),
};

/** What was found at a point so far. @throws {Refusal} when the point is not on the list. */
function findingOf(findings: readonly Finding[], point: string, { settings }: InspectionContext): Finding | undefined {
  if (!settings.inspection.some(({ id }) => id === point)) throw new Refusal<InspectionRefusal>("point/not-found");
  return findings.find((finding) => finding.pointId === point);
}

function notLookedAt(point: string, { at, actor }: CommandContext): Finding {
  return { pointId: point, grade: "skipped", measured: null, note: "", photoIds: [], at, by: actor.id };
}

function withFinding(findings: readonly Finding[], finding: Finding): Pick<InspectionSlice, "findings"> {
  return { findings: [...findings.filter(({ pointId: point }) => point !== finding.pointId), finding] };
}
