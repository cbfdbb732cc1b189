/** What became of a charge. */
export type ChargeAnswer =
  | { outcome: "taken"; lastFour: string; authorization: string }
  | { outcome: "declined"; reason: string }
  /** The terminal never had it, and takes it no more. */
  | { outcome: "withdrawn" };

/** The card terminal. Each call throws an OutsideError when it fails. */
export interface CardTerminal {
  /** @param key - the same key is charged once. */
  charge(key: string, amountCents: number, reference: string): Promise<ChargeAnswer>;
  /** What became of a charge whose answer was lost; one the terminal never had is withdrawn by this. */
  settle(key: string): Promise<ChargeAnswer>;
}
