import { unitPriceFromCost } from "../quoting/price/unitPrice";
import type { LibraryJob, QuoteLine } from "../quoting/line";
import type { BusinessSettings, MoneyRules } from "../settings/businessSettings";
import type { WorkOrderState } from "../workOrders/state";
import { hasRight, type Actor } from "./rights";

type Viewer = Pick<Actor, "rights">;

/** A work order as a person may see it: without the right to see cost, no cost, wage, markup or margin is in it. */
export function redactWorkOrder(state: WorkOrderState, viewer: Viewer): WorkOrderState {
  if (hasRight(viewer, "seeCost")) return state;
  return {
    ...state,
    rules: redactRules(state.rules),
    jobs: state.jobs.map((job) => ({ ...job, lines: job.lines.map((line) => redactLine(line, state.rules)) })),
    orders: state.orders.map((order) => ({
      ...order,
      items: order.items.map((item) => ({ ...item, costCents: null })),
    })),
  };
}

export function redactLibrary(library: readonly LibraryJob[], rules: MoneyRules, viewer: Viewer): LibraryJob[] {
  if (hasRight(viewer, "seeCost")) return [...library];
  return library.map((job) => ({ ...job, lines: job.lines.map((line) => redactLine(line, rules)) }));
}

export function redactSettings(settings: BusinessSettings, viewer: Viewer): BusinessSettings {
  return hasRight(viewer, "seeCost") ? settings : { ...settings, rules: redactRules(settings.rules) };
}

function redactRules(rules: MoneyRules): MoneyRules {
  return { ...rules, wageCents: null, pricing: { ...rules.pricing, markup: null } };
}

/** The part keeps the price it sells at, so that totals stay the same without its cost. */
function redactLine(line: QuoteLine, rules: MoneyRules): QuoteLine {
  if (line.kind === "labor") return { ...line, wageCents: null, paidHours: null };
  if (line.kind !== "part") return line;
  const table = line.markup === null ? undefined : rules.pricing.markup?.[line.markup];
  const computed = table && line.costCents !== null ? Number(unitPriceFromCost(BigInt(line.costCents), table)) : 0;
  return { ...line, costCents: null, markup: null, priceCents: line.priceCents ?? computed };
}
