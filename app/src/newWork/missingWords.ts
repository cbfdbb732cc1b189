import type { DraftFaults } from "./readDraft";

const PARTS: Readonly<Record<keyof DraftFaults, string>> = {
  name: "the name",
  phone: "the phone",
  email: "the email",
  jobs: "the jobs",
  car: "the car",
  when: "the time",
};

/** What keeps a call from being saved. @example missingWords({ name: "a name is needed" }) //=> "Look at the name above; ..." */
export function missingWords(faults: DraftFaults): string | null {
  const named = (Object.keys(PARTS) as (keyof DraftFaults)[]).filter((part) => faults[part] !== undefined);
  if (named.length === 0) return null;
  return `Look at ${named.map((part) => PARTS[part]).join(", ")} above; what you typed is kept.`;
}
