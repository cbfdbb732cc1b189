import type { NO_SALE_REASONS } from "@mechanon/core";

/** Why nothing was sold, as it is picked and read. */
export const NO_SALE_WORDS: Readonly<Record<(typeof NO_SALE_REASONS)[number], string>> = {
  price: "Too dear",
  elsewhere: "Done elsewhere",
  thinks: "Not now",
  notOurs: "Nothing we do",
  noAnswer: "Never answered",
  other: "Another reason",
};
