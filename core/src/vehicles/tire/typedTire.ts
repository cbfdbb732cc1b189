import { CalcError } from "../../calc/error";
import { readTireSize, type TireSize } from "./tireSize";

/** What stands beside a size on a sidewall or in a list, and says nothing of its shape. */
const BESIDE =
  /\b(?:XL|SL|RF|RFT|ROF|EXTRA ?LOAD|REINFORCED|M\+S|M&S|M\/S|MS|3PMSF|TL|TUBELESS|TT|\d{1,2} ?PR|LOAD ?RANGE ?[A-N]|LR ?[A-N])(?=\s|$)/g;
/** Load range behind the ratings or the rim, as on light truck tires; behind a bare load index stands the speed. */
const RANGE = /(?<=\d[A-Z]|LT|[RD-]\d{2}C?)\s+[A-N]$/;
/** A size with a load index and speed symbol somewhere behind it: both are read wherever they stand. */
const RATING = /\(?\b(\d{2,3}(?:\/\d{2,3})?)\s?(A[1-8]|[B-HJ-NP-WYZ])\)?$/;
/** Written without an aspect a radial is of the full profile of its time. @see ETRTO Standards Manual */
const WITHOUT_ASPECT = /^(?<width>\d{3})\s?(?<kind>Z?R)\s?(?<rim>\d{2}(?:\.5)?)\s?(?<load>C|LT)?(?=\s|$)/;
const FULL_ASPECT = 80;

const LEAST_RIM = 8;
const MOST_RIM = 30;
const DIAMETERS_MM = { least: 300, most: 1500 };

/**
 * A size as a person types it off a sidewall or a list, written as the calculation reads it: what only stands beside a
 * size is left out, a full profile is spelled out.
 * @example
 * normalizeTireSize("LT245/75R16 120/116Q E") //=> "LT245/75R16 120/116Q"
 * normalizeTireSize("185R14C") //=> "185/80R14C"
 */
export function normalizeTireSize(typed: string): string {
  const bare = typed
    .toUpperCase()
    .replace(/×/g, "X")
    .replace(/[,;]/g, " ")
    .replace(/\s+/g, " ")
    .trim()
    .replace(/(?<=\d)(?=(?:XL|RFT)\b)/g, " ")
    .replace(BESIDE, " ")
    .replace(/\s+/g, " ")
    .trim()
    .replace(RANGE, "");
  const spelled = bare.replace(
    WITHOUT_ASPECT,
    (_, width: string, kind: string, rim: string, load: string | undefined) =>
      `${width}/${FULL_ASPECT}${kind}${rim}${load ?? ""}`,
  );
  const rating = RATING.exec(spelled);
  if (!rating) return spelled;
  const size = spelled.slice(0, rating.index).trim();
  return size === "" ? spelled : `${size} ${rating[1] ?? ""}${rating[2] ?? ""}`;
}

/**
 * Reads a size as a person types it. What the size does not say stays null: an aspect that was spelled out here too.
 *
 * @param path - the field, for what is told of it.
 * @throws {CalcError} `unreadable` for what is no size, or one no road tire has.
 */
export function readTypedTire(typed: string, path: string): TireSize {
  try {
    const size = readTireSize({ size: normalizeTireSize(typed) });
    const { rimInch, diameterMm } = size;
    if (rimInch < LEAST_RIM || rimInch > MOST_RIM)
      throw unreadable(`no road tire has a rim of ${rimInch} inches`, path);
    if (diameterMm < DIAMETERS_MM.least || diameterMm > DIAMETERS_MM.most)
      throw unreadable(`no road tire is ${Math.round(diameterMm)} mm across`, path);
    return isWithoutAspect(typed) ? { ...size, aspect: null } : size;
  } catch (error) {
    if (error instanceof CalcError && error.path !== path)
      throw unreadable(`"${typed.slice(0, 40)}" is not a tire size such as 215/55R17 94V or 31x10.50R15LT`, path);
    throw error;
  }
}

function isWithoutAspect(typed: string): boolean {
  return WITHOUT_ASPECT.test(typed.toUpperCase().trim());
}

function unreadable(message: string, path: string): CalcError {
  return new CalcError("unreadable", message, path);
}
