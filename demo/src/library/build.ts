import { libraryJob, type LibraryJob, type LibraryJobInput, type PartKind, type QuoteLine } from "@mechanon/core";

const RATE_CENTS = 13800;
const WAGE_CENTS = 3900;

/** A line as the demo writes it down, with how it fits itself to a car. */
interface Line {
  line: QuoteLine;
  fit?: Fit | undefined;
}
type Fit = Omit<NonNullable<LibraryJobInput["fits"]>[number], "lineId">;
/** What is kept of a job beside its lines; the rest stands as it is read. */
type About = Partial<Omit<LibraryJobInput, "id" | "title" | "area" | "lines" | "fits" | "variants">> & {
  /** The number of the line, from one, with the part it becomes. */
  variants?: [
    id: string,
    title: string,
    line: number,
    description: string,
    brand: string,
    partNumber: string,
    costCents: number,
  ][];
};

/** Labor by hours of its own, or by the guide's operations; then the hours stand where the guide has none. */
export function labor(
  description: string,
  hours: number,
  operations: string[] = [],
  torques: Fit["torques"] = [],
): Line {
  const line: QuoteLine = { id: "", kind: "labor", description, hours, rateCents: RATE_CENTS, wageCents: WAGE_CENTS, paidHours: null }; // prettier-ignore
  return { line, fit: operations.length + torques.length > 0 ? { operations, torques } : undefined };
}

export function part(description: string, brand: string, partNumber: string, quantity: number, costCents: number, fit?: Fit, partKind?: PartKind): Line {
  const markup = partKind === "tire" ? "tires" : "standard";
  return { line: { id: "", kind: "part", description, quantity, costCents, markup, priceCents: null, partNumber, brand, ...(partKind ? { partKind } : {}) }, fit };
} // prettier-ignore

export function fee(description: string, priceCents: number, quantity = 1, fit?: Fit): Line {
  return { line: { id: "", kind: "fee", description, quantity, priceCents }, fit };
}
export function core(description: string, priceCents: number, fit?: Fit): Line {
  return { line: { id: "", kind: "core", description, quantity: 1, priceCents }, fit };
}

/** One for each chosen place. */
export const EACH_POSITION: Fit = { count: { by: "positions" } };
export const EACH_CYLINDER: Fit = { count: { by: "cylinders" } };

/** A whole order as the library keeps it: the jobs it brings, in their usual places. */
export function wholeOrder(id: string, title: string, brings: string[]): LibraryJob {
  const jobs = brings.map((libraryJobId) => ({ libraryJobId, positions: [], variantId: null }));
  return libraryJob.parse({ id, title, area: "Whole orders", curesPoints: [], answersConcerns: [], lines: [], brings: jobs }); // prettier-ignore
}

/** A job as the library keeps it. */
export function job(id: string, title: string, area: string, lines: Line[], about: About = {}): LibraryJob {
  const lineId = (number: number): string => `${id}-${number}`;
  return libraryJob.parse({
    curesPoints: [],
    answersConcerns: [],
    ...about,
    id,
    title,
    area,
    lines: lines.map(({ line }, index) => ({ ...line, id: lineId(index + 1) })),
    fits: lines.flatMap(({ fit }, index) => (fit ? [{ ...fit, lineId: lineId(index + 1) }] : [])),
    variants: (about.variants ?? []).map(([variantId, name, line, description, brand, partNumber, costCents]) => ({
      id: variantId,
      title: name,
      parts: [{ lineId: lineId(line), description, brand, partNumber, costCents, priceCents: null }],
    })),
  } satisfies LibraryJobInput);
}
