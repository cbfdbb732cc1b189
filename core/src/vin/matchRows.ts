import type { VinFacts, VinField } from "./table/fields";
import { keyMatches, vinBits } from "./table/keyMatcher";
import type { VinMaker, VinTable } from "./table/read";

interface Winner {
  value: string;
  specificity: number;
  schema: number;
}

/**
 * What the patterns of one maker and model year say about a VIN. The most specific model wins; the other facts come
 * from the model's own schema before they come from a schema shared by many models.
 *
 * @param vin - 17 cleaned characters.
 * @returns Facts by field; fields that no pattern states are missing.
 */
export function matchRows(vin: string, maker: VinMaker, modelYear: number, table: VinTable): VinFacts {
  const bits = vinBits(vin);
  const winners = new Map<VinField, Winner[]>();
  for (const { matcher, facts, schema } of table.rowsFor(maker, modelYear, vin)) {
    if (!keyMatches(matcher, bits)) continue;
    for (const [field, value] of facts) {
      const found = winners.get(field);
      const winner = { value, specificity: matcher.specificity, schema };
      if (found) found.push(winner);
      else winners.set(field, [winner]);
    }
  }
  const model = best(winners.get("model") ?? [], null);
  const facts: VinFacts = {};
  for (const [field, candidates] of winners) facts[field] = best(candidates, model?.schema ?? null)?.value;
  return facts;
}

/** Own schema first, then the key that says most; equal ones keep the order of the data. */
function best(candidates: Winner[], ownSchema: number | null): Winner | undefined {
  let chosen: Winner | undefined;
  for (const candidate of candidates) {
    if (!chosen || rank(candidate, ownSchema) > rank(chosen, ownSchema)) chosen = candidate;
  }
  return chosen;
}

function rank(winner: Winner, ownSchema: number | null): number {
  return winner.specificity + (winner.schema === ownSchema ? 1000 : 0);
}
