import { inZone } from "../dates/dates";
import { LOCALES, type Language } from "./language";

const DAY: Record<Language, string> = { en: "ccc LLL d", es: "ccc d LLL" };

/** @example showDayIn("es", "2026-12-05T18:30:00.000Z", "America/Los_Angeles") //=> "sáb 5 dic" */
export function showDayIn(language: Language, instant: string, zone: string): string {
  return inZone(instant, zone).setLocale(LOCALES[language]).toFormat(DAY[language]);
}

/** A day of any year. @example showDateIn("es", "2026-12-05T18:30:00.000Z", "America/Los_Angeles") //=> "5 dic 2026" */
export function showDateIn(language: Language, instant: string, zone: string): string {
  return inZone(instant, zone)
    .setLocale(LOCALES[language])
    .toFormat(language === "es" ? "d LLL yyyy" : "LLL d, yyyy");
}

/** @example showTimeIn("es", "2026-12-05T18:30:00.000Z", "America/Los_Angeles") //=> "10:30 a. m." */
export function showTimeIn(language: Language, instant: string, zone: string): string {
  const time = inZone(instant, zone).setLocale(LOCALES[language]).toFormat("h:mm a").toLowerCase();
  // Browsers differ in its dots, and part it with spaces that not every phone shows.
  return time.replace(/\s?([ap])\.?\s?m\.?$/, language === "es" ? " $1. m." : " $1m");
}

/** A moment for somebody who reads it on another day. @example showMomentIn("en", "2026-12-05T18:30:00.000Z", "America/Los_Angeles") //=> "Sat Dec 5, 10:30 am" */
export function showMomentIn(language: Language, instant: string, zone: string): string {
  return `${showDayIn(language, instant, zone)}, ${showTimeIn(language, instant, zone)}`;
}
