import { mainPlace, type Place } from "@mechanon/core";
import { customerBody, vehicleBody } from "@mechanon/contract";
import type { z } from "zod";
import { isNowhere } from "../work/nowhere";
import type { Draft, KeptCar } from "./draft";

export type DraftFaults = Partial<Record<"name" | "phone" | "email" | "car", string>>;

/** What a draft sends: only the bodies of what is not kept yet. */
export interface DraftBodies {
  customer: z.input<typeof customerBody> | null;
  vehicle: z.input<typeof vehicleBody> | null;
  customerId: string;
  vehicleId: string;
  place: Place | null;
  /** What becomes of a car we keep. */
  then: KeptCar | null;
}

/**
 * Turns a draft into what is sent, or tells what is missing, by field.
 * @param quotesOpen - quotes that wait for an answer on the car; beside one a new one is started knowingly.
 */
export function readDraft(
  draft: Draft,
  quotesOpen = 0,
): { bodies: DraftBodies; faults: null } | { bodies: null; faults: DraftFaults } {
  const faults: DraftFaults = {};
  const place = placeOf(draft);
  const customerId = draft.known?.id ?? draft.customerId;
  const customer = draft.known ? null : customerOf(draft, place);
  if (customer) {
    const parsed = customerBody.safeParse(customer);
    for (const issue of parsed.error?.issues ?? []) {
      const field = FIELD_OF[String(issue.path[0])];
      if (field) faults[field] ??= issue.message;
    }
  }
  if (!draft.car) faults.car = "confirm the car, so that prices and parts hang on the right one";
  if (draft.car?.kind === "kept" && quotesOpen > 0 && draft.openQuote === null)
    faults.car = "a quote is open on this car: go on with it, copy its jobs, or start anew";
  if (Object.keys(faults).length > 0 || !draft.car) return { bodies: null, faults };
  const vehicle =
    draft.car.kind === "kept"
      ? null
      : { id: draft.vehicleId, customerId, ...draft.car.guess, vinNote: draft.car.vinNote };
  return {
    bodies: {
      customer,
      vehicle,
      customerId,
      vehicleId: draft.car.kind === "kept" ? draft.car.vehicle.id : draft.vehicleId,
      then: draft.car.kind === "kept" && draft.car.then !== "nothing" ? draft.car : null,
      place: draft.known ? (mainPlace(draft.known) ?? place) : place,
    },
    faults: null,
  };
}

const FIELD_OF: Readonly<Record<string, "name" | "phone" | "email">> = {
  name: "name",
  phones: "phone",
  emails: "email",
};

function customerOf(draft: Draft, place: Place | null): z.input<typeof customerBody> {
  const { customerId: id, name, phone, email, textsWelcomeAt: at, foundUsBy, newcomerAnswers, notTheSameAs } = draft;
  return {
    id,
    name,
    phones: phone.trim() === "" ? [] : [{ number: phone, label: "Mobile" }],
    emails: email.trim() === "" ? [] : [{ address: email }],
    textConsent: at ? { given: true, at, how: "Said so on the phone" } : null,
    // The same place of the same draft has the same id, however often it is sent.
    serviceAddresses: place ? [{ id, label: "Home", place }] : [],
    foundUsBy,
    newcomerAnswers,
    notTheSameAs,
  };
}

/** The address as far as it is typed. */
export function placeTyped({ street, town, region, postcode, latitude, longitude }: Draft): Place {
  return { street, town, region, postcode, latitude, longitude };
}

function placeOf(draft: Draft): Place | null {
  const place = placeTyped(draft);
  return isNowhere(place) ? null : place;
}
