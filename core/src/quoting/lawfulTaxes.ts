import type { MoneyRules } from "./moneyRules";
import type { RulesInput } from "./price/input";
import type { TaxPlace } from "./pricingRules";

type Taxes = NonNullable<RulesInput["taxes"]>;

/** Where work is done, as far as it decides the taxes. */
export interface TaxedAt {
  postcode: string;
  town: string;
}

/** The owner's place whose taxes hold where work is done; null: the usual ones. A place that names nothing is everywhere. */
export function taxPlaceOf({ taxPlaces = [] }: Pick<MoneyRules, "taxPlaces">, at: TaxedAt | null): TaxPlace | null {
  const plain = (words: string): string => words.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, "");
  const fits = ({ postcodes, towns }: TaxPlace): boolean => {
    if (postcodes.length + towns.length === 0) return true;
    if (at === null) return false;
    return (
      postcodes.some((beginning) => plain(at.postcode).startsWith(plain(beginning))) ||
      towns.some((town) => plain(town) === plain(at.town))
    );
  };
  return taxPlaces.find(fits) ?? null;
}

/**
 * The taxes that hold at a place on a day: of several of one name the newest that holds by then.
 *
 * @param placeId - null, or one that is gone: the usual taxes.
 * @param day - an ISO calendar day.
 */
export function lawfulTaxes(
  { taxPlaces = [], pricing }: Pick<MoneyRules, "taxPlaces" | "pricing">,
  placeId: string | null,
  day: string,
): Taxes {
  const place = taxPlaces.find(({ id }) => id === placeId);
  if (!place) return [...(pricing.taxes ?? [])];
  const holding = place.taxes.filter(({ from }) => from === null || from <= day);
  const newest = holding.filter(
    ({ id, from }) => !holding.some((other) => other.id === id && (other.from ?? "") > (from ?? "")),
  );
  return newest.map(({ id, percent, on }) => ({ id, percent, on }));
}
