import { z } from "zod";
import { askedTime, askedVisit, publishedWish, typedPlace } from "@mechanon/core";
import { idField, textField } from "../fields";
import { PHOTO_TYPES } from "../photos/photoTypes";
import { route } from "../route";

/** The name of a business under which the public asks it for a visit. */
export const slugField = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9-]{2,39}$/, "3 to 40 small letters, digits and dashes");

/** The page sends smaller ones. */
const MOST_PHOTO_BYTES = 5 * 1024 * 1024;
const slugParams = z.object({ slug: slugField });
const wanted = { place: typedPlace, wishIds: z.array(textField(60).min(1)).max(20) };

/** What the public page of a business says before anything is asked. */
export const askPage = z
  .object({
    businessName: z.string(),
    businessPhone: z.string(),
    timeZone: z.string(),
    isOpen: z.boolean(),
    wishes: z.array(publishedWish.pick({ id: true, en: true, es: true })),
    regions: z.array(z.string()),
    callOutCents: z.number().int(),
    diagnosisCents: z.number().int(),
    callOffFeeCents: z.number().int(),
    callOffHours: z.number().int(),
    terms: z.object({ en: z.string(), es: z.string() }),
  })
  .meta({ id: "AskPage" });
export type AskPage = z.infer<typeof askPage>;

/** A car as a look-up tells it to a stranger: what it is, and nothing of whose. */
export const strangersCar = z.object({
  plate: z.string(),
  region: z.string(),
  vin: z.string(),
  year: z.number().int().nullable(),
  make: z.string(),
  model: z.string(),
});
export type StrangersCar = z.infer<typeof strangersCar>;

/** What the page on which customers ask for a visit asks of the server: apart from the mechanic's routes. */
export const askPageRoutes = {
  openAskPage: route({
    method: "get",
    path: "/api/public/ask/:slug",
    area: "requests",
    open: true,
    summary: "The page on which customers ask for a visit",
    params: slugParams,
    answer: askPage,
  }),
  findStrangersCar: route({
    method: "post",
    path: "/api/public/ask/:slug/car",
    area: "requests",
    open: true,
    rate: { most: 20, minutes: 60 },
    summary: "What a plate or VIN is: year, make and model; never whose",
    params: slugParams,
    body: z.strictObject({ plate: textField(12), region: textField(3), vin: textField(17) }),
    answer: z.object({ cars: z.array(strangersCar) }),
  }),
  findTown: route({
    method: "post",
    path: "/api/public/ask/:slug/town",
    area: "requests",
    open: true,
    rate: { most: 120, minutes: 60 },
    summary: "Towns of a postcode",
    params: slugParams,
    body: z.strictObject({ postcode: textField(20) }),
    answer: z.object({ towns: z.array(z.object({ town: z.string(), region: z.string() })) }),
  }),
  askTimes: route({
    method: "post",
    path: "/api/public/ask/:slug/times",
    area: "requests",
    open: true,
    rate: { most: 120, minutes: 60 },
    summary: "Three times at which a visit truly fits",
    params: slugParams,
    body: z.strictObject(wanted),
    answer: z.object({ times: z.array(askedTime) }),
  }),
  holdAskedTime: route({
    method: "post",
    path: "/api/public/ask/:slug/held",
    area: "requests",
    open: true,
    rate: { most: 60, minutes: 60 },
    summary: "Hold a picked time for ten minutes, in place of the one picked before",
    params: slugParams,
    body: z.strictObject({ ...wanted, requestId: idField, time: askedTime }),
    answer: z.object({ heldUntil: z.string() }),
  }),
  addAskedPhoto: route({
    method: "post",
    path: "/api/public/ask/:slug/requests/:id/photos/:photoId",
    area: "requests",
    open: true,
    rate: { most: 40, minutes: 60 },
    summary: "A photo for a request that is being written",
    params: z.object({ slug: slugField, id: idField, photoId: idField }),
    file: { types: PHOTO_TYPES, mostBytes: MOST_PHOTO_BYTES },
    answer: z.object({}),
  }),
  askForVisit: route({
    method: "post",
    path: "/api/public/ask/:slug/requests/:id",
    area: "requests",
    open: true,
    rate: { most: 40, minutes: 60 },
    summary: "Ask for a visit; the same id and words ask once",
    params: z.object({ slug: slugField, id: idField }),
    body: askedVisit,
    answer: z.object({ page: z.string() }),
  }),
};
