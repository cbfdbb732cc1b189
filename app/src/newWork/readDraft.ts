import { mainPlace, showDay, type Place } from "@mechanon/core";
import { customerBody } from "@mechanon/contract";
import type { z } from "zod";
import { typedOfCar } from "../carFinder/carSearch";
import { isNowhere } from "../work/nowhere";
import type { Draft } from "./draft";

export type DraftFaults = Partial<Record<"name" | "phone" | "email" | "jobs" | "car" | "when", string>>;

/** What a draft sends: only the bodies of what is not kept yet. */
export interface DraftBodies {
  customer: z.input<typeof customerBody> | null;
  customerId: string;
  /** Null: nobody knows yet which car. */
  vehicleId: string | null;
  place: Place | null;
  car: Draft["car"];
}

export interface DraftAround {
  /** Quotes that wait for an answer on the car; beside one a new one is started knowingly. */
  quotesOpen: number;
  /** Titles of wanted jobs that do not fit. */
  unfit: readonly string[];
  /** In the zone of the business. */
  today: string;
}

/** Turns a draft into what is sent, or tells what is missing, by field. What stands typed goes along or is told. */
export function readDraft(
  draft: Draft,
  { quotesOpen, unfit, today }: DraftAround,
): { bodies: DraftBodies; faults: null } | { bodies: null; faults: DraftFaults } {
  const faults: DraftFaults = {};
  const place = placeOf(draft);
  const { car } = draft;
  const customerId = draft.known?.id ?? draft.customerId;
  const customer = draft.known ? null : customerOf(draft, place);
  if (customer) {
    const parsed = customerBody.safeParse(customer);
    for (const issue of parsed.error?.issues ?? []) {
      const field = FIELD_OF[String(issue.path[0])];
      if (field) faults[field] ??= issue.message;
    }
  }
  if (unfit.length > 0) faults.jobs = `${unfit.join(", ")}: take it off, or pick another`;
  const typed = typedOfCar(draft);
  if (!car && typed !== "")
    faults.car = `“${typed}” is typed, but no car is confirmed: confirm one, or empty the field`;
  if (car?.kind === "kept" && quotesOpen > 0 && draft.openQuote === null)
    faults.car = "a quote is open on this car: go on with it, copy its jobs, or start anew";
  if (draft.wish.day !== null && draft.slot === null)
    faults.when =
      draft.wish.day < today
        ? "the day picked is over: pick another, or no visit yet"
        : `pick a time for ${showDay(draft.wish.day, today)}, or no visit yet`;
  if (Object.keys(faults).length > 0) return { bodies: null, faults };
  return {
    bodies: {
      customer,
      customerId,
      vehicleId: car === null ? null : car.kind === "kept" ? car.vehicle.id : draft.vehicleId,
      car,
      place: placeOfCall(draft),
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
  const {
    customerId: id,
    name,
    knownFrom,
    phone,
    email,
    textsWelcomeAt: at,
    foundUsBy,
    newcomerAnswers,
    notTheSameAs,
  } = draft;
  return {
    id,
    name,
    knownFrom,
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

/** Where the visit will be, as far as that is known: the caller's own place, or what is typed. */
export function placeOfCall(draft: Draft): Place | null {
  const typed = placeOf(draft);
  return draft.known ? (mainPlace(draft.known) ?? typed) : typed;
}

/** The address as far as it is typed. */
export function placeTyped({ street, town, region, postcode, latitude, longitude }: Draft): Place {
  return { street, town, region, postcode, latitude, longitude };
}

function placeOf(draft: Draft): Place | null {
  const place = placeTyped(draft);
  return isNowhere(place) ? null : place;
}
