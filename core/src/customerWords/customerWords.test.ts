import { ENGLISH, type WordKey } from "./english";
import { say, sayFault } from "./say";
import { SPANISH } from "./spanish";

/** The names a message is filled with, those inside its choices too. */
function namesIn(message: string): string[] {
  const names = [...message.matchAll(/\{(\w+)(?=[,}])/g)].flatMap(([, name]) => name ?? []);
  return [...new Set(names)].sort();
}

const KEYS = Object.keys(ENGLISH) as WordKey[];

it("says the same with the same values in both languages", () => {
  for (const key of KEYS) expect([key, namesIn(SPANISH[key])]).toEqual([key, namesIn(ENGLISH[key])]);
});

it("leaves nothing in English, but for words both languages share", () => {
  const same = KEYS.filter((key) => ENGLISH[key] === SPANISH[key]);
  expect(same).toEqual(["mine.answerNo", "answer.no", "receipt.total", "receipt.hours"]);
});

it("counts as each language does", () => {
  expect(say("es", "ask.photos", { count: 1 })).toBe("1 foto agregada");
  expect(say("es", "ask.photos", { count: 3 })).toBe("3 fotos agregadas");
  expect(say("en", "ask.callOff", { hours: 24, amount: "$35.00" })).toBe(
    "Calling off less than 24 hours before costs $35.00.",
  );
});

it("has words for faults by their codes", () => {
  expect(sayFault("es", "ask/closed")).toMatch(/^Por ahora/);
  expect(sayFault("es", "no/such-fault")).toBeNull();
});
