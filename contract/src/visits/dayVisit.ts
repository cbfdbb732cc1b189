import { z } from "zod";
import { visitState } from "@mechanon/core";
import { workOrderSummary } from "../workOrders/summary";

/** A stop of the day with what it is for. */
export const dayVisit = z
  .object({ visit: visitState, mechanicName: z.string(), workOrders: z.array(workOrderSummary) })
  .meta({ id: "DayVisit" });
export type DayVisit = z.infer<typeof dayVisit>;
