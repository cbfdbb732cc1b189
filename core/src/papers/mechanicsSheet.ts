import { standingAnswer } from "../approvals/standing";
import type { ArrivalSlice } from "../arrival/slice";
import type { Concern, ConcernSlice } from "../concerns/slice";
import { accessAt, mainPlace } from "../customers/reach";
import type { CustomerDetails } from "../customers/details";
import { showPhone } from "../customers/phone";
import type { InspectionPoint } from "../inspection/point";
import { pointById } from "../inspection/sheetsAtHand";
import type { InspectionSlice } from "../inspection/slice";
import { standingUnsafe } from "../inspection/standingUnsafe";
import { showMomentIn } from "../languages/momentIn";
import { showPlace } from "../places/showPlace";
import { isOnPaper, paperWords } from "../quoting/paperWords";
import { showAmount } from "../quoting/amountOf";
import type { LaborLine, QuoteLine } from "../quoting/quoteLine";
import type { Job, QuoteSlice } from "../quoting/slice";
import { showTorque } from "../vehicles/specs/showTorque";
import type { SpecLine } from "../vehicles/specs/specSheet";
import { showMiles, showVehicle } from "../vehicles/vehicleName";
import { arrangedLine } from "../visits/arrangedWords";
import type { VisitState } from "../visits/state";
import { isRunning } from "../visits/standing";
import type { PaperBlock } from "./paperBlock";
import type { PaperSettings } from "./paperSettings";
import type { PaperSlice } from "./slice";
import { concernsOnPaper, wordsOnPaper } from "./wordsOnPaper";

type Sheeted = QuoteSlice & ConcernSlice & InspectionSlice & ArrivalSlice & PaperSlice;

/** What a mechanic's sheet is written from, beside the work order. */
export interface SheetWith {
  businessName: string;
  number: number;
  /** Null: it is not known yet whose it is. */
  customer: (Pick<CustomerDetails, "phones" | "serviceAddresses" | "billingAddress"> & { name: string }) | null;
  /** Null: the car is not known yet. */
  vehicle: {
    year: number | null;
    make: string | null;
    model: string | null;
    vin: string | null;
    plate: string | null;
    region: string | null;
    engine: string | null;
    drive: string | null;
  } | null;
  visits: readonly VisitState[];
  /** Names by id. */
  people: ReadonlyMap<string, string>;
  specs: readonly Pick<SpecLine, "label" | "value" | "unit">[];
  points: readonly InspectionPoint[];
  papers: PaperSettings;
  timeZone: string;
}

const CAUSE_LINES = 2;
const NOTE_LINES = 4;
const WORK_TITLES = {
  yes: "Agreed",
  open: "Not agreed yet: do not begin",
  later: "Put off",
  no: "Declined",
} as const;

/**
 * What a mechanic takes along on paper: where and for whom, what is not safe, why they called with room for cause and
 * correction, the work with what it includes, parts and torques, and the car's specs. No price stands on it.
 */
export function mechanicsSheet(state: Sheeted, around: SheetWith): PaperBlock[] {
  const { businessName, number, specs, points, papers } = around;
  const words = wordsOnPaper(state, "mechanicsSheet", papers, "en");
  return [
    { is: "small", text: businessName },
    { is: "title", text: `Mechanic’s sheet, ${number === 0 ? "not numbered yet" : String(number)}` },
    ...whereBlocks(around),
    ...carBlocks(state, around),
    ...said(words),
    ...listed(
      "Not safe",
      standingUnsafe(state).map(({ finding: { pointId } }) => pointById(pointId, state, points)?.title ?? pointId),
    ),
    ...(state.apart ? said(`The car is apart: ${state.apart.isOff}. Parts lie: ${state.apart.partsLie}`) : []),
    ...concernBlocks(state),
    ...workBlocks(state),
    ...(specs.length === 0
      ? []
      : ([
          { is: "heading", text: "Specs" },
          ...specs.map(({ label, value, unit }): PaperBlock => ({
            is: "row",
            left: label,
            right: withUnit(value, unit),
          })),
        ] satisfies PaperBlock[])),
    { is: "heading", text: "At the end" },
    { is: "room", label: "Odometer, and wheels tightened to", lines: 1 },
    { is: "room", label: "Found beside it, parts used, notes", lines: NOTE_LINES },
  ];
}

function said(text: string): PaperBlock[] {
  return text === "" ? [] : [{ is: "words", text }];
}

function listed(title: string, texts: readonly string[]): PaperBlock[] {
  if (texts.length === 0) return [];
  return [{ is: "heading", text: title }, ...texts.map((text): PaperBlock => ({ is: "strong", text }))];
}

/** When and where, and how one gets in. */
function whereBlocks({ customer, visits, people, timeZone }: SheetWith): PaperBlock[] {
  const visit = visits.find(isRunning) ?? visits.at(-1);
  const place = visit?.place ?? (customer && mainPlace(customer));
  const phones = (customer?.phones ?? []).map(({ number, extension }) => showPhone(number, extension));
  return [
    ...(visit
      ? said([showMomentIn("en", visit.startsAt, timeZone), people.get(visit.mechanicId)].filter(Boolean).join(" · "))
      : []),
    { is: "strong", text: customer?.name ?? "No customer yet" },
    ...said(phones.join(" · ")),
    ...said(place ? showPlace(place) : ""),
    ...said(place && customer ? accessAt(customer, place) : ""),
    ...said(visit ? arrangedLine(visit.arranged) : ""),
    ...said(visit?.note ?? ""),
  ];
}

function carBlocks({ odometerMiles }: InspectionSlice, { vehicle }: SheetWith): PaperBlock[] {
  if (vehicle === null) return [{ is: "strong", text: "No car yet" }];
  const { vin, plate, region, engine, drive } = vehicle;
  const facts = [
    vin && `VIN ${vin}`,
    plate && `Plate ${[plate, region].filter(Boolean).join(" ")}`,
    engine,
    drive,
    odometerMiles && showMiles(odometerMiles.value),
  ];
  return [{ is: "strong", text: showVehicle(vehicle) }, ...said(facts.filter(Boolean).join(" · "))];
}

/** Each concern with what became of it, or room to write it. */
function concernBlocks(state: ConcernSlice & PaperSlice): PaperBlock[] {
  const shown = concernsOnPaper(state, "mechanicsSheet");
  if (shown.length === 0) return [];
  return [
    { is: "heading", text: "Why they called" },
    ...shown.flatMap(({ concernId, text }): PaperBlock[] => [
      { is: "strong", text: `“${text}”` },
      ...causeBlocks(state.concerns.find(({ id }) => id === concernId)),
    ]),
  ];
}

function causeBlocks(concern: Concern | undefined): PaperBlock[] {
  const answer = concern?.answer;
  if (answer?.outcome === "noFault") return said(`No fault found: ${answer.reason}`);
  if (answer?.outcome === "setAside") return said(`Set aside: ${answer.reason}`);
  return [
    answer?.cause
      ? { is: "words", text: `Cause: ${answer.cause}` }
      : { is: "room", label: "Cause", lines: CAUSE_LINES },
    answer?.correction
      ? { is: "words", text: `Correction: ${answer.correction}` }
      : { is: "room", label: "Correction", lines: CAUSE_LINES },
  ];
}

/** The work by what was said of it; what is finished says so. */
function workBlocks(state: QuoteSlice): PaperBlock[] {
  const standing = state.jobs.map((job) => ({ job, answer: standingAnswer(state, job) ?? ("open" as const) }));
  return (["yes", "open", "later", "no"] as const).flatMap((answer): PaperBlock[] => {
    const jobs = standing.filter((each) => each.answer === answer);
    if (jobs.length === 0) return [];
    return [{ is: "heading", text: WORK_TITLES[answer] }, ...jobs.flatMap(({ job }) => jobBlocks(job))];
  });
}

function jobBlocks({ title, lines, setPrice, finishedAt }: Job): PaperBlock[] {
  return [
    { is: "strong", text: finishedAt === null ? title : `${title}, finished` },
    ...lines.filter(isOnPaper).flatMap((line) => lineBlocks(line, includedOf(line.id, setPrice))),
  ];
}

function includedOf(lineId: string, setPrice: Job["setPrice"]): number | null {
  return setPrice?.included.find((each) => each.lineId === lineId)?.quantity ?? null;
}

function lineBlocks(line: QuoteLine, included: number | null): PaperBlock[] {
  const part = line.kind === "part" ? [line.brand, line.partNumber].filter(Boolean).join(" ") : "";
  const what = [paperWords(line), part].filter(Boolean).join(", ");
  const extra = [
    line.kind === "labor" ? stepsIncluded(line) : "",
    ...(line.kind === "labor" ? (line.torques ?? []).map(showTorque) : []),
    included === null ? "" : `${included} of it included in the price`,
    line.noteForUs ?? "",
  ];
  return [
    { is: "row", left: what, right: showAmount(line) },
    ...extra.filter(Boolean).map((text): PaperBlock => ({ is: "small", text })),
  ];
}

/** What its hours include, where its own words do not say so already. */
function stepsIncluded({ steps = [], showsIncluded }: LaborLine): string {
  const titles = [...new Set(steps.map(({ title }) => title))];
  return titles.length === 0 || showsIncluded ? "" : `Included: ${titles.join("; ")}`;
}

function withUnit(value: string, unit: string | null): string {
  return unit === null ? value : `${value} ${unit}`;
}
