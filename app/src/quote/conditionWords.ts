import type { PartLine } from "@mechanon/core";

/** What a part is said to be. */
export const CONDITION_TITLES = { new: "New", rebuilt: "Rebuilt", used: "Used" } as const;

/** What stands below a part on the quote: who brings it, or that it is not new; null: nothing is to be said. */
export function conditionWords({ isCustomers, condition }: PartLine): string | null {
  if (isCustomers) return "Brought by the customer";
  return condition && condition !== "new" ? CONDITION_TITLES[condition] : null;
}
