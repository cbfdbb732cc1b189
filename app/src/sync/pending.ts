import type { ClientWorkOrderCommand, FieldChanges, SpecKey, VisitCommand } from "@mechanon/core";
import type { Customer, customerBody, customerFields, Vehicle, vehicleBody } from "@mechanon/contract";
import type { z } from "zod";

/** What of a kept customer can be changed. */
export type CustomerRecord = z.output<typeof customerFields>;
/** What of a kept car can be changed. */
export type VehicleRecord = Omit<Vehicle, "id" | "customerId" | "version">;
export type ServiceAgreement = CustomerRecord["serviceIntervals"][number];

/** What a person did, to one thing. */
export type Act = {
  /** The same however often it is given; left out: one of its own. */
  id?: string;
} & (
  | {
      kind: "workOrder";
      target: string;
      command: ClientWorkOrderCommand;
      /** Whose it becomes and for which car, to be shown before the server knows of it; left out: as it is. */
      parties?: { customer?: Customer | null; vehicle?: Vehicle | null };
    }
  | { kind: "visit"; target: string; workOrderId: string; command: VisitCommand }
  /** A new customer. */
  | { kind: "customer"; target: string; body: Omit<z.input<typeof customerBody>, "id"> }
  /** A new car. */
  | { kind: "vehicle"; target: string; body: Omit<z.input<typeof vehicleBody>, "id"> }
  /** What is known of a kept customer, changed. */
  | ({ kind: "customerChange"; target: string } & FieldChanges<CustomerRecord>)
  /** Two records of one customer become this one. */
  | { kind: "merge"; target: string; mergedId: string; mergedName: string }
  /** How often a service is due with a customer; neither miles nor months: as with everybody. */
  | { kind: "agreement"; target: string; interval: ServiceAgreement }
  /** What is known of a kept car, changed. */
  | ({ kind: "vehicleChange"; target: string } & FieldChanges<VehicleRecord>)
  /** What a mechanic found instead of what the spec sheet says; null: the sheet holds again. */
  | { kind: "specCorrection"; target: string; key: SpecKey; value: string | null }
  /** A kept car that is somebody else's now, or is driven by them. */
  | {
      kind: "vehicleOwner";
      target: string;
      customerId: string;
      becomes: "owner" | "driver";
      /** What a driver is to the car; left out: its driver. */
      role?: string;
      /** To be shown before the server knows of it. */
      name?: string;
    }
  /** Somebody who drives a kept car no more. */
  | { kind: "personOff"; target: string; customerId: string }
);

/** What was done on this device and is not at the server yet. */
export type Pending = Act & {
  /** The same however often it is sent. */
  id: string;
  /** When it was done, by this device's clock. */
  at: string;
  /** Who did it; nobody else sends it. */
  by: string;
  /** Its place in the line; none while it is in memory only. */
  seq?: number;
  /** Of which app it is; none: of the first. */
  protocol?: number;
  /** Why the server did not take it; the person says what becomes of it. */
  refusal?: Refusal;
};

/** Why something was not taken: a code of a command's refusal or of a problem, in words for the person. */
export interface Refusal {
  code: string;
  words: string;
  /** It was done all the same; the person is to know. */
  isDone?: boolean;
}

/** Whether it makes what it is about, so that others wait for it. */
export function makes(item: Act): boolean {
  switch (item.kind) {
    case "customer":
    case "vehicle":
    case "vehicleOwner":
      return true;
    case "workOrder":
      return isOpening(item);
    case "visit":
      return item.command.type === "bookVisit";
    case "customerChange":
    case "merge":
    case "agreement":
    case "vehicleChange":
    case "specCorrection":
    case "personOff":
      return false;
  }
}

/** The things an act names besides what it is about: they have to be at the server first. */
export function namedBy(item: Act): string[] {
  switch (item.kind) {
    case "customer":
    case "customerChange":
    case "agreement":
    case "vehicleChange":
    case "specCorrection":
      return [];
    case "merge":
      return [item.mergedId];
    case "vehicle":
      return [item.body.customerId];
    case "vehicleOwner":
    case "personOff":
      return [item.customerId];
    case "workOrder": {
      const { command } = item;
      const named = [
        "customerId" in command ? command.customerId : null,
        "vehicleId" in command ? command.vehicleId : null,
      ];
      return named.filter((id) => id !== null);
    }
    case "visit":
      return [item.workOrderId, ...(item.command.type === "bookVisit" ? item.command.workOrderIds : [])];
  }
}

/** Whether it shows on this work order, customer or car. */
export function isAbout(item: Act, id: string): boolean {
  if (item.kind === "merge" && item.mergedId === id) return true;
  return item.target === id || (item.kind === "visit" && item.workOrderId === id);
}

/** Whether it opens a work order. */
export function isOpening(item: Act): boolean {
  return item.kind === "workOrder" && item.command.type === "openWorkOrder";
}
