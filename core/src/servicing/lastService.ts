import type { PartLine } from "../quoting/quoteLine";
import type { InspectionSlice } from "../inspection/slice";
import { partName } from "../quoting/partName";
import type { QuoteSlice } from "../quoting/slice";

/** What of a work order tells what was used. */
type Work = Pick<QuoteSlice, "jobs"> & Pick<InspectionSlice, "pressures">;

/** A part as it was last used on a car. */
export interface PartUsed {
  description: string;
  brand: string | null;
  partNumber: string | null;
  quantity: number;
  /** When the job was finished, ISO instant. */
  at: string;
}

/** What was used the last time: what one wants to know before buying. */
export interface LastService {
  oil: PartUsed | null;
  oilFilter: PartUsed | null;
  /** Every part that has a number, the newest of each name. */
  parts: PartUsed[];
  pressures: { frontPsi: number; rearPsi: number; at: string } | null;
}

const OIL_FILTER = /\boil filter\b/i;
const OIL = /\b(engine |motor )?oil\b/i;
const OTHER_OILS = /\b(gear|transmission|differential|hydraulic|used|pan|cooler|sender|pressure)\b/i;

/** Oil, oil filter and tire pressures of the last work on a car that had them. @param states - in any order. */
export function lastService(states: readonly Work[]): LastService {
  const used = states.flatMap(({ jobs }) =>
    jobs.flatMap(({ finishedAt, lines }) =>
      finishedAt === null
        ? []
        : lines.filter((line): line is PartLine => line.kind === "part").map((line) => ({ line, at: finishedAt })),
    ),
  );
  const last = (fits: (line: PartLine) => boolean): PartUsed | null =>
    newest(used.filter(({ line }) => fits(line)).map(partUsed));
  return {
    oil: last(
      ({ description }) => OIL.test(description) && !OIL_FILTER.test(description) && !OTHER_OILS.test(description),
    ),
    parts: newestOfEach(used),
    oilFilter: last(({ description }) => OIL_FILTER.test(description)),
    pressures: newest(states.flatMap(({ pressures }) => (pressures ? [pressures] : []))),
  };
}

interface Used {
  line: PartLine;
  at: string;
}

function partUsed({ line: { description, brand, partNumber, quantity }, at }: Used): PartUsed {
  return { description, brand, partNumber, quantity, at };
}

/** What the customer brought is theirs to bring again. */
function newestOfEach(used: readonly Used[]): PartUsed[] {
  const last = new Map<string, PartUsed>();
  for (const one of used) {
    if (one.line.partNumber === null || one.line.isCustomers) continue;
    const name = partName(one.line.description).toLowerCase();
    const before = last.get(name);
    if (!before || one.at > before.at) last.set(name, partUsed(one));
  }
  return [...last.values()];
}

/** The part that was used last where a line has another of the same name; null: none, or the same. */
export function otherPartLastTime(
  { description, partNumber }: Pick<PartLine, "description" | "partNumber">,
  parts: readonly PartUsed[],
): PartUsed | null {
  const name = partName(description).toLowerCase();
  const used = parts.find((part) => partName(part.description).toLowerCase() === name);
  return used && used.partNumber !== partNumber ? used : null;
}

function newest<T extends { at: string }>(all: readonly T[]): T | null {
  return all.reduce<T | null>((last, one) => (last === null || one.at > last.at ? one : last), null);
}
