import { z } from "zod";
import {
  businessSettings,
  concernGap,
  concernPhrase,
  idOf,
  inspectionPoint,
  inspectionSheet,
  itemChanges,
  laborGuide,
  laborSettings,
  pricingSettings,
  stockItem,
  libraryJob,
  LIST_LIMITS,
  nameOf,
  newcomerQuestion,
  newcomerSettings,
  ownersInterval,
  crewMember,
  ownersWords,
  paperSettings,
  personPay,
  messageSettings,
  requestSettings,
  visitSettings,
  wholeOf,
} from "@mechanon/core";
import { idField, textField, versionField } from "../fields";
import { PHOTO_TYPES } from "../photos/photoTypes";
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
    /** Where parts are bought, the first one first; whom to call where no signal reaches them. */
    suppliers: z.array(z.object({ id: z.string(), name: z.string(), phone: z.string().nullable() })).default([]),
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

/** The version of the list the changes were made from, which another one's changes may have left behind. */
const version = versionField;
const phraseBody = concernPhrase.strict();

const newcomersBody = z.strictObject({
  version,
  /** A short list of words, which is changed whole, its order too. */
  foundUsBy: itemChanges(newcomerSettings.shape.foundUsBy, wholeOf, 1),
  questions: itemChanges(newcomerQuestion.strict(), idOf, LIST_LIMITS.questions),
});

const concernsBody = z.strictObject({
  version,
  concerns: itemChanges(phraseBody, idOf, LIST_LIMITS.concerns),
  concernGaps: itemChanges(concernGap.strict(), nameOf, LIST_LIMITS.concernGaps),
});

/** All points of all sheets, as they were and as they are to be. */
const MOST_INSPECTION_BYTES = 1024 * 1024;
/** Templates of all kinds in both languages, as they were and as they are to be. */
const MOST_MESSAGES_BYTES = 512 * 1024;
/** Words and terms in both languages, as they were and as they are to be. */
const MOST_PAPERS_BYTES = 256 * 1024;
const MOST_LOGO_FILE_BYTES = 4 * 1024 * 1024;

/** Labor is changed whole: the order of its rates says which stands. */
const pricingBody = z.strictObject({ version, pricing: itemChanges(pricingSettings, wholeOf, 1) });
const stockBody = z.strictObject({ version, stock: itemChanges(stockItem, idOf, LIST_LIMITS.stock) });
const laborBody = z.strictObject({ version, labor: itemChanges(laborSettings, wholeOf, 1) });

const payBody = z.strictObject({ version, pay: itemChanges(personPay, ({ personId }) => personId, LIST_LIMITS.pay) });

const crewBody = z.strictObject({
  version,
  crew: itemChanges(crewMember, ({ personId }) => personId, LIST_LIMITS.crew),
});

/** Visits are changed whole. */
const visitsBody = z.strictObject({ version, visits: itemChanges(visitSettings, wholeOf, 1) });

/** Messages, and what stands about requests, are changed whole. */
const messagesBody = z.strictObject({ version, messages: itemChanges(messageSettings, wholeOf, 1) });
const papersBody = z.strictObject({ version, papers: itemChanges(ownersWords, wholeOf, 1) });
const requestsBody = z.strictObject({ version, requests: itemChanges(requestSettings, wholeOf, 1) });

const inspectionBody = z.strictObject({
  version,
  inspection: itemChanges(inspectionPoint.strict(), idOf, LIST_LIMITS.inspection),
  sheets: itemChanges(inspectionSheet.strict(), idOf, LIST_LIMITS.sheets),
});

const intervalsBody = z.strictObject({
  version,
  intervals: itemChanges(ownersInterval.strict(), idOf, LIST_LIMITS.intervals),
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

/** What a file of jobs does to the library, or would do. */
export const libraryFileAnswer = z.object({
  added: z.number().int(),
  changed: z.number().int(),
  same: z.number().int(),
  /** Left out, by their place in the file from one; 0: the file itself. */
  faults: z.array(z.object({ row: z.number().int(), title: z.string(), words: z.string() })),
});
export type LibraryFileAnswer = z.infer<typeof libraryFileAnswer>;

/** Ids of jobs of the library. */
export const libraryUsage = z.object({
  /** The commonest first. */
  common: z.array(z.string()),
  /** The person's own, the last one first. */
  last: z.array(z.string()),
});

/** A change of one job of the library. */
const libraryChange = z.object({
  id: z.string(),
  at: z.string(),
  /** Whose; empty: of somebody who is not here any more. */
  by: z.string(),
  title: z.string(),
  kind: z.enum(["added", "changed", "removed"]),
});
export type LibraryChange = z.infer<typeof libraryChange>;

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
  keepLibraryJob: route({
    method: "post",
    path: "/api/library/jobs",
    area: "settings",
    right: "settings",
    summary:
      "Keep a job of a work order in the library, or all of them as one order; the same id again is answered as it is kept",
    body: z.strictObject({
      id: idField,
      workOrderId: idField,
      /** Null: all its jobs, as a whole order. */
      jobId: idField.nullable(),
      title: textField(120).min(1, "a title is needed"),
      area: textField(60).min(1, "an area is needed"),
    }),
    answer: libraryJob,
  }),
  libraryFile: route({
    method: "get",
    path: "/api/library/jobs.json",
    area: "settings",
    right: "settings",
    summary: "The job library as a file, for who may see cost",
  }),
  libraryTable: route({
    method: "get",
    path: "/api/library/jobs.csv",
    area: "settings",
    right: "settings",
    summary: "The job library as a table, for who may see cost",
  }),
  bringInLibrary: route({
    method: "post",
    path: "/api/library/file",
    area: "settings",
    right: "settings",
    mostBytes: 4 * 1024 * 1024,
    summary: "Bring the jobs of a file in, or only say what that would do",
    body: z.strictObject({ text: z.string().max(3 * 1024 * 1024), isDry: z.boolean() }),
    answer: libraryFileAnswer,
  }),
  removeLibraryJob: route({
    method: "delete",
    path: "/api/library/jobs/:id",
    area: "settings",
    right: "settings",
    params: z.object({ id: z.string().min(1).max(60) }),
    summary: "Take a job out of the library; quotes keep what they were given of it",
    status: 204,
  }),
  changeLibraryJobs: route({
    method: "patch",
    path: "/api/library/jobs",
    area: "settings",
    right: "settings",
    mostBytes: 1024 * 1024,
    summary: "Change jobs of the library, each as a whole; for who may see cost",
    body: z.strictObject({ changes: itemChanges(libraryJob, idOf, LIST_LIMITS.libraryJobs) }),
    status: 204,
  }),
  libraryChanges: route({
    method: "get",
    path: "/api/library/changes",
    area: "settings",
    right: "settings",
    summary: "The last changes of the library: who, when, which job",
    answer: z.object({ changes: z.array(libraryChange) }),
  }),
  undoLibraryChange: route({
    method: "post",
    path: "/api/library/changes/:id/undo",
    area: "settings",
    right: "settings",
    params: z.object({ id: idField }),
    summary: "Take a change of the library back",
    status: 204,
  }),
  libraryUsage: route({
    method: "get",
    path: "/api/library/usage",
    area: "settings",
    summary: "The jobs that are put on quotes most often here, and those the person used last",
    answer: libraryUsage,
  }),
  getLaborGuide: route({
    method: "get",
    path: "/api/labor-guide",
    area: "settings",
    summary: "The labor guide: operations as elementary steps with their hours",
    answer: laborGuide,
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
  changeInspection: route({
    method: "patch",
    path: "/api/business/inspection",
    area: "settings",
    right: "settings",
    mostBytes: MOST_INSPECTION_BYTES,
    summary: "Change inspection points and the sheets they stand on; those that run stay as they began",
    body: inspectionBody,
    answer: businessSettings.pick({ inspection: true, sheets: true }),
  }),
  blankSheet: route({
    method: "get",
    path: "/api/inspection-sheets/:id/blank",
    area: "settings",
    summary: "A sheet to be filled in by hand, as a PDF",
    params: z.object({ id: textField(60).min(1) }),
  }),
  changeLabor: route({
    method: "patch",
    path: "/api/business/labor",
    area: "settings",
    right: "settings",
    summary: "Change what an hour of labor costs, when, and what a diagnosis takes off",
    body: laborBody,
    answer: laborSettings,
  }),
  changePricing: route({
    method: "patch",
    path: "/api/business/pricing",
    area: "settings",
    right: "settings",
    summary: "Change markup tables, fees, discounts, taxes, the target margin; for who may see cost",
    body: pricingBody,
    answer: pricingSettings,
  }),
  changeStock: route({
    method: "patch",
    path: "/api/business/stock",
    area: "settings",
    right: "settings",
    summary: "Change what is on the vans; for who may see cost",
    body: stockBody,
    answer: z.object({ stock: z.array(stockItem) }),
  }),
  changePay: route({
    method: "patch",
    path: "/api/business/pay",
    area: "settings",
    right: "settings",
    summary: "Change how people are paid for labor; for who may see cost",
    body: payBody,
    answer: z.object({ pay: z.array(personPay) }),
  }),
  changeCrew: route({
    method: "patch",
    path: "/api/business/crew",
    area: "settings",
    right: "settings",
    summary: "Change when mechanics drive, and what they can do",
    body: crewBody,
    answer: z.object({ crew: z.array(crewMember) }),
  }),
  changeVisits: route({
    method: "patch",
    path: "/api/business/visits",
    area: "settings",
    right: "settings",
    summary: "Change what stands about visits: set-up, call-out, calling off, rain",
    body: visitsBody,
    answer: visitSettings,
  }),
  changeMessages: route({
    method: "patch",
    path: "/api/business/messages",
    area: "settings",
    right: "settings",
    mostBytes: MOST_MESSAGES_BYTES,
    summary: "Change what customers are told, in which words, and what asks first",
    body: messagesBody,
    answer: messageSettings,
  }),
  changeRequests: route({
    method: "patch",
    path: "/api/business/requests",
    area: "settings",
    right: "settings",
    summary: "Change what customers may ask for by themselves, and on what terms",
    body: requestsBody,
    answer: requestSettings,
  }),
  changePapers: route({
    method: "patch",
    path: "/api/business/papers",
    area: "settings",
    right: "settings",
    mostBytes: MOST_PAPERS_BYTES,
    summary: "Change the words and terms of quotes, and the words of mechanic's sheets",
    body: papersBody,
    answer: paperSettings,
  }),
  keepLogo: route({
    method: "post",
    path: "/api/business/logo",
    area: "settings",
    right: "settings",
    rate: { most: 60, minutes: 60 },
    summary: "Keep a picture as the logo on papers, made small",
    file: { types: PHOTO_TYPES, mostBytes: MOST_LOGO_FILE_BYTES },
    answer: paperSettings,
  }),
  dropLogo: route({
    method: "delete",
    path: "/api/business/logo",
    area: "settings",
    right: "settings",
    summary: "Take the logo off papers",
    answer: paperSettings,
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
