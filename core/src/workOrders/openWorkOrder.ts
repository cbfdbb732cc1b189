import { z } from "zod";
import { uuid } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { addDays } from "../dates/dates";
import { concernWords } from "../concerns/commands";
import type { WorkOrderContext } from "./context";
import { WORK_ORDER_VERSION, type WorkOrderState } from "./state";

/** A car nobody looked at yet. */
export const NOTHING_SEEN = {
  odometerMiles: null,
  pressures: null,
  findings: [],
  sheets: [],
  sheetsLeftOut: [],
  unsafeTold: [],
  mended: [],
  recallsTold: [],
  placesJudged: [],
  fuel: null,
  lamps: null,
  marks: [],
  walkRound: null,
  apart: null,
  wasApart: [],
  pictures: [],
  codes: [],
  noCodes: [],
} satisfies Partial<WorkOrderState>;

/** Opens a work order; whose it is and for which car may follow. */
const openWorkOrder = z.strictObject({
  type: z.literal("openWorkOrder"),
  customerId: uuid.nullable(),
  vehicleId: uuid.nullable(),
  concerns: z.array(z.strictObject({ id: uuid, ...concernWords })).max(20),
});

export const openWorkOrderRule = ruleFor<null, WorkOrderState, WorkOrderContext>()({
  schema: openWorkOrder,
  kind: "intention",
  needs: ["customer", "vehicle"],
  apply: (_nothing, command, context) => opened(command, context),
});

/** Until when a quote begun now is good, by the owner's rule. */
function validity(
  { quoteDays }: WorkOrderContext["settings"]["rules"],
  at: string,
): Pick<WorkOrderState, "validUntil"> {
  return quoteDays === undefined ? {} : { validUntil: addDays(at.slice(0, 10), quoteDays) };
}

/** A work order as it is opened. */
export function opened(
  { customerId, vehicleId, concerns }: z.output<typeof openWorkOrder>,
  { aggregateId: id, at, actor, settings, taxExempt }: WorkOrderContext,
): WorkOrderState {
  return {
    version: WORK_ORDER_VERSION,
    id,
    customerId,
    vehicleId,
    openedAt: at,
    openedBy: actor.id,
    rules: settings.rules,
    ...validity(settings.rules, at),
    taxExempt,
    concerns: concerns.map((concern) => ({ ...concern, at })),
    ...NOTHING_SEEN,
    jobs: [],
    approvals: [],
    orders: [],
    received: [],
    payments: [],
    conflicts: [],
  };
}
