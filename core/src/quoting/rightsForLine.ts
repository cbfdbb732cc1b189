import type { z } from "zod";
import type { Right } from "../access/rights";
import type { QuoteLine } from "./quoteLine";
import type { editLineSchema } from "./editSchemas";
import type { MoneyRules } from "./moneyRules";
import type { QuoteSlice } from "./slice";

/**
 * The rights a line of one's own takes. Hours and quantities are anybody's to type; a rate, wage, price or cost that is
 * not the house's takes the right to change prices. A cost or a markup also takes the right to see cost, since the price
 * made of them would tell of the other.
 */
export function rightsForLine(
  line: QuoteLine,
  { laborRateCents, rates = [], wageCents }: MoneyRules,
): readonly Right[] {
  switch (line.kind) {
    case "labor": {
      const isHouses =
        [laborRateCents, ...rates.map(({ cents }) => cents)].includes(line.rateCents) &&
        line.paidHours === null &&
        (line.wageCents === null || line.wageCents === wageCents);
      return isHouses ? [] : ["changePrices"];
    }
    case "part": {
      const tellsOfCost = line.markup !== null || (line.costCents ?? 0) !== 0;
      return tellsOfCost ? ["changePrices", "seeCost"] : ["changePrices"];
    }
    case "sublet":
      return ["changePrices", "seeCost"];
    case "fee":
    case "core":
      return ["changePrices"];
  }
}

/** The rights a change of a line takes: what is taken off and taxed is price, a cost or a table tells of cost. */
export function rightsForEdit({ change }: z.output<typeof editLineSchema>): readonly Right[] {
  const { costCents, percent, markup, off, taxIds } = change;
  const tellsOfCost = [costCents, percent, markup].some((each) => each !== undefined);
  if (tellsOfCost) return ["changePrices", "seeCost"];
  return off === undefined && taxIds === undefined ? [] : ["changePrices"];
}

/** Labor at a rate of the house is anybody's to put there once more; anything else is one more price. */
export function rightsForCopy({ jobs, rules }: Pick<QuoteSlice, "jobs" | "rules">, lineId: string): readonly Right[] {
  const line = jobs.flatMap(({ lines }) => lines).find(({ id }) => id === lineId);
  return line?.kind === "labor" ? rightsForLine(line, rules) : ["changePrices"];
}
