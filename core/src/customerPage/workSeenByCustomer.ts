import { openJobs, standingAnswer } from "../approvals/standing";
import type { CarFacts } from "../laborGuide/carFacts";
import { isBad, type BadGrade, type Finding, type InspectionSlice } from "../inspection/slice";
import { worstFirst } from "../inspection/offers";
import type { MeasureKind } from "../inspection/measure";
import type { InspectionPoint } from "../inspection/point";
import { pointById } from "../inspection/sheetsAtHand";
import type { Topic } from "../inspection/topics";
import { wearAhead, wearLimit, type MeasuredBefore } from "../inspection/wearAhead";
import type { WearReading } from "../wear/wear";
import { picturesOf } from "../pictures/picturesOf";
import type { PictureSlice } from "../pictures/slice";
import { balanceOf } from "../payments/balance";
import type { PaymentSlice } from "../payments/slice";
import type { QuoteSlice } from "../quoting/slice";
import { jobTotals, quoteTotalCents } from "../quoting/totals";

/** Words in both languages; where nobody wrote them in the second, the first stand there. */
export interface Told {
  en: string;
  es: string;
}

/** A measurement as its customer sees it. */
export interface MeasureSeen {
  kind: MeasureKind;
  key: string;
  name: string;
  unit: string;
  value: number;
  /** What it wears down to; null: it does not wear. */
  limit: number | null;
  /** Since it was new, this one included; empty where it was measured for the first time or does not wear. */
  readings: WearReading[];
  dueOn: string | null;
  milesLeft: number | null;
}

/** A finding as its customer sees it. */
export interface FoundSeen {
  pointId: string;
  title: Told;
  grade: BadGrade;
  note: string;
  topic: Topic | null;
  pictures: { photoId: string; media: "photo" | "clip"; moment: "before" | "after" | null }[];
  measures: MeasureSeen[];
}

/** What a customer may see of the work on their car: prices, never what they are made of. */
export interface WorkSeen {
  /** The worst first. */
  found: FoundSeen[];
  /** What was looked at and is fine. */
  fine: Told[];
  jobs: { title: string; totalCents: number; answer: "yes" | "later" | "no" | null; isDone: boolean }[];
  /** With taxes; null: there is no quote. */
  totalCents: number | null;
  /** The last day the quote is good for; null: no end, or nothing of it is open. */
  validUntil: string | null;
  dueCents: number;
  paidCents: number;
}

/** What the work is seen by. */
export interface SeenBy {
  points: readonly InspectionPoint[];
  /** What was measured on the car before. */
  before: readonly MeasuredBefore[];
  specs: CarFacts["specs"];
  /** Whether what was found and quoted was shown to them yet; what they answered is theirs in any case. */
  isShown: boolean;
}

type Seen = InspectionSlice & QuoteSlice & PaymentSlice & PictureSlice;

/** The work as its customer sees it. */
export function workSeenByCustomer(state: Seen, { isShown, ...by }: SeenBy): WorkSeen {
  const totals = jobTotals(state);
  const jobs = state.jobs
    .filter(({ lines, answer }) => lines.length > 0 || answer !== null)
    .map((job) => ({
      title: job.title,
      totalCents: totals.get(job.id) ?? 0,
      answer: standingAnswer(state, job),
      isDone: job.finishedAt !== null,
    }))
    .filter(({ answer }) => isShown || answer !== null);
  const { dueCents, paidCents } = balanceOf(state);
  return {
    found: isShown ? foundSeen(state, by) : [],
    fine: isShown
      ? state.findings.filter(({ grade }) => grade === "sound").map((each) => titleOf(each, state, by.points))
      : [],
    jobs,
    totalCents: isShown && state.jobs.length > 0 ? quoteTotalCents(state) : null,
    validUntil: isShown && openJobs(state).length > 0 ? (state.validUntil ?? null) : null,
    dueCents,
    paidCents,
  };
}

/** What was found, the worst first. */
export function foundSeen(
  state: InspectionSlice & PictureSlice,
  by: Pick<SeenBy, "points" | "before" | "specs">,
): FoundSeen[] {
  return worstFirst(state.findings).flatMap((finding) => {
    const { grade, note, pointId } = finding;
    if (!isBad(grade)) return [];
    const point = pointById(pointId, state, by.points);
    return {
      pointId,
      title: titleOf(finding, state, by.points),
      grade,
      note,
      topic: point?.topic ?? null,
      pictures: picturesOf(state, "point", pointId).map(({ photoId, media, moment }) => ({ photoId, media, moment })),
      measures: point ? measuresSeen(finding, point, state.odometerMiles?.value ?? null, by) : [],
    };
  });
}

function titleOf(
  { pointId }: Finding,
  state: Pick<InspectionSlice, "sheets">,
  points: readonly InspectionPoint[],
): Told {
  const point = pointById(pointId, state, points);
  const en = point?.title ?? pointId;
  return { en, es: point?.titleEs || en };
}

function measuresSeen(
  { pointId, measures: measured, at }: Finding,
  { measures }: InspectionPoint,
  odometer: number | null,
  { before, specs }: Pick<SeenBy, "before" | "specs">,
): MeasureSeen[] {
  return measures.flatMap((measure) => {
    const value = measured[measure.key];
    // What a tire's date says stands in the note; the number itself is nobody's to read.
    if (value === undefined || measure.kind === "dotDate") return [];
    const now = odometer === null ? null : { odometer, date: at.slice(0, 10), value };
    const ahead = wearAhead(pointId, measure, { before, now, specs });
    const { kind, key, name, unit } = measure;
    return {
      kind,
      key,
      name,
      unit,
      value,
      limit: wearLimit(measure, specs),
      readings: ahead && ahead.readings.length > 1 ? ahead.readings : [],
      dueOn: ahead?.wear.dueOn ?? null,
      milesLeft: ahead?.wear.milesLeft ?? null,
    };
  });
}
