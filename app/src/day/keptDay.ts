import { upgradeVisit } from "@mechanon/core";
import { dayVisit, type DayVisit } from "@mechanon/contract";
import { z } from "zod";

/** A day as this device kept it: visits of yesterday's app are brought forward. */
export const keptDay = z.object({
  date: z.string(),
  visits: z.array(
    dayVisit.extend({
      visit: z.record(z.string(), z.unknown()).transform((stored): DayVisit["visit"] => upgradeVisit(stored)),
    }),
  ),
});
