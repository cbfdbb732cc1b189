import { z } from "zod";
import { idField, textField } from "../fields";
import { route } from "../route";

const MOST_DAYS = 28;
const DAY_MINUTES = 24 * 60;

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
  offeredTimes: route({
    method: "post",
    path: "/api/offered-times",
    area: "schedule",
    summary: "Times in the coming days at which a visit fits, least added driving first",
    body: z.strictObject({
      place: z.strictObject({
        latitude: z.number().min(-90).max(90).nullable(),
        longitude: z.number().min(-180).max(180).nullable(),
      }),
      minutes: z.number().int().min(1).max(DAY_MINUTES),
      /** As the jobs ask for them. */
      skills: z.array(textField(60)).max(40).default([]),
      /** Only this one; null: whoever can. */
      mechanicId: idField.nullable(),
      /** A visit that is to be moved: it stands in nobody's way. */
      movesVisitId: idField.nullable(),
      /** From today. */
      days: z.number().int().min(1).max(MOST_DAYS),
    }),
    answer: z.object({ offers: z.array(timeOffer) }),
  }),
};
