import { makeChanges } from "@mechanon/core";
import { routes, type Customer, type Vehicle, type VehicleSheetView } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { fieldWords } from "./fieldWords";
import { customerRecord, vehicleRecord } from "./keptRecords";
import type { Act, Refusal, ServiceAgreement } from "./pending";

/** A customer or a car as the server keeps it now, or the car's whole sheet. */
export interface KeptRecord {
  customer?: Customer;
  vehicle?: Vehicle;
  carSheet?: VehicleSheetView;
}

/** What came of a change: the record as it is now, or why it was not made. */
export type Kept = { record: KeptRecord; refusal: null } | { record: KeptRecord | null; refusal: Refusal };

/** However many change it at the same moment, it is not tried for ever. */
const MOST_TRIES = 4;

type Change<Kind extends Act["kind"]> = Extract<Act, { kind: Kind }>;

/**
 * Changes a kept customer. What others changed of other fields meanwhile stays; what they changed of the same ones is
 * told, and theirs stands.
 */
export async function sendCustomerChange({ target: id, ...changes }: Change<"customerChange">): Promise<Kept> {
  return whileChanging(async () => {
    const { customer } = await call(routes.getCustomer, { params: { id } });
    const made = makeChanges(customerRecord(customer), changes);
    if (made.overtaken.length > 0) return { record: { customer }, refusal: overtaken(made.overtaken) };
    const body = { ...made.fields, version: customer.version };
    return { record: { customer: await call(routes.changeCustomer, { params: { id }, body }) }, refusal: null };
  });
}

/** Agrees with a customer how often a service is due; what was agreed before of the same one ends. */
export async function sendAgreement({ target: id, interval }: Change<"agreement">): Promise<Kept> {
  return whileChanging(async () => {
    const { customer } = await call(routes.getCustomer, { params: { id } });
    const body = {
      ...customerRecord(customer),
      serviceIntervals: agreedWith(customer.serviceIntervals, interval),
      version: customer.version,
    };
    return { record: { customer: await call(routes.changeCustomer, { params: { id }, body }) }, refusal: null };
  });
}

/** The intervals agreed with a customer, with one more agreed, or given up. */
export function agreedWith(agreed: readonly ServiceAgreement[], interval: ServiceAgreement): ServiceAgreement[] {
  const others = agreed.filter(({ id }) => id !== interval.id);
  return interval.miles === null && interval.months === null ? others : [...others, interval];
}

/** Changes a kept car, as `sendCustomerChange` does a customer. */
export async function sendVehicleChange({ target: id, ...changes }: Change<"vehicleChange">): Promise<Kept> {
  return whileChanging(async () => {
    const vehicle = await call(routes.getVehicle, { params: { id } });
    const made = makeChanges(vehicleRecord(vehicle), changes);
    if (made.overtaken.length > 0) return { record: { vehicle }, refusal: overtaken(made.overtaken) };
    const body = { ...made.fields, version: vehicle.version };
    return { record: { vehicle: await call(routes.changeVehicle, { params: { id }, body }) }, refusal: null };
  });
}

/** Keeps what a mechanic found instead of what the spec sheet says. */
export async function sendSpecCorrection({ target: id, key, value }: Change<"specCorrection">): Promise<Kept> {
  return {
    record: { carSheet: await call(routes.correctSpec, { params: { id }, body: { key, value } }) },
    refusal: null,
  };
}

/** Changes something from its newest version; who comes in between makes it begin anew. */
async function whileChanging(change: () => Promise<Kept>): Promise<Kept> {
  for (let times = 1; ; times++)
    try {
      return await change();
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.problem.code !== "version/changed" || times === MOST_TRIES)
        throw error;
    }
}

function overtaken(fields: readonly string[]): Refusal {
  return {
    code: "version/changed",
    words: `Somebody else changed the ${fieldWords(fields)} meanwhile, and theirs stands. Change it to see both, or let go of yours.`,
  };
}
