import { z } from "zod";
import { hourOfWeather, JOB_CONDITIONS, ROAD_CLASSES } from "@mechanon/core";
import { dayField, idField, idParams, instantField, textField } from "../fields";
import { route } from "../route";
import { dayVisit } from "../visits/dayVisit";
import { tokenField } from "./newTimePage";

const MOST_DAYS = 28;
const DAY_MINUTES = 24 * 60;

const spotBody = z.strictObject({
  latitude: z.number().min(-90).max(90).nullable(),
  longitude: z.number().min(-180).max(180).nullable(),
});
const latitude = z.coerce.number().min(-90).max(90);
const longitude = z.coerce.number().min(-180).max(180);
const minuteField = z.number().int().min(0).max(DAY_MINUTES);
/** More are not looked at in one go. */
const MOST_RANGE_DAYS = 62;
const MOST_HELD = 5;
const MOST_CALENDAR_BYTES = 32 * 1024 * 1024;

/** What else keeps a mechanic. */
const busyTime = z.object({ mechanicId: z.string(), title: z.string(), startsAt: z.string(), endsAt: z.string() });

/** From one day to another, both included. */
const daysQuery = z
  .object({ from: dayField, to: dayField })
  .refine(({ from, to }) => from <= to, "the last day comes before the first")
  .refine(
    ({ from, to }) => Date.parse(to) - Date.parse(from) < MOST_RANGE_DAYS * 86_400_000,
    `at most ${MOST_RANGE_DAYS} days at once`,
  );

/** A new time somebody was asked about because of the weather. */
export const moveAsk = z
  .object({
    id: z.string(),
    visitId: z.string(),
    workOrderId: z.string(),
    customerName: z.string(),
    phone: z.string().nullable(),
    fromStartsAt: z.string(),
    startsAt: z.string(),
    endsAt: z.string(),
    mechanicId: z.string(),
    why: z.string(),
    /** Null: they may not be texted, and are called. */
    recipient: z.string().nullable(),
    message: z.string(),
    sentAt: z.string().nullable(),
    answerBy: z.string(),
    answer: z.enum(["yes", "no"]).nullable(),
  })
  .meta({ id: "MoveAsk" });
export type MoveAsk = z.infer<typeof moveAsk>;
const moveAsks = z.object({
  asks: z.array(moveAsk),
  /** Stops that need it dry and for which no other time was found. */
  without: z.array(z.object({ visitId: z.string(), customerName: z.string() })),
});

/** What a move would break. */
const moveBreak = z.discriminatedUnion("what", [
  z.object({ what: z.enum(["locked", "past", "off", "hours", "pause", "parts", "height"]) }),
  z.object({ what: z.literal("overlap"), visitId: z.string() }),
  z.object({ what: z.literal("busy"), startsAt: z.string() }),
  z.object({ what: z.enum(["skills", "carries"]), missing: z.array(z.string()) }),
  z.object({ what: z.literal("late"), visitId: z.string(), minutes: z.number().int() }),
  z.object({ what: z.literal("promise"), minutes: z.number().int() }),
  z.object({ what: z.literal("place"), condition: z.enum(JOB_CONDITIONS) }),
]);

/** The visits of a calendar link, one for each mechanic. */
const calendarLinks = z.object({ links: z.array(z.object({ personId: z.string(), url: z.string().nullable() })) });

/** A time at which a visit truly fits. */
const timeOffer = z.object({
  mechanicId: z.string(),
  date: z.string(),
  startsAt: z.string(),
  /** The latest it may start; null: nothing limits it. */
  latestStartsAt: z.string().nullable(),
  endsAt: z.string(),
  /** Minutes of driving more than without it. */
  addedMinutes: z.number().int(),
});

/** An address with its point. */
const foundAddress = z.object({
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number(),
  longitude: z.number(),
});

export const scheduleRoutes = {
  findAddresses: route({
    method: "get",
    path: "/api/addresses",
    area: "schedule",
    rate: { most: 1200, minutes: 60 },
    summary: "Addresses that what was typed may mean, misspelled by a letter too",
    query: z.object({ typed: textField(200).min(1) }),
    answer: z.object({ addresses: z.array(foundAddress) }),
  }),
  mapRoads: route({
    method: "get",
    path: "/api/map",
    area: "schedule",
    rate: { most: 1200, minutes: 60 },
    summary: "The roads within some bounds, to be drawn",
    query: z
      .object({ south: latitude, west: longitude, north: latitude, east: longitude })
      .refine(({ south, north }) => south < north, "the north is south of the south")
      .refine(({ west, east }) => west < east, "the east is west of the west"),
    answer: z.object({
      roads: z.array(
        z.object({
          name: z.string().nullable(),
          class: z.enum(ROAD_CLASSES),
          /** Longitude and latitude. */
          points: z.array(z.tuple([z.number(), z.number()])),
        }),
      ),
    }),
  }),
  offeredTimes: route({
    method: "post",
    path: "/api/offered-times",
    area: "schedule",
    summary: "Times in the coming days at which a visit fits, least added driving first",
    body: z.strictObject({
      place: spotBody,
      minutes: z.number().int().min(1).max(DAY_MINUTES),
      /** As the jobs ask for them. */
      skills: z.array(textField(60)).max(40).default([]),
      /** What the van must carry. */
      carries: z.array(textField(60)).max(40).default([]),
      /** Such as when the last part is there. */
      notBefore: instantField.nullable().default(null),
      /** The part of the day that is wished for, by the business's clock. */
      between: z.strictObject({ fromMinute: minuteField, toMinute: minuteField }).nullable().default(null),
      /** The soonest first. */
      isUrgent: z.boolean().default(false),
      /** The call, work order or visit the first of them are held for; null: nothing is held. */
      heldFor: idField.nullable().default(null),
      hold: z.number().int().min(0).max(MOST_HELD).default(0),
      /** Only this one; null: whoever can. */
      mechanicId: idField.nullable(),
      /** A visit that is to be moved: it stands in nobody's way. */
      movesVisitId: idField.nullable(),
      /** From today. */
      days: z.number().int().min(1).max(MOST_DAYS),
    }),
    answer: z.object({ offers: z.array(timeOffer), heldUntil: z.string().nullable() }),
  }),
  pickTime: route({
    method: "post",
    path: "/api/held-times",
    area: "schedule",
    rate: { most: 1200, minutes: 60 },
    summary: "Hold one picked time for ten minutes, in place of those held for the same before",
    body: z
      .strictObject({
        heldFor: idField,
        mechanicId: idField,
        startsAt: instantField,
        endsAt: instantField,
        place: spotBody,
      })
      .refine(({ startsAt, endsAt }) => startsAt < endsAt, "it ends before it begins"),
    answer: z.object({ heldUntil: z.string() }),
  }),
  letTimesGo: route({
    method: "delete",
    path: "/api/held-times/:id",
    area: "schedule",
    summary: "Let the times go that are held for a call, work order or visit",
    params: idParams,
    answer: z.object({}),
  }),
  getDays: route({
    method: "get",
    path: "/api/days",
    area: "schedule",
    summary: "The visits of several days, those called off too where they are asked for",
    query: daysQuery,
    answer: z.object({ visits: z.array(dayVisit), busy: z.array(busyTime) }),
  }),
  getWeather: route({
    method: "get",
    path: "/api/weather",
    area: "schedule",
    rate: { most: 1200, minutes: 60 },
    summary: "The weather of some days, hour by hour, at a place or at the shop",
    query: z.object({
      from: dayField,
      to: dayField,
      latitude: z.coerce.number().min(-90).max(90).optional(),
      longitude: z.coerce.number().min(-180).max(180).optional(),
    }),
    answer: z.object({ hours: z.array(hourOfWeather) }),
  }),
  checkMove: route({
    method: "post",
    path: "/api/visits/:id/move-check",
    area: "schedule",
    summary: "What a move of a visit would break, before it is done",
    params: idParams,
    body: z
      .strictObject({ mechanicId: idField, startsAt: instantField, endsAt: instantField })
      .refine(({ startsAt, endsAt }) => startsAt < endsAt, "it ends before it begins"),
    answer: z.object({ breaks: z.array(moveBreak) }),
  }),
  findRepeats: route({
    method: "post",
    path: "/api/repeats",
    area: "schedule",
    summary: "The times of a rule, and which of them its mechanic has free",
    body: z.strictObject({
      /** RFC 5545, such as `FREQ=MONTHLY;COUNT=6`. */
      rule: textField(200).min(1),
      mechanicId: idField,
      startsAt: instantField,
      minutes: z.number().int().min(1).max(DAY_MINUTES),
    }),
    answer: z.object({
      times: z.array(z.object({ startsAt: z.string(), endsAt: z.string(), isFree: z.boolean() })),
      /** There are more than are booked in one go. */
      isCut: z.boolean(),
    }),
  }),
  askNewTimes: route({
    method: "post",
    path: "/api/move-asks",
    area: "schedule",
    rate: { most: 60, minutes: 60 },
    summary: "Find new times for the stops of a wet day that need it dry, hold them, and write the messages",
    body: z.strictObject({ date: dayField }),
    answer: moveAsks,
  }),
  listMoveAsks: route({
    method: "get",
    path: "/api/move-asks",
    area: "schedule",
    summary: "Who was asked about a new time, and what they said",
    answer: z.object({ asks: z.array(moveAsk) }),
  }),
  sendMoveAsks: route({
    method: "post",
    path: "/api/move-asks/sent",
    area: "schedule",
    rate: { most: 60, minutes: 60 },
    summary: "Send the messages that ask about a new time; each goes out once",
    body: z.strictObject({ ids: z.array(idField).min(1).max(100) }),
    answer: z.object({ asks: z.array(moveAsk) }),
  }),
  answerMoveAsk: route({
    method: "post",
    path: "/api/move-asks/:id/answer",
    area: "schedule",
    summary: "What somebody said on the phone about a new time: a yes moves the visit",
    params: idParams,
    body: z.strictObject({ answer: z.enum(["yes", "no"]) }),
    answer: z.object({ asks: z.array(moveAsk) }),
  }),
  listCalendarLinks: route({
    method: "get",
    path: "/api/calendar-links",
    area: "schedule",
    summary: "The secret links of the mechanics' calendars: one's own, for the owner all",
    answer: calendarLinks,
  }),
  renewCalendarLink: route({
    method: "post",
    path: "/api/calendar-links/:id",
    area: "schedule",
    rate: { most: 60, minutes: 60 },
    summary: "A new link to a mechanic's calendar; the one of before opens nothing from then on",
    params: idParams,
    answer: calendarLinks,
  }),
  openCalendar: route({
    method: "get",
    path: "/api/calendars/:token",
    area: "schedule",
    open: true,
    summary: "A mechanic's visits as iCalendar, behind a secret link",
    params: z.object({ token: tokenField }),
  }),
  visitCalendar: route({
    method: "get",
    path: "/api/visits/:id/calendar",
    area: "schedule",
    summary: "A visit as iCalendar",
    params: idParams,
  }),
  readBusyTimes: route({
    method: "post",
    path: "/api/people/:id/busy-times",
    area: "schedule",
    rate: { most: 60, minutes: 60 },
    summary: "Read an iCalendar file as what keeps a mechanic otherwise; it replaces what was read before",
    params: idParams,
    file: { types: ["text/calendar", "application/octet-stream"], mostBytes: MOST_CALENDAR_BYTES },
    answer: z.object({
      busy: z.number().int(),
      /** Left out: free, cancelled, over, beyond the year, or unreadable. */
      leftOut: z.number().int(),
      /** More than are kept. */
      isCut: z.boolean(),
    }),
  }),
  forgetBusyTimes: route({
    method: "delete",
    path: "/api/people/:id/busy-times",
    area: "schedule",
    summary: "Forget what was read from a mechanic's calendar",
    params: idParams,
    answer: z.object({ forgotten: z.number().int() }),
  }),
  visitTable: route({
    method: "get",
    path: "/api/visits.csv",
    area: "schedule",
    right: "settings",
    summary: "The visits of some days as a table",
    query: daysQuery,
  }),
};
