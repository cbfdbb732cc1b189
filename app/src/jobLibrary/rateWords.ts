import { CHOSEN_RATE, showMoney, type MoneyRules, type QuoteLine } from "@mechanon/core";

const REASONS: Record<string, string> = {
  diagnosis: "it finds out what is wrong",
  vehicleClass: "it is that class of vehicle",
  power: "that is what drives the car",
  age: "the car is of that age",
  afterHours: "it is after hours",
  customersPart: "the customer brings a part",
  [CHOSEN_RATE]: "it was chosen",
};

/** Which rate of the house a line is at, and why; null: the general one stands, or a rate was typed. */
export function rateWords(line: QuoteLine, { rates = [] }: Pick<MoneyRules, "rates">): string | null {
  if (line.kind !== "labor" || !line.rate || line.rate.because.length === 0) return null;
  const { id, because } = line.rate;
  const title = id === null ? "General" : (rates.find((rate) => rate.id === id)?.title ?? "A former");
  const reasons = because.map((reason) => REASONS[reason] ?? "the house’s rules say so");
  return `${title} rate, since ${reasons.join(" and ")}`;
}

/** The rates of the house to choose from; the general one first, as the empty value. */
export function rateChoices({ rates = [], laborRateCents }: MoneyRules): { value: string; label: string }[] {
  return [
    { value: "", label: `General ${showMoney(laborRateCents)}` },
    ...rates.map(({ id, title, cents }) => ({ value: id, label: `${title} ${showMoney(cents)}` })),
  ];
}
