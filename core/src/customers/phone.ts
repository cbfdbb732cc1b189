import { parsePhoneNumberFromString, type PhoneNumber } from "libphonenumber-js/core";
import type { CustomerPhone } from "./details";
import { phoneMetadata } from "./phoneMetadata";

/** The country of numbers typed without one. */
const HOME_COUNTRY = "US";
/** Longer is no phone of any country, and not worth parsing. */
const MOST_TYPED = 60;

/**
 * A phone as it is stored, however it was typed: the number as E.164, an extension beside it.
 *
 * @returns null when it is not a number that could exist.
 * @example
 * readPhone("(541) 555-0123 ext. 4") //=> { number: "+15415550123", extension: "4" }
 */
export function readPhone(typed: string): Pick<CustomerPhone, "number" | "extension"> | null {
  const number = parse(typed);
  return number?.isPossible() ? { number: number.number, extension: number.ext ?? null } : null;
}

/** The digits of a stored phone after its country. @example nationalDigits("+493012345678") //=> "3012345678" */
export function nationalDigits(e164: string): string {
  // Most are of the home country, and an import keeps tens of thousands of them.
  const [, home] = /^\+1([2-9]\d{9})$/.exec(e164) ?? [];
  if (home !== undefined) return home;
  return parse(e164)?.nationalNumber ?? e164.replace(/\D/g, "");
}

/** A stored phone as people of the country write it. @example showPhone("+15415550123") //=> "(541) 555-0123" */
export function showPhone(e164: string, extension: string | null = null): string {
  const number = parse(e164);
  const shown = !number
    ? e164
    : number.countryCallingCode === "1"
      ? number.formatNational()
      : number.formatInternational();
  return extension === null ? shown : `${shown} ext. ${extension}`;
}

function parse(text: string): PhoneNumber | undefined {
  if (text.length > MOST_TYPED) return undefined;
  // The way out of the country, dialed from Europe or from North America, stands for the plus.
  const dialed = text.trim().replace(/^(?:00|011)(?=[\s1-9])/, "+");
  return parsePhoneNumberFromString(dialed, { defaultCountry: HOME_COUNTRY }, phoneMetadata());
}
