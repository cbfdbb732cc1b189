import type { MeasureKind } from "../inspection/measure";
import type { Language } from "../languages/language";
import { say } from "../customerWords/say";
import type { WordKey } from "../customerWords/english";

const ACROSS: Readonly<Record<string, WordKey>> = {
  inner: "measure.treadInner",
  middle: "measure.treadMiddle",
  outer: "measure.treadOuter",
};

/** What was measured, in the customer's language; what only the owner knows is told in their words. */
export function measureName(
  language: Language,
  { kind, key, name }: { kind: MeasureKind; key: string; name: string },
): string {
  if (kind === "other" || kind === "dotDate") return name;
  return say(language, kind === "tread" ? (ACROSS[key] ?? "measure.tread") : `measure.${kind}`);
}
