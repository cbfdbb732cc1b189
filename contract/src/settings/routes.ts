import { z } from "zod";
import { businessSettings, libraryJob } from "@mechanon/core";
import { route } from "../route";

export const person = z.object({ id: z.string(), name: z.string(), isMechanic: z.boolean() });

/** What a device keeps of its business: settings, library, people; without costs for those who may not see them. */
export const businessView = z
  .object({
    id: z.string(),
    name: z.string(),
    timeZone: z.string(),
    settings: businessSettings,
    library: z.array(libraryJob),
    people: z.array(person),
    /** Pages of the simulated outside, where there is one. */
    simulated: z.object({ messages: z.string(), switches: z.string() }).nullable(),
  })
  .meta({ id: "Business" });
export type BusinessView = z.infer<typeof businessView>;

export const settingsRoutes = {
  getBusiness: route({
    method: "get",
    path: "/api/business",
    area: "settings",
    summary: "Settings, job library and people",
    answer: businessView,
  }),
};
