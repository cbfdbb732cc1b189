import { z } from "zod";
import { businessSettings, libraryJob, newcomerSettings } from "@mechanon/core";
import { textField } from "../fields";
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

const newcomersBody = z.strictObject({
  foundUsBy: z.array(textField(60).min(1)).max(30),
  questions: z
    .array(
      z.strictObject({
        id: textField(60).min(1),
        text: textField(300).min(1, "a question needs its words"),
        choices: z.array(textField(100).min(1)).max(20),
      }),
    )
    .max(20)
    .refine(
      (questions) => new Set(questions.map(({ id }) => id)).size === questions.length,
      "two questions have one id",
    ),
});

/** How newcomers found the business, and what they answered. */
export const newcomerReport = z.object({
  since: z.string(),
  newcomers: z.number().int(),
  foundUsBy: z.array(z.object({ answer: z.string(), count: z.number().int() })),
  questions: z.array(
    z.object({
      questionId: z.string(),
      question: z.string(),
      answers: z.array(z.object({ answer: z.string(), count: z.number().int() })),
    }),
  ),
});
export type NewcomerReport = z.infer<typeof newcomerReport>;

export const settingsRoutes = {
  getBusiness: route({
    method: "get",
    path: "/api/business",
    area: "settings",
    summary: "Settings, job library and people",
    answer: businessView,
  }),
  changeNewcomers: route({
    method: "patch",
    path: "/api/business/newcomers",
    area: "settings",
    summary: "Change what newcomers are asked (right: settings)",
    body: newcomersBody,
    answer: newcomerSettings,
  }),
  newcomerReport: route({
    method: "get",
    path: "/api/reports/newcomers",
    area: "settings",
    summary: "How newcomers of the last year found the business, and their answers (right: reports)",
    answer: newcomerReport,
  }),
};
