import { parsePhoneNumberFromString } from "libphonenumber-js";

/** The country of numbers typed without one. */
const HOME_COUNTRY = "US";

/**
 * A phone as it is stored (E.164), however it was typed.
 *
 * @returns null when it is not a number that could exist.
 * @example
 * toE164("(541) 555-0123") //=> "+15415550123"
 */
export function toE164(typed: string): string | null {
  const number = parsePhoneNumberFromString(typed, HOME_COUNTRY);
  return number?.isPossible() ? number.number : null;
}

/** A stored phone as people of the country write it. @example showPhone("+15415550123") //=> "(541) 555-0123" */
export function showPhone(e164: string): string {
  const number = parsePhoneNumberFromString(e164, HOME_COUNTRY);
  if (!number) return e164;
  return number.countryCallingCode === "1" ? number.formatNational() : number.formatInternational();
}
