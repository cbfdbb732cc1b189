import { z } from "zod";
import { intervalFault } from "./intervalFault";
import { wholeNumber } from "./wholeNumber";

/** How often something is due, as typed on one line; null where nothing is. */
export function intervalField(unit: "miles" | "months") {
  return z.string().transform((typed, context) => {
    const fault = intervalFault(unit, typed);
    if (fault === null) return wholeNumber(typed);
    context.addIssue({ code: "custom", message: fault });
    return z.NEVER;
  });
}
