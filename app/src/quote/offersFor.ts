import type { DiscountOffer, QuoteDiscount } from "@mechanon/core";

/** The owner's discounts that can be granted on a day: those for how the customer came first. */
export function offersFor(
  offers: readonly DiscountOffer[],
  granted: readonly QuoteDiscount[],
  foundUsBy: string | null,
  today: string,
): { fitting: DiscountOffer[]; others: DiscountOffer[]; hasCodes: boolean } {
  const open = offers.filter(
    ({ id, until }) => (until === null || today <= until) && !granted.some(({ offerId }) => offerId === id),
  );
  const isForThem = ({ foundUsBy: by }: DiscountOffer): boolean =>
    by !== null && foundUsBy !== null && by.toLowerCase() === foundUsBy.toLowerCase();
  return {
    fitting: open.filter(isForThem),
    // One with a code is granted to who names it; one for others is not theirs.
    others: open.filter(({ code, foundUsBy: by }) => code === null && by === null),
    hasCodes: open.some(({ code }) => code !== null),
  };
}
