import type { Right } from "./rights";

/** What a person reads who gave a command that takes a right they do not have. */
export const RIGHT_REFUSALS = {
  "rights/see-cost": "You may not see costs. Nothing was changed; ask the owner.",
  "rights/change-prices": "You may not change prices. The price was left as it is; ask the owner.",
  "rights/reports": "You may not see reports. Nothing was changed; ask the owner.",
  "rights/settings": "You may not change settings. Nothing was changed; ask the owner.",
} as const;

const CODE_OF: Readonly<Record<Right, keyof typeof RIGHT_REFUSALS>> = {
  seeCost: "rights/see-cost",
  changePrices: "rights/change-prices",
  reports: "rights/reports",
  settings: "rights/settings",
};

/** The refusal for whoever lacks a right. */
export function refusalForRight(right: Right): keyof typeof RIGHT_REFUSALS {
  return CODE_OF[right];
}
