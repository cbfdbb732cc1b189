import { z } from "zod";

/** What a person may do beyond the daily work; enforced in what the server sends and takes. */
export const RIGHTS = ["seeCost", "changePrices", "refund", "reports", "settings"] as const;
export const right = z.enum(RIGHTS);
export type Right = z.infer<typeof right>;

/** Who does something: the person, with the rights they have. */
export interface Actor {
  id: string;
  name: string;
  rights: readonly Right[];
}

export function hasRight(actor: Pick<Actor, "rights">, wanted: Right): boolean {
  return actor.rights.includes(wanted);
}
