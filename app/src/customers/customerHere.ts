import type { CustomerSheetView } from "@mechanon/contract";
import { customerFromAct, vehicleFromAct } from "../sync/madeHere";
import type { Pending } from "../sync/pending";

/** The sheet of a customer who was taken down on this device and is not at the server. @returns undefined for others. */
export function customerHere(id: string, line: readonly Pending[]): CustomerSheetView | undefined {
  const act = line.find((item) => item.kind === "customer" && item.target === id);
  const customer = act?.kind === "customer" ? customerFromAct(act) : null;
  if (!customer) return undefined;
  const vehicles = line.flatMap((item) => {
    const vehicle = item.kind === "vehicle" && item.body.customerId === id ? vehicleFromAct(item) : null;
    return vehicle ? [vehicle] : [];
  });
  return {
    customer,
    vehicles,
    drives: [],
    openWork: [],
    comingVisits: [],
    lastVisits: [],
    owedCents: 0,
    later: [],
    messages: [],
    pastWork: [],
    pastWorkCount: 0,
    merges: [],
  };
}
