import { unitPriceFromCost, type PricingTable } from "@mechanon/core";

const BEYOND = 1.5;
const USUAL_COST = 20_000;
const STEPS_PER_BAND = 8;

/** A point of a curve: what a part of a cost sells for, in cents. */
export interface CurvePoint {
  cost: number;
  price: number;
}

/** What a markup table comes to over the costs it tells apart and half as far again, its steps exactly. */
export function curveOf(table: Pick<PricingTable, "bands" | "neverCheaper" | "ending">): {
  points: CurvePoint[];
  mostCost: number;
  mostPrice: number;
} {
  const limits = table.bands.flatMap(({ upTo }) => ((upTo ?? null) === null ? [] : [upTo ?? 0]));
  const mostCost = Math.max(1, Math.round((limits.at(-1) ?? USUAL_COST / BEYOND) * BEYOND));
  const priceAt = (cost: number): number => Number(unitPriceFromCost(BigInt(cost), table));
  const ends = [...limits, mostCost];
  const points = ends.flatMap((end, band) => {
    const begin = band === 0 ? 0 : (ends[band - 1] ?? 0) + 1;
    const step = Math.max(1, Math.floor((end - begin) / STEPS_PER_BAND));
    const costs = Array.from({ length: STEPS_PER_BAND }, (_, index) => Math.min(end, begin + index * step));
    return [...new Set([...costs, end])].map((cost) => ({ cost, price: priceAt(cost) }));
  });
  return { points, mostCost, mostPrice: Math.max(1, mostCost, ...points.map(({ price }) => price)) };
}
