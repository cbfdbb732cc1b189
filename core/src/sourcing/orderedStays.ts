import { Refusal } from "../commands/refusal";
import type { QuoteSlice } from "../quoting/slice";
import { isOrdered } from "./ordered";
import type { SourcingRefusal } from "./refusals";
import type { SourcingSlice } from "./slice";

type Jobs = Pick<QuoteSlice, "jobs">;

/**
 * What is on order stays on the quote.
 *
 * @param before - the quote, with what was ordered for it.
 * @param after - the same as a command would leave it.
 * @throws {Refusal} `line/ordered` when a line goes that is on order, `line/number-ordered` when it would be another part.
 */
export function requireOrderedStays(before: Jobs & Pick<SourcingSlice, "orders">, after: Jobs): void {
  const kept = new Set(after.jobs.flatMap(({ lines }) => lines.map(({ id }) => id)));
  const lost = before.jobs.flatMap(({ lines }) => lines).filter(({ id }) => !kept.has(id));
  if (lost.some(({ id }) => isOrdered(before, id))) throw new Refusal<SourcingRefusal>("line/ordered");
  const numbers = numbersOf(before);
  for (const [id, number] of numbersOf(after))
    if (numbers.has(id) && numbers.get(id) !== number && isOrdered(before, id))
      throw new Refusal<SourcingRefusal>("line/number-ordered");
}

function numbersOf({ jobs }: Jobs): Map<string, string | null> {
  return new Map(
    jobs.flatMap(({ lines }) => lines.flatMap((line) => (line.kind === "part" ? [[line.id, line.partNumber]] : []))),
  );
}
