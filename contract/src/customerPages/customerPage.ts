import { z } from "zod";
import {
  ANSWERS,
  BAD_GRADES,
  MEASURE_KINDS,
  MOST_PHOTOS,
  TOPICS,
  askedTime,
  isSigned,
  language,
  shownQuote,
  signature,
} from "@mechanon/core";
import { dayField, idField, textField } from "../fields";
import { PHOTO_TYPES } from "../photos/photoTypes";
import { photoSize } from "../photos/routes";
import { route } from "../route";
import { tokenField } from "../schedule/newTimePage";

const MOST_WORDS = 1000;
/** The page sends smaller ones. */
const MOST_PHOTO_BYTES = 5 * 1024 * 1024;

/** A visit as its customer sees it. */
const pageVisit = z.object({
  id: z.string(),
  standing: z.enum(["booked", "driving", "onSite", "over", "cancelled"]),
  startsAt: z.string(),
  endsAt: z.string(),
  /** First name. */
  mechanic: z.string(),
  street: z.string(),
  /** While somebody is on the way: when they are there. */
  arrivesAt: z.string().nullable(),
  /** Until when the customer may move it or call it off here; null: not any more. */
  changeUntil: z.string().nullable(),
  wantsEarlier: z.boolean(),
});
export type PageVisit = z.infer<typeof pageVisit>;

/** What somebody wrote. */
const pageWords = z.object({ id: z.string(), isOurs: z.boolean(), text: z.string(), at: z.string() });

/** Words in both languages. */
const inBoth = z.object({ en: z.string(), es: z.string() });

/** A finding as its customer sees it: in their words, measured against its limit. */
const foundOnPage = z.object({
  pointId: z.string(),
  title: inBoth,
  grade: z.enum(BAD_GRADES),
  note: z.string(),
  topic: z.enum(TOPICS).nullable(),
  pictures: z.array(
    z.object({ photoId: z.string(), media: z.enum(["photo", "clip"]), moment: z.enum(["before", "after"]).nullable() }),
  ),
  measures: z.array(
    z.object({
      kind: z.enum(MEASURE_KINDS),
      key: z.string(),
      name: z.string(),
      unit: z.string(),
      value: z.number(),
      limit: z.number().nullable(),
      readings: z.array(z.object({ odometer: z.number(), date: z.string(), value: z.number() })),
      dueOn: z.string().nullable(),
      milesLeft: z.number().nullable(),
    }),
  ),
});

/** A repair as its customer sees it, at every stage. */
const pageOrder = z.object({
  id: z.string(),
  number: z.number().int(),
  car: z.string(),
  openedAt: z.string(),
  /** In our words, or as the customer picked them. */
  concerns: z.array(z.object({ en: z.string(), es: z.string() })),
  visits: z.array(pageVisit),
  /** What was found, the worst first. */
  found: z.array(foundOnPage),
  /** What was looked at and is fine. */
  fine: z.array(inBoth),
  jobs: z.array(
    z.object({
      title: z.string(),
      totalCents: z.number().int(),
      answer: z.enum(["yes", "later", "no"]).nullable(),
      isDone: z.boolean(),
    }),
  ),
  /** With taxes; null: there is no quote. */
  totalCents: z.number().int().nullable(),
  /** The last day the quote is good for; null: no end, or nothing of it is open. */
  validUntil: z.string().nullable().default(null),
  dueCents: z.number().int(),
  paidCents: z.number().int(),
  /** The address of the receipt that was sent; null: none, or it ended. */
  receipt: z.string().nullable(),
  words: z.array(pageWords),
  photoIds: z.array(z.string()),
  /** The quote as it is to be answered, and the digest a yes to it names; null: nothing of it is open. */
  asked: z.object({ shown: shownQuote, digest: z.string() }).nullable(),
  /** Who agreed and needs this customer's yes beside theirs; null: nobody. */
  agreedBefore: z.string().nullable(),
  /** What can be taken back, and what stays to pay for what was ordered by then. */
  takingBack: z.array(z.object({ jobId: z.string(), title: z.string(), staysCents: z.number().int() })),
  /** A time can be picked for what was agreed. */
  canPickTime: z.boolean(),
});
export type PageOrder = z.infer<typeof pageOrder>;

/** A request as whoever sent it sees it. */
const pageRequest = z.object({
  id: z.string(),
  status: z.enum(["waiting", "offered", "declined", "withdrawn"]),
  at: z.string(),
  car: z.string(),
  wishes: z.array(z.object({ en: z.string(), es: z.string() })),
  words: z.string(),
  time: askedTime,
  offered: z.array(askedTime),
  answer: z.string(),
  /** What was written to and fro since. */
  said: z.array(pageWords),
  photoIds: z.array(z.string()),
});

/** All a customer sees of theirs. */
export const customerPage = z
  .object({
    businessName: z.string(),
    businessPhone: z.string(),
    hasLogo: z.boolean().default(false),
    timeZone: z.string(),
    /** Under which the business is asked for a visit; null: nobody can ask now. */
    askSlug: z.string().nullable(),
    language,
    /** First name, or what they go by. */
    name: z.string(),
    /** Whether all of theirs is shown, and not only what the link was for. */
    isProven: z.boolean(),
    /** Known phones and mails a code can go to, told by their ends. */
    ways: z.array(z.object({ channel: z.enum(["text", "mail"]), hint: z.string() })),
    callOffFeeCents: z.number().int(),
    callOffHours: z.number().int(),
    requests: z.array(pageRequest),
    orders: z.array(pageOrder),
  })
  .meta({ id: "CustomerPage" });
export type CustomerPage = z.infer<typeof customerPage>;

const params = z.object({ token: tokenField });
const visitParams = z.object({ token: tokenField, id: idField });

/** What a customer's private page asks of the server: apart from the mechanic's routes. */
export const customerPageRoutes = {
  openPage: route({
    method: "get",
    path: "/api/public/pages/:token",
    area: "customerPages",
    open: true,
    summary: "A customer's private page: what its link was for, and all of theirs once they have proven who they are",
    params,
    answer: customerPage,
  }),
  speakOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/language",
    area: "customerPages",
    open: true,
    rate: { most: 120, minutes: 60 },
    summary: "Be spoken to in another language from now on",
    params,
    body: z.strictObject({ language }),
    answer: customerPage,
  }),
  sendPageCode: route({
    method: "post",
    path: "/api/public/pages/:token/codes",
    area: "customerPages",
    open: true,
    rate: { most: 20, minutes: 60 },
    summary: "Send a one-time code to a known phone or mail",
    params,
    body: z.strictObject({ way: z.number().int().min(0).max(20) }),
    answer: z.object({}),
  }),
  provePage: route({
    method: "post",
    path: "/api/public/pages/:token/proof",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "Prove to be the customer by the code; five tries",
    params,
    body: z.strictObject({ code: textField(12) }),
    answer: customerPage,
  }),
  answerOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/orders/:id/answers",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    mostBytes: 512 * 1024,
    summary: "Answer a quote: exactly the one whose digest is named; the same id answers once",
    params: visitParams,
    body: z.strictObject({
      commandId: idField,
      digest: z.string().max(64),
      name: textField(200).min(1),
      signature: signature.refine(isSigned, "has no stroke"),
      answers: z
        .array(
          z.strictObject({
            jobId: idField,
            answer: z.enum(ANSWERS),
            otherId: idField.nullable(),
            reason: textField(300),
            askOn: dayField.nullable(),
          }),
        )
        .min(1)
        .max(100)
        .refine((answers) => new Set(answers.map(({ jobId }) => jobId)).size === answers.length, "names a job twice"),
    }),
    answer: customerPage,
  }),
  takeBackOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/orders/:id/taking-back",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Take a yes back, knowing what stays to pay; the same id takes back once",
    params: visitParams,
    body: z.strictObject({
      commandId: idField,
      jobId: idField,
      name: textField(200).min(1),
      staysCents: z.number().int().min(0).max(100_000_000),
    }),
    answer: customerPage,
  }),
  timesForWork: route({
    method: "get",
    path: "/api/public/pages/:token/orders/:id/times",
    area: "customerPages",
    open: true,
    rate: { most: 120, minutes: 60 },
    summary: "Times at which somebody can do what was agreed, with its parts there",
    params: visitParams,
    answer: z.object({ times: z.array(askedTime) }),
  }),
  bookOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/orders/:id/time",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Take one of those times; the same id books once",
    params: visitParams,
    body: z.strictObject({ commandId: idField, time: askedTime }),
    answer: customerPage,
  }),
  pagePhoto: route({
    method: "get",
    path: "/api/public/pages/:token/photos/:id",
    area: "customerPages",
    open: true,
    summary: "A photo or clip of what the page shows; small: for a list",
    params: visitParams,
    query: photoSize,
  }),
  foundPdf: route({
    method: "get",
    path: "/api/public/pages/:token/found/:id",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "What was found on a repair, as a PDF with its photos",
    params: visitParams,
    query: z.object({ language: language.optional() }),
  }),
  quotePdf: route({
    method: "get",
    path: "/api/public/pages/:token/quote/:id",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "A quote that is asked, as a PDF",
    params: visitParams,
    query: z.object({ language: language.optional() }),
  }),
  pageLogo: route({
    method: "get",
    path: "/api/public/pages/:token/logo",
    area: "customerPages",
    open: true,
    summary: "The logo of the business, as PNG",
    params,
  }),
  writeOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/messages",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "Ask or tell the business something; the same id comes once",
    params,
    body: z.strictObject({
      messageId: idField,
      text: textField(MOST_WORDS).min(1),
      /** Null: about the request the link is for. */
      workOrderId: idField.nullable(),
    }),
    answer: customerPage,
  }),
  addPagePhoto: route({
    method: "post",
    path: "/api/public/pages/:token/new-photos/:id",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: `Add a photo to a repair or request; ${MOST_PHOTOS} of each at most`,
    params: visitParams,
    query: z.object({ order: idField.optional() }),
    file: { types: PHOTO_TYPES, mostBytes: MOST_PHOTO_BYTES },
    answer: customerPage,
  }),
  pageTimes: route({
    method: "get",
    path: "/api/public/pages/:token/visits/:id/times",
    area: "customerPages",
    open: true,
    rate: { most: 120, minutes: 60 },
    summary: "Other times for a visit",
    params: visitParams,
    answer: z.object({ times: z.array(askedTime) }),
  }),
  moveOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/visits/:id/time",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Move a visit to another time, within the owner's rules",
    params: visitParams,
    body: z.strictObject({ commandId: idField, time: askedTime }),
    answer: customerPage,
  }),
  callOffOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/visits/:id/call-off",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Call a visit off, within the owner's rules",
    params: visitParams,
    body: z.strictObject({ commandId: idField, words: textField(300) }),
    answer: customerPage,
  }),
  wantEarlierOnPage: route({
    method: "post",
    path: "/api/public/pages/:token/visits/:id/earlier",
    area: "customerPages",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "Hear of an earlier time, or no more",
    params: visitParams,
    body: z.strictObject({ commandId: idField, wants: z.boolean() }),
    answer: customerPage,
  }),
  pickOffered: route({
    method: "post",
    path: "/api/public/pages/:token/requests/:id/pick",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Take one of the times the business offered",
    params: visitParams,
    body: z.strictObject({ time: askedTime }),
    answer: customerPage,
  }),
  withdrawRequest: route({
    method: "post",
    path: "/api/public/pages/:token/requests/:id/withdrawal",
    area: "customerPages",
    open: true,
    rate: { most: 30, minutes: 60 },
    summary: "Take a request back that nobody agreed to yet",
    params: visitParams,
    answer: customerPage,
  }),
};
