import { z } from "zod";

/** What a person may do beyond the daily work; enforced in what the server sends and takes. */
export const RIGHTS = ["seeCost", "changePrices", "reports", "settings"] as const;
const right = z.enum(RIGHTS);
export type Right = z.infer<typeof right>;

/** The rights of a person as another version of the program may tell them: one that is not known here is left out. */
export const rights = z
  .array(z.string())
  .transform((told) => told.filter((each) => right.safeParse(each).success))
  .pipe(z.array(right));

/** Who does something: the person, with the rights they have. */
export interface Actor {
  id: string;
  name: string;
  rights: readonly Right[];
}

/** Whether a person has a right. */
export function hasRight(actor: Pick<Actor, "rights">, wanted: Right): boolean {
  return actor.rights.includes(wanted);
}
