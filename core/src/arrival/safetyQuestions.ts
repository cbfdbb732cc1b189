import type { LibraryJob } from "../quoting/libraryJob";

/** What makes a place safe for work on a car, each a yes. */
export const SAFETY_QUESTIONS = ["levelHardGround", "awayFromTraffic", "chocked", "standsSet", "dry", "light", "air", "highVoltageDead", "refrigerantRight"] as const; // prettier-ignore
export type SafetyQuestion = (typeof SAFETY_QUESTIONS)[number];

export const SAFETY_WORDS: Readonly<Record<SafetyQuestion, string>> = {
  levelHardGround: "Level, hard ground",
  awayFromTraffic: "Away from traffic, or the side is closed off",
  chocked: "Wheels chocked",
  standsSet: "On stands before anybody is under it",
  dry: "Dry where the work is",
  light: "Light enough to see",
  air: "Fresh air while the engine runs",
  highVoltageDead: "High voltage isolated, locked and measured dead",
  refrigerantRight: "I hold the right to open the refrigerant circuit (EPA 609)",
};

/** What is asked wherever a car stands. */
const ALWAYS: readonly SafetyQuestion[] = ["awayFromTraffic", "chocked"];

/**
 * What has to be so for the work at hand, the usual first.
 *
 * @param jobs - of the library, that are on the quote.
 * @example safetyQuestions([]) //=> ["awayFromTraffic", "chocked"]
 */
export function safetyQuestions(jobs: readonly Pick<LibraryJob, "needs">[]): SafetyQuestion[] {
  const place = new Set(jobs.flatMap(({ needs }) => needs.place));
  const rights = new Set(jobs.flatMap(({ needs }) => needs.rights));
  const asked = new Set<SafetyQuestion>(ALWAYS);
  if (place.has("levelHardGround")) {
    asked.add("levelHardGround");
    asked.add("standsSet");
  }
  if (place.has("dry")) asked.add("dry");
  if (place.has("daylight")) asked.add("light");
  if (place.has("roof")) asked.add("air");
  if (rights.has("highVoltage")) asked.add("highVoltageDead");
  if (rights.has("refrigerant")) asked.add("refrigerantRight");
  return SAFETY_QUESTIONS.filter((question) => asked.has(question));
}
