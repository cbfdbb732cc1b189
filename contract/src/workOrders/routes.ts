import { z } from "zod";
import { REFUSAL_CODES, clientWorkOrderCommand, visitState, workOrderState } from "@mechanon/core";
import { idField, idParams } from "../fields";
import { customer } from "../customers/customer";
import { route } from "../route";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "./summary";

const instant = z.iso.datetime();

/** A command on its way: made by a device, with an id of its own so that a retry changes nothing. */
export const workOrderEnvelope = z.strictObject({ id: idField, at: instant, command: clientWorkOrderCommand });
export type WorkOrderEnvelope = z.infer<typeof workOrderEnvelope>;

/** What became of one command. */
export const commandOutcome = z
  .object({
    id: z.string(),
    outcome: z.enum(["applied", "refused"]),
    refusal: z.enum(REFUSAL_CODES).nullable(),
    conflicts: z.array(z.string()),
  })
  .meta({ id: "CommandOutcome" });
export type CommandOutcome = z.infer<typeof commandOutcome>;

export const pendingCharge = z.object({ paymentId: z.string(), amountCents: z.number().int(), at: z.string() });

/** A work order with all that its sheet shows. */
export const workOrderView = z
  .object({
    number: z.number().int(),
    revision: z.number().int(),
    state: workOrderState,
    customer,
    /** null: the car was taken off it. */
    vehicle: vehicle.nullable(),
    visits: z.array(visitState),
    messages: z.array(
      z.object({
        id: z.string(),
        text: z.string(),
        status: z.enum(["waiting", "sent"]),
        at: z.string(),
        lastError: z.string().nullable(),
      }),
    ),
    pendingCharges: z.array(pendingCharge),
  })
  .meta({ id: "WorkOrderView" });
export type WorkOrderView = z.infer<typeof workOrderView>;

export const workOrderRoutes = {
  getWorkOrder: route({
    method: "get",
    path: "/api/work-orders/:id",
    area: "workOrders",
    summary: "A work order",
    params: idParams,
    answer: workOrderView,
  }),
  sendWorkOrderCommands: route({
    method: "post",
    path: "/api/work-orders/:id/commands",
    area: "workOrders",
    summary: "Commands to a work order, in order; each is applied once however often it is sent",
    params: idParams,
    body: z.strictObject({ commands: z.array(workOrderEnvelope).min(1).max(100) }),
    answer: z.object({ outcomes: z.array(commandOutcome), workOrder: workOrderView.nullable() }),
  }),
  openWork: route({
    method: "get",
    path: "/api/open-work",
    area: "workOrders",
    summary: "Everything open, by what it waits for, oldest first",
    answer: z.object({ workOrders: z.array(workOrderSummary) }),
  }),
};
