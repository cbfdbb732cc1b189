import type { Right } from "../access/rights";
import type { QuoteLine } from "./quoteLine";
import type { MoneyRules } from "./moneyRules";

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
    case "fee":
    case "core":
      return ["changePrices"];
  }
}
