import type { Place } from "@mechanon/core";
import { customerBody, vehicleBody } from "@mechanon/contract";
import type { z } from "zod";
import { isNowhere } from "../work/nowhere";
import type { Draft } from "./draft";

export type DraftFaults = Partial<Record<"name" | "phone" | "email" | "car", string>>;

/** What a draft sends: only the bodies of what is not kept yet. */
export interface DraftBodies {
  customer: z.input<typeof customerBody> | null;
  vehicle: z.input<typeof vehicleBody> | null;
  customerId: string;
  vehicleId: string;
  place: Place | null;
}

/** Turns a draft into what is sent, or tells what is missing, by field. */
export function readDraft(draft: Draft): { bodies: DraftBodies; faults: null } | { bodies: null; faults: DraftFaults } {
  const faults: DraftFaults = {};
  const place = placeOf(draft);
  const customerId = draft.known?.id ?? draft.customerId;
  const customer = draft.known
    ? null
    : { id: customerId, name: draft.name, phone: draft.phone, email: draft.email, place };
  if (customer) {
    const parsed = customerBody.safeParse(customer);
    for (const issue of parsed.error?.issues ?? []) {
      const field = issue.path[0];
      if (field === "name" || field === "phone" || field === "email") faults[field] ??= issue.message;
    }
  }
  if (!draft.car) faults.car = "confirm the car, so that prices and parts hang on the right one";
  if (Object.keys(faults).length > 0 || !draft.car) return { bodies: null, faults };
  const vehicle = draft.car.kind === "kept" ? null : { id: draft.vehicleId, customerId, ...draft.car.guess };
  return {
    bodies: {
      customer,
      vehicle,
      customerId,
      vehicleId: draft.car.kind === "kept" ? draft.car.vehicle.id : draft.vehicleId,
      place: draft.known?.place ?? place,
    },
    faults: null,
  };
}

function placeOf({ street, town, region, postcode, latitude, longitude }: Draft): Place | null {
  const place = { street, town, region, postcode, latitude, longitude };
  return isNowhere(place) ? null : place;
}
