import { z } from "zod";
import { businessSettings, concernPhrase, libraryJob, newcomerSettings } from "@mechanon/core";
import { textField, versionField } from "../fields";
import { route } from "../route";

export const person = z.object({ id: z.string(), name: z.string(), isMechanic: z.boolean() });

/** What a device keeps of its business: settings and people; without costs for those who may not see them. */
export const businessView = z
  .object({
    id: z.string(),
    name: z.string(),
    timeZone: z.string(),
    settings: businessSettings,
    /** Which library goes with it; the library itself is asked for when this is another. */
    libraryVersion: z.number().int().default(0),
    people: z.array(person),
    /** Pages of the simulated outside, where there is one. */
    simulated: z.object({ messages: z.string(), switches: z.string() }).nullable(),
  })
  .meta({ id: "Business" });
export type BusinessView = z.infer<typeof businessView>;

/** The job library; without costs for those who may not see them. */
export const libraryView = z
  .object({ version: z.number().int(), library: z.array(libraryJob) })
  .meta({ id: "Library" });
export type LibraryView = z.infer<typeof libraryView>;

const version = versionField;

const newcomersBody = z.strictObject({
  version,
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

const phraseBody = z.strictObject({
  id: textField(60).min(1),
  text: textField(200).min(1, "a phrase needs its words"),
  kind: z.enum(["fault", "wish"]),
  area: textField(60).min(1, "a phrase needs its area"),
});
const haveOwnIds = (items: readonly { id: string }[]): boolean =>
  new Set(items.map(({ id }) => id)).size === items.length;

/** Most phrases a business keeps. */
export const MOST_PHRASES = 500;
const concernsBody = z.strictObject({
  version,
  concerns: z.array(phraseBody).max(MOST_PHRASES).refine(haveOwnIds, "two phrases have one id"),
  concernGaps: z
    .array(
      z.strictObject({
        name: textField(30).regex(/^[^{}]+$/, "a gap needs a name without braces"),
        choices: z.array(textField(60).min(1)).max(30),
      }),
    )
    .max(20)
    .refine((gaps) => new Set(gaps.map(({ name }) => name)).size === gaps.length, "two gaps have one name"),
});

const intervalsBody = z.strictObject({
  version,
  intervals: z
    .array(
      z.strictObject({
        id: textField(60).min(1),
        title: textField(80).min(1, "a service needs its name"),
        miles: z.number().int().min(100).max(500_000).nullable(),
        months: z.number().int().min(1).max(240).nullable(),
        jobIds: z.array(textField(60).min(1)).max(30),
      }),
    )
    .max(60)
    .refine(haveOwnIds, "two services have one id"),
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
    summary: "Settings and people",
    answer: businessView,
  }),
  getLibrary: route({
    method: "get",
    path: "/api/library",
    area: "settings",
    summary: "The job library",
    answer: libraryView,
  }),
  changeNewcomers: route({
    method: "patch",
    path: "/api/business/newcomers",
    area: "settings",
    right: "settings",
    mostBytes: 512 * 1024,
    summary: "Change what newcomers are asked",
    body: newcomersBody,
    answer: newcomerSettings,
  }),
  changeConcerns: route({
    method: "patch",
    path: "/api/business/concerns",
    area: "settings",
    right: "settings",
    mostBytes: 512 * 1024,
    summary: "Change the library of concerns and what its gaps are filled with",
    body: concernsBody,
    answer: businessSettings.pick({ concerns: true, concernGaps: true }),
  }),
  keepPhrase: route({
    method: "post",
    path: "/api/business/concerns",
    area: "settings",
    summary: "Keep words typed for a concern as a phrase; one with the same words is answered as it is",
    body: phraseBody,
    answer: concernPhrase,
  }),
  changeIntervals: route({
    method: "patch",
    path: "/api/business/intervals",
    area: "settings",
    right: "settings",
    mostBytes: 512 * 1024,
    summary: "Change the owner's list of services and how often they are due",
    body: intervalsBody,
    answer: businessSettings.pick({ intervals: true }),
  }),
  changeReceiptLinks: route({
    method: "patch",
    path: "/api/business/receipt-links",
    area: "settings",
    right: "settings",
    summary: "Change how long receipts can be opened by their links",
    body: z.strictObject({ months: z.number().int().min(1).max(120) }),
    answer: businessSettings.pick({ receiptLinkMonths: true }),
  }),
  newcomerReport: route({
    method: "get",
    path: "/api/reports/newcomers",
    area: "settings",
    right: "reports",
    summary: "How newcomers of the last year found the business, and their answers",
    answer: newcomerReport,
  }),
};
