import {
  fillTemplate,
  showDayIn,
  showMomentIn,
  showPhone,
  showTimeIn,
  textLength,
  type Language,
} from "@mechanon/core";
import type { Business } from "../session/useSession";

/** A moment for the preview: a Saturday morning. */
const SAMPLE_AT = "2026-12-05T18:30:00.000Z";
const SAMPLE_BEFORE = "2026-12-03T17:00:00.000Z";

/** A template as its customer would read it, with made-up values. */
export function previewOf(
  template: string,
  language: Language,
  { name, timeZone: zone, settings }: Pick<Business, "name" | "timeZone" | "settings">,
): string {
  return fillTemplate(template, {
    business: name,
    phone: showPhone(settings.phone),
    customer: "Perpetua",
    car: "2014 Fennick Rover",
    mechanic: "Tomas",
    day: showDayIn(language, SAMPLE_AT, zone),
    time: showTimeIn(language, SAMPLE_AT, zone),
    before: showMomentIn(language, SAMPLE_BEFORE, zone),
    minutes: "15",
    amount: "$412.60",
    words: "",
    link: `https://…/c/${"x".repeat(32)}`,
  });
}

/** How a text goes out. @example textLengthWords("On my way") //=> "Goes out as 1 message." */
export function textLengthWords(text: string): string {
  const { messages, isWide } = textLength(text);
  const count = messages === 1 ? "1 message" : `${messages} messages, each paid for`;
  return `Goes out as ${count}.${isWide && messages > 1 ? " A character of it is not in the alphabet of plain texts, so fewer fit into one." : ""}`;
}
