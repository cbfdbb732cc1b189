import {
  accessNotesAt,
  mainPlace,
  needsOfVisit,
  withKnownPlace,
  type Arranged,
  type Place,
  type VisitNeeds,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../../session/useSession";
import { nowhere } from "../nowhere";

/** What a visit for a work order takes. */
export function needsOfWork({ state }: Pick<WorkOrderView, "state">, business: Business, agreed: Arranged): VisitNeeds {
  return needsOfVisit(state, business.library, business.settings.visits, agreed);
}

/** Where the next visit is: where the last one was, or the customer's place. */
export function nextPlace({ visits, customer }: Pick<WorkOrderView, "visits" | "customer">): Place {
  return visits.at(-1)?.place ?? (customer && mainPlace(customer)) ?? nowhere();
}

/** What was agreed, with what is kept of the place. */
export function agreedThere({ customer }: Pick<WorkOrderView, "customer">, agreed: Arranged, place: Place): Arranged {
  return withKnownPlace(agreed, customer && accessNotesAt(customer, place));
}
