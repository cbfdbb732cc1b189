import { dequal } from "dequal";
import {
  isSold,
  lawfulTaxes,
  mainPlace,
  taxPlaceOf,
  type MoneyRules,
  type TaxPlace,
  type WorkOrderState,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";

/** The owner's place whose taxes hold where the work is done; null: the usual ones. */
export function taxPlaceHere(
  { visits, customer }: Pick<WorkOrderView, "visits" | "customer">,
  rules: MoneyRules,
): TaxPlace | null {
  const place = visits.filter(({ calledOff }) => !calledOff).at(-1)?.place ?? (customer ? mainPlace(customer) : null);
  return taxPlaceOf(rules, place ?? null);
}

/** Whether a quote that is not sold yet is under other taxes than the law has there on a day. */
export function isUnderOtherTaxes(
  view: Pick<WorkOrderView, "visits" | "customer" | "state">,
  rules: MoneyRules,
  day: string,
): boolean {
  const { state } = view;
  if (isSold(state)) return false;
  const placeId = taxPlaceHere(view, rules)?.id ?? null;
  return (
    (state.taxPlaceId ?? null) !== placeId || !dequal(lawfulTaxes(rules, placeId, day), state.rules.pricing.taxes ?? [])
  );
}

/** What is to be known of the taxes of a quote. */
export function taxWords(state: WorkOrderState, { taxPlaces = [] }: MoneyRules, today: string): string[] {
  const place = taxPlaces.find(({ id }) => id === state.taxPlaceId);
  const { taxesBefore } = state;
  const rates = (taxes: readonly { id: string; percent: number }[]): string =>
    taxes.map(({ id, percent }) => `${id} ${percent} %`).join(", ") || "none";
  return [
    ...(place ? [`Taxes of ${place.title}`] : []),
    ...(taxesBefore && taxesBefore.day <= today
      ? [
          `The law changed the taxes: ${rates(taxesBefore.taxes)} before, now ${rates(state.rules.pricing.taxes ?? [])}. What was agreed holds.`,
        ]
      : []),
    ...(state.taxExempt ? ["The customer is exempt from tax"] : []),
  ];
}
