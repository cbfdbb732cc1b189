/** Kinds of parts: each may have its own markup, and fees that hang on it. */
export const PART_KINDS = ["aftermarket", "dealer", "tire", "battery", "fluid", "filter"] as const;
export type PartKind = (typeof PART_KINDS)[number];

export const PART_KIND_TITLES: Readonly<Record<PartKind, string>> = {
  aftermarket: "Aftermarket",
  dealer: "Dealer",
  tire: "Tire",
  battery: "Battery",
  fluid: "Oil or fluid",
  filter: "Filter",
};

/** What a part is said to be on the paper, as many states ask; who brings it stands by itself. */
export const PART_CONDITIONS = ["new", "rebuilt", "used"] as const;
