import { applyCommand } from "@mechanon/core";
import type { Customer, Vehicle, WorkOrderView } from "@mechanon/contract";
import { customerFromAct, vehicleFromAct } from "./madeHere";
import { isOpening, type Pending } from "./pending";
import type { LocalContext } from "./withPending";

type Opening = Extract<Pending, { kind: "workOrder" }>;

/**
 * A work order that was opened on this device and is not at the server: with its customer and car as they were taken
 * down here. @returns undefined where it was not opened here.
 */
export function openedHere(id: string, line: readonly Pending[], context: LocalContext): WorkOrderView | undefined {
  const opening = line.find((item): item is Opening => item.target === id && isOpening(item));
  if (!opening || opening.command.type !== "openWorkOrder") return undefined;
  const { customerId, vehicleId } = opening.command;
  const customer = opening.parties?.customer ?? madeCustomer(line, customerId);
  const vehicle = opening.parties?.vehicle ?? madeVehicle(line, vehicleId);
  const state = applyCommand(null, opening.command, {
    aggregateId: id,
    commandId: opening.id,
    at: opening.at,
    actor: context.actor,
    settings: context.settings,
    library: context.library,
    taxExempt: (customer?.taxExemption ?? null) !== null,
    unclearChargeCents: 0,
  });
  return {
    number: 0,
    revision: 0,
    state,
    customer,
    vehicle,
    visits: [],
    messages: [],
    askedBefore: null,
    customerPhotoIds: [],
    requests: [],
    odometerBefore: [],
    carBefore: null,
    pageOpenedAt: null,
    receiptLinks: [],
  };
}

function madeCustomer(line: readonly Pending[], id: string | null): Customer | null {
  const made = line.find((item) => item.kind === "customer" && item.target === id);
  return made?.kind === "customer" ? customerFromAct(made) : null;
}

function madeVehicle(line: readonly Pending[], id: string | null): Vehicle | null {
  const made = line.find((item) => item.kind === "vehicle" && item.target === id);
  return made?.kind === "vehicle" ? vehicleFromAct(made) : null;
}
