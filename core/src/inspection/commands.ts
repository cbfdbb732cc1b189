import { z } from "zod";
import { signature } from "../approvals/slice";
import type { CommandContext } from "../commands/context";
import { pointId, uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { ruleFor } from "../commands/rule";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import type { InspectionConflict } from "./conflicts";
import { measuredValue } from "./measure";
import type { InspectionRefusal } from "./refusals";
import { pointById, pointsOfSheet, type InspectionLists } from "./sheetsAtHand";
import { BAD_GRADES, GRADES, type Finding, type Grade, type InspectionSlice } from "./slice";

const recordOdometer = z.strictObject({
  type: z.literal("recordOdometer"),
  miles: z.number().int().min(0).max(2_000_000),
  /** Why it is below the last one. */
  reason: words(200).optional(),
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
const MOST_SHEETS = 12;
const MOST_AT_ONCE = 150;
const sheetId = words(60).min(1);
const startSheet = z.strictObject({ type: z.literal("startSheet"), sheetId });
const leaveOutSheet = z.strictObject({ type: z.literal("leaveOutSheet"), sheetId });
const closeSheet = z.strictObject({
  type: z.literal("closeSheet"),
  sheetId,
  /** Points that stay without a grade, and why nobody saw them. */
  notSeen: z.array(pointId).max(MOST_AT_ONCE),
  why: words(200),
});
const reopenSheet = z.strictObject({ type: z.literal("reopenSheet"), sheetId });
const measures = z
  .record(z.string().max(30), measuredValue)
  .refine((all) => Object.keys(all).length <= 12, "has too many measures");
const gradePoint = z.strictObject({
  type: z.literal("gradePoint"),
  pointId,
  grade: z.enum(GRADES),
  measures,
  note: words(500),
  /** When the finding it takes the place of was made, as far as this device knows; absent: it looked at none. */
  over: z.iso.datetime().nullable().optional(),
});
const gradeRest = z.strictObject({ type: z.literal("gradeRest"), pointIds: z.array(pointId).min(1).max(MOST_AT_ONCE) });
const ungradePoint = z.strictObject({
  type: z.literal("ungradePoint"),
  pointIds: z.array(pointId).min(1).max(MOST_AT_ONCE),
});
const tellUnsafe = z
  .strictObject({
    type: z.literal("tellUnsafe"),
    id: uuid,
    pointIds: z.array(pointId).min(1).max(MOST_AT_ONCE),
    name: words(120).min(1),
    way: z.enum(["signed", "witnessed"]),
    witness: words(120),
    signature,
  })
  .refine(({ way, witness }) => way === "signed" || witness !== "", "a witness has a name")
  .refine(({ way, signature: strokes }) => way === "witnessed" || strokes.length > 0, "a signature is needed");
const mendFinding = z.strictObject({ type: z.literal("mendFinding"), pointId, how: words(300).min(1) });
const tellRecall = z.strictObject({
  type: z.literal("tellRecall"),
  campaign: words(60).min(1),
  title: words(300),
  /** Whom. */
  name: words(120).min(1),
});

/** What a finding is held against: the points and sheets of the business. */
export interface InspectionContext extends CommandContext {
  settings: InspectionLists;
}

const rule = ruleFor<InspectionSlice & ConflictSlice, InspectionSlice & ConflictSlice, InspectionContext>();

export const inspectionRules = {
  recordOdometer: rule({
    schema: recordOdometer,
    kind: "fact",
    apply: (_state, { miles, reason = "" }, { at }) => ({
      odometerMiles: { value: miles, at, ...(reason === "" ? {} : { reason }) },
    }),
  }),
  takeBackOdometer: rule({
    schema: takeBackOdometer,
    kind: "intention",
    apply({ odometerMiles, odometerTakenBack = [] }, { miles, reason }, { at, actor }) {
      if (odometerMiles?.value !== miles) throw refuse("odometer/not-found");
      const takenBack = { value: miles, at: odometerMiles.at, reason, by: actor.id, takenBackAt: at };
      return { odometerMiles: null, odometerTakenBack: [...odometerTakenBack, takenBack] };
    },
  }),
  recordPressures: rule({
    schema: recordPressures,
    kind: "fact",
    apply: (_state, { frontPsi, rearPsi }, { at }) => ({ pressures: { frontPsi, rearPsi, at } }),
  }),
  startSheet: rule({
    schema: startSheet,
    kind: "intention",
    apply({ sheets, sheetsLeftOut }, { sheetId: id }, { at, actor, settings }) {
      // Of two who begin the same one, the second finds it begun.
      if (sheets.some((each) => each.sheetId === id)) return {};
      const sheet = settings.sheets.find((each) => each.id === id);
      if (!sheet || sheets.length >= MOST_SHEETS) throw refuse("sheet/not-found");
      const points = pointsOfSheet(sheet, settings.inspection);
      return {
        sheets: [
          ...sheets,
          {
            sheetId: id,
            title: sheet.title,
            points,
            startedAt: at,
            startedBy: actor.id,
            closedAt: null,
            closedBy: null,
          },
        ],
        sheetsLeftOut: sheetsLeftOut.filter((each) => each !== id),
      };
    },
  }),
  leaveOutSheet: rule({
    schema: leaveOutSheet,
    kind: "intention",
    apply: ({ sheets, sheetsLeftOut }, { sheetId: id }) => ({
      sheets: sheets.filter((each) => each.sheetId !== id),
      sheetsLeftOut: [...sheetsLeftOut.filter((each) => each !== id), id].slice(-MOST_SHEETS),
    }),
  }),
  closeSheet: rule({
    schema: closeSheet,
    kind: "intention",
    apply({ sheets, findings }, { sheetId: id, notSeen, why }, { at, actor }) {
      const sheet = sheets.find((each) => each.sheetId === id);
      if (!sheet) throw refuse("sheet/not-found");
      if (sheet.closedAt !== null) return {};
      const onSheet = new Set(sheet.points.map((point) => point.id));
      const graded = new Set(findings.map((finding) => finding.pointId));
      const unseen = notSeen.filter((point) => onSheet.has(point) && !graded.has(point));
      return {
        sheets: sheets.map((each) => (each === sheet ? { ...each, closedAt: at, closedBy: actor.id } : each)),
        findings: [
          ...findings,
          ...unseen.map((point): Finding => ({
            pointId: point,
            grade: "skipped",
            measures: {},
            note: why,
            at,
            by: actor.id,
          })),
        ],
      };
    },
  }),
  reopenSheet: rule({
    schema: reopenSheet,
    kind: "intention",
    apply({ sheets }, { sheetId: id }) {
      if (!sheets.some((each) => each.sheetId === id)) throw refuse("sheet/not-found");
      return {
        sheets: sheets.map((each) => (each.sheetId === id ? { ...each, closedAt: null, closedBy: null } : each)),
      };
    },
  }),
  gradePoint: rule({
    schema: gradePoint,
    kind: "intention",
    apply(state, { pointId: point, grade, measures: measured, note, over }, context) {
      const { at, actor } = context;
      const title = requirePoint(state, point, context).title;
      const there = state.findings.find((finding) => finding.pointId === point);
      const given: Finding = { pointId: point, grade, measures: measured, note, at, by: actor.id };
      const isUnseen = there !== undefined && there.by !== actor.id && over !== undefined && there.at !== over;
      if (!isUnseen || there.grade === grade) return { findings: withFinding(state.findings, given) };
      // Both looked at it: the worse word is the safe one, and somebody looks once more.
      const [worse, other] = rank(there.grade) < rank(grade) ? [there, given] : [given, there];
      const kept = { ...worse, measures: { ...other.measures, ...worse.measures } };
      const code: InspectionConflict = "point/graded-twice";
      return {
        findings: withFinding(state.findings, kept),
        conflicts: markConflict(state.conflicts, code, `${title} (${there.grade}, ${grade})`, context),
      };
    },
  }),
  gradeRest: rule({
    schema: gradeRest,
    kind: "intention",
    apply(state, { pointIds }, context) {
      const { at, actor } = context;
      const graded = new Set(state.findings.map((finding) => finding.pointId));
      const rest = pointIds.filter((point) => !graded.has(point));
      rest.forEach((point) => requirePoint(state, point, context));
      const sound = rest.map((point): Finding => ({
        pointId: point,
        grade: "sound",
        measures: {},
        note: "",
        at,
        by: actor.id,
      }));
      return { findings: [...state.findings, ...sound] };
    },
  }),
  ungradePoint: rule({
    schema: ungradePoint,
    kind: "intention",
    apply: ({ findings }, { pointIds }) => ({ findings: findings.filter((each) => !pointIds.includes(each.pointId)) }),
  }),
  tellUnsafe: rule({
    schema: tellUnsafe,
    kind: "fact",
    apply({ unsafeTold }, { id, pointIds, name, way, witness, signature: strokes }, { at, actor }) {
      if (unsafeTold.some((each) => each.id === id)) return {};
      return {
        unsafeTold: [...unsafeTold, { id, pointIds, name, way, witness, signature: strokes, at, by: actor.id }],
      };
    },
  }),
  mendFinding: rule({
    schema: mendFinding,
    kind: "intention",
    apply({ findings, mended }, { pointId: point, how }, { at, actor }) {
      if (!findings.some((each) => each.pointId === point)) throw refuse("finding/not-found");
      return {
        mended: [...mended.filter((each) => each.pointId !== point), { pointId: point, how, at, by: actor.id }],
      };
    },
  }),
  tellRecall: rule({
    schema: tellRecall,
    kind: "fact",
    apply: ({ recallsTold }, { campaign, title, name }, { at, actor }) => ({
      recallsTold: [
        ...recallsTold.filter((each) => each.campaign !== campaign),
        { campaign, title, name, at, by: actor.id },
      ],
    }),
  }),
};

const refuse = (code: InspectionRefusal): Refusal<InspectionRefusal> => new Refusal(code);

/** The worst first; a point that was not seen says the least. */
function rank(grade: Grade): number {
  return [...BAD_GRADES, "sound", "skipped"].indexOf(grade);
}

function requirePoint(
  state: Pick<InspectionSlice, "sheets">,
  point: string,
  { settings }: InspectionContext,
): { title: string } {
  const found = pointById(point, state, settings.inspection);
  if (!found) throw refuse("point/not-found");
  return found;
}

function withFinding(findings: readonly Finding[], finding: Finding): Finding[] {
  return [...findings.filter(({ pointId: point }) => point !== finding.pointId), finding];
}
