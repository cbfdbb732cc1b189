import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "./checkDigit";
import { cleanVin } from "./cleanVin";
import { driveFromNames, transmissionFromNames } from "./drivetrain";
import { describeEngine, type VinEngine } from "./engine";
import { matchRows } from "./matchRows";
import { cycleIsSettled, modelYearCandidates } from "./modelYear";
import {
  UNKNOWN_MODEL,
  UNKNOWN_YEAR,
  eitherYear,
  illegalCharacter,
  unknownMaker,
  wrongCheckDigit,
  wrongLength,
  type VinProblem,
} from "./problems";
import { suggestVins, type VinSuggestion } from "./suggestions";
import type { VinFacts } from "./table/fields";
import { VIN_CHARACTERS } from "./table/keyMatcher";
import type { VinMaker, VinTable } from "./table/read";

/** What a VIN says; null where the data does not say it. */
export interface VinReport {
  vin: string;
  checkDigit: { expected: string | null; actual: string | null; ok: boolean };
  modelYear: number | null;
  maker: string | null;
  make: string | null;
  model: string | null;
  series: string | null;
  trim: string | null;
  bodyClass: string | null;
  doors: number | null;
  drive: string | null;
  engine: VinEngine;
  transmission: string | null;
  gvwr: string | null;
  plant: string | null;
  country: string | null;
  problems: VinProblem[];
  suggestions: VinSuggestion[];
}

export interface VinContext {
  table: VinTable;
  /** The calendar year it is now; no VIN is of a model year after the next. */
  currentYear: number;
}

const NORTH_AMERICA = new Set(["UNITED STATES (USA)", "CANADA", "MEXICO"]);
/** Above 10,000 lb. */
const HEAVY_GVWR = /^Class [3-8]\b/;

/**
 * Decodes a VIN from the vPIC data and tells what is wrong with it.
 *
 * @param typed - the VIN as typed or scanned; spaces, dashes and case do not matter.
 * @returns Every field, null where unknown; `problems` and `suggestions` for a VIN that is wrong or misread.
 * @see 49 CFR 565 and the public vPIC data
 */
export function decodeVin(typed: string, context: VinContext): VinReport {
  const vin = cleanVin(typed);
  const problems: VinProblem[] = [];
  if (vin.length !== 17) problems.push(wrongLength(vin.length));
  [...vin].forEach((character, index) => {
    if (!VIN_CHARACTERS.includes(character)) problems.push(illegalCharacter(character, index + 1));
  });
  const wellFormed = problems.length === 0;
  const expected = expectedCheckDigit(vin);
  const actual = vin.charAt(CHECK_DIGIT_INDEX) || null;
  const ok = expected !== null && expected === actual;

  const maker = findMaker(vin, context.table);
  const decoded = decodeBody(vin, maker, context);
  if (wellFormed) {
    if (!ok && expected !== null && actual !== null)
      problems.push(wrongCheckDigit(actual, expected, isNorthAmerican(vin, maker)));
    if (!maker) problems.push(unknownMaker(vin.slice(0, 3)));
    if (decoded.modelYear === null) problems.push(UNKNOWN_YEAR);
    else if (maker && decoded.facts.model === undefined) problems.push(UNKNOWN_MODEL);
    if (decoded.modelYear !== null && decoded.otherYear !== undefined)
      problems.push(eitherYear(decoded.modelYear, decoded.otherYear));
  }
  const misread = vin.length === 17 && (!ok || !maker);
  return {
    ...describe(vin, maker, decoded, context.table),
    checkDigit: { expected, actual, ok },
    problems,
    suggestions: misread ? suggestVins(vin, (candidate) => quality(candidate, context)) : [],
  };
}

interface DecodedBody {
  modelYear: number | null;
  facts: VinFacts;
  /** Another year, thirty years apart, that the VIN may as well stand for: the data knows a model for both. */
  otherYear?: number;
}

function findMaker(vin: string, table: VinTable): VinMaker | null {
  if (vin.length < 3) return null;
  const wmi = vin.slice(0, 3);
  // A 9 in position 3 marks a maker of few vehicles, told apart by positions 12-14.
  const small = wmi.charAt(2) === "9" ? table.maker(wmi + vin.slice(11, 14)) : null;
  return small ?? table.maker(wmi);
}

function decodeBody(vin: string, maker: VinMaker | null, { table, currentYear }: VinContext): DecodedBody {
  const years = modelYearCandidates(vin, maker?.kind ?? null, currentYear);
  const [first] = years;
  if (first === undefined) return { modelYear: null, facts: {} };
  if (!maker) return { modelYear: first, facts: {} };
  const tries = years.map((modelYear) => ({ modelYear, facts: matchRows(vin, maker, modelYear, table) }));
  const [coded, other] = tries;
  if (!coded) return { modelYear: first, facts: {} };
  const isKnown = ({ facts }: DecodedBody): boolean => facts.model !== undefined;
  if (!other || cycleIsSettled(maker.kind) || (isKnown(coded) && !isHeavy(coded.facts))) return coded;
  // Position 7 binds a van up to 10,000 lb: one the data knows as light in the other cycle cannot be of it.
  if (maker.kind === "mpv" && isLight(other.facts)) return coded;
  // A heavy vehicle's or a motorcycle's position 7 says nothing of the year: the year that the data has the model for,
  // the newest where it has both.
  const known = tries.filter(isKnown).sort((a, b) => b.modelYear - a.modelYear);
  const [newest, older] = known;
  if (!newest) return coded;
  return older ? { ...newest, otherYear: older.modelYear } : newest;
}

function isHeavy(facts: VinFacts): boolean {
  return facts.gvwr !== undefined && HEAVY_GVWR.test(facts.gvwr);
}

function isLight(facts: VinFacts): boolean {
  return facts.gvwr !== undefined && !HEAVY_GVWR.test(facts.gvwr);
}

function isNorthAmerican(vin: string, maker: VinMaker | null): boolean {
  return maker?.country ? NORTH_AMERICA.has(maker.country) : /^[1-5]/.test(vin);
}

/** How much of a candidate is known: 2 with its model, 1 with its maker only. */
function quality(vin: string, context: VinContext): number | null {
  const maker = findMaker(vin, context.table);
  if (!maker) return null;
  return decodeBody(vin, maker, context).facts.model === undefined ? 1 : 2;
}

function describe(
  vin: string,
  maker: VinMaker | null,
  { modelYear, facts }: DecodedBody,
  table: VinTable,
): Omit<VinReport, "checkDigit" | "problems" | "suggestions"> {
  const [modelMake, model] = facts.model?.split("\t") ?? [];
  const series = facts.series ?? null;
  const trim = facts.trim ?? null;
  const doors = Number(facts.doors);
  return {
    vin,
    modelYear,
    maker: maker?.maker || null,
    make: modelMake || maker?.make || null,
    model: model ?? null,
    series,
    trim,
    bodyClass: facts.bodyClass ?? null,
    doors: Number.isInteger(doors) && doors > 0 ? doors : null,
    drive: facts.drive ?? driveFromNames(series, trim, model ?? null),
    engine: describeEngine(facts, table),
    transmission: transmissionFromNames(series, trim),
    gvwr: facts.gvwr ?? null,
    plant: [facts.plantCity, facts.plantState].filter(Boolean).join(", ") || null,
    country: facts.plantCountry ?? maker?.country ?? null,
  };
}
