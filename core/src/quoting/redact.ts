import { hasRight, type Actor } from "../access/rights";
import type { BusinessSettings, MoneyRules } from "../settings/businessSettings";
import type { LibraryJob, QuoteLine } from "./line";
import { unitPriceFromCost } from "./price/unitPrice";

/** Whoever looks. */
export type Viewer = Pick<Actor, "rights">;

/** The library as a person may see it: without the right to see cost, prices instead of costs and markups. */
export function redactLibrary(library: readonly LibraryJob[], rules: MoneyRules, viewer: Viewer): LibraryJob[] {
  if (hasRight(viewer, "seeCost")) return [...library];
  return library.map((job) => ({ ...job, lines: job.lines.map((line) => redactLine(line, rules)) }));
}

/** The settings as a person may see them: without the right to see cost, no wage and no markup. */
export function redactSettings(settings: BusinessSettings, viewer: Viewer): BusinessSettings {
  return hasRight(viewer, "seeCost") ? settings : { ...settings, rules: redactRules(settings.rules) };
}

export function redactRules(rules: MoneyRules): MoneyRules {
  return { ...rules, wageCents: null, pricing: { ...rules.pricing, markup: null } };
}

/** The part keeps the price it sells at, so that totals stay the same without its cost. */
export function redactLine(line: QuoteLine, rules: MoneyRules): QuoteLine {
  if (line.kind === "labor") return { ...line, wageCents: null, paidHours: null };
  if (line.kind !== "part") return line;
  const tables = rules.pricing.markup ?? {};
  const table = line.markup !== null && Object.hasOwn(tables, line.markup) ? tables[line.markup] : undefined;
  const computed = table && line.costCents !== null ? Number(unitPriceFromCost(BigInt(line.costCents), table)) : 0;
  return { ...line, costCents: null, markup: null, priceCents: line.priceCents ?? computed };
}
