/** People of the demo business. Their passwords are shown on the sign-in page, so they guard nothing. */
export const PEOPLE = [
  { key: "odile", login: "odile", password: "lantern-7", name: "Odile Farrow", role: "Owner and mechanic", isMechanic: true, rights: ["seeCost", "changePrices", "reports", "settings"] },
  { key: "tomas", login: "tomas", password: "anchor-22", name: "Tomas Quill", role: "Mechanic", isMechanic: true, rights: ["seeCost"] },
  { key: "wren", login: "wren", password: "ledger-5", name: "Wren Adeyemi", role: "Office", isMechanic: false, rights: ["changePrices"] },
] as const; // prettier-ignore
