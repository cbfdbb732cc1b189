import { z } from "zod";
import { CalcError } from "../../calc/error";
import { parseInput } from "../../calc/parse";
import { roundRatio, roundedDecimal, exact } from "../../exact/decimal";
import { loadKg, speedKmh } from "./ratings";

const tireInput = z.strictObject({ size: z.string() });

/** What a tire's size says; null where it does not say. */
export interface TireSize {
  widthMm: number;
  aspect: number | null;
  rimInch: number;
  diameterMm: number;
  sidewallMm: number;
  revsPerKm: number;
  loadKg: number | null;
  speedKmh: number | null;
}

const RATING = String.raw`(?:\(?(?<load>\d{2,3})(?:\/\d{2,3})?(?<speed>A[1-8]|[B-HJ-NP-WYZ])?\)?)?(?:XL|SL|RF)?`;
const RIM = String.raw`(?<rim>\d{2}(?:\.5)?)`;
const METRIC = new RegExp(
  String.raw`^(?:P|LT)?(?<width>\d{3})\/(?<aspect>\d{2,3})(?:Z?R|[BD-])${RIM}(?:C|LT)?${RATING}$`,
);
const FLOTATION = new RegExp(
  String.raw`^(?:LT)?(?<diameter>\d{2}(?:\.\d{1,2})?)X(?<inches>\d{1,2}(?:\.\d{1,2})?)(?:Z?R|[BD-])${RIM}(?:LT|C)?${RATING}$`,
);

/** Ten-thousandths of a millimeter in an inch, and how many make one. */
const INCH = 254_000n;
const MM = 10_000n;

/**
 * Reads a tire size, metric (`215/55R17 94V`) or flotation (`31x10.50R15LT 109Q`).
 *
 * @throws {CalcError} `unreadable` when it is neither.
 * @see calculations.md, tire
 */
export function readTireSize(raw: unknown): TireSize {
  const { size } = parseInput(tireInput, raw);
  const text = size.replace(/\s+/g, "").toUpperCase().replace(/×/g, "X");
  const metric = METRIC.exec(text)?.groups;
  const flotation = metric ? undefined : FLOTATION.exec(text)?.groups;
  const groups = metric ?? flotation;
  if (!groups) throw unreadable(size);
  const rim = (exact(Number(groups.rim)) * INCH) / MM;
  const shape = metric ? metricShape(metric, rim) : flotationShape(groups, rim);
  if (shape.sidewall2 <= 0n || rim <= 0n || shape.widthMm <= 0) throw unreadable(size);
  return {
    widthMm: shape.widthMm,
    aspect: shape.aspect,
    rimInch: Number(groups.rim),
    diameterMm: roundedDecimal(shape.diameter, MM, 1),
    sidewallMm: roundedDecimal(shape.sidewall2, 2n * MM, 1),
    revsPerKm: Math.round((1_000_000 / (Math.PI * (Number(shape.diameter) / Number(MM)))) * 10) / 10,
    loadKg: groups.load === undefined ? null : loadKg(Number(groups.load)),
    speedKmh: groups.speed === undefined ? null : speedKmh(groups.speed),
  };
}

/** Lengths in ten-thousandths of a millimeter; `sidewall2` is both sidewalls together. */
interface Shape {
  widthMm: number;
  aspect: number | null;
  diameter: bigint;
  sidewall2: bigint;
}

function metricShape(groups: Record<string, string | undefined>, rim: bigint): Shape {
  const aspect = Number(groups.aspect);
  const sidewall2 = (2n * BigInt(groups.width ?? 0) * BigInt(aspect) * MM) / 100n;
  return { widthMm: Number(groups.width), aspect, diameter: rim + sidewall2, sidewall2 };
}

function flotationShape(groups: Record<string, string | undefined>, rim: bigint): Shape {
  const diameter = (exact(Number(groups.diameter)) * INCH) / MM;
  const widthMm = Number(roundRatio(exact(Number(groups.inches)) * INCH, MM * MM));
  return { widthMm, aspect: null, diameter, sidewall2: diameter - rim };
}

function unreadable(size: string): CalcError {
  return new CalcError(
    "unreadable",
    `"${size.slice(0, 40)}" is not a tire size such as 215/55R17 94V or 31x10.50R15LT`,
    "size",
  );
}
