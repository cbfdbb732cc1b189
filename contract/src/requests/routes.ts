import { z } from "zod";
import { askedFields, askedTime, LIKENESSES } from "@mechanon/core";
import { customer } from "../customers/customer";
import { idField, idParams, textField } from "../fields";
import { route } from "../route";
import { vehicle } from "../vehicles/vehicle";
import { slugField } from "./askPage";

export const REQUEST_STATUSES = ["waiting", "offered", "agreed", "declined", "withdrawn"] as const;
const MOST_OFFERED = 3;

/** A visit a customer asked for, as a list shows it. */
export const visitRequest = z
  .object({
    id: z.string(),
    asked: askedFields.omit({ photoIds: true }),
    photoIds: z.array(z.string()),
    /** What is wanted, in our words. */
    wishes: z.array(z.string()),
    status: z.enum(REQUEST_STATUSES),
    at: z.string(),
    takenBy: z.object({ id: z.string(), name: z.string() }).nullable(),
    takenAt: z.string().nullable(),
    offered: z.array(askedTime),
    words: z.string(),
    /** null: nobody agreed yet. */
    workOrderId: z.string().nullable(),
    mechanicName: z.string(),
    /** Whether the time is still free for it. */
    isTimeFree: z.boolean(),
    /** How long the visit is thought to take. */
    minutes: z.number().int(),
  })
  .meta({ id: "VisitRequest" });
export type VisitRequest = z.infer<typeof visitRequest>;

/** Who and which car it may be, with why; for us only. */
export const requestMatches = z.object({
  customers: z.array(z.object({ customer, likenesses: z.array(z.enum(LIKENESSES)), cars: z.array(vehicle) })),
  /** The car kept under its plate or VIN, with whose it is. */
  car: z.object({ vehicle, ownerId: z.string(), ownerName: z.string() }).nullable(),
});
export type RequestMatches = z.infer<typeof requestMatches>;

export const requestRoutes = {
  listRequests: route({
    method: "get",
    path: "/api/requests",
    area: "requests",
    summary: "Visits customers asked for: those that wait, and those of the last two weeks",
    answer: z.object({ requests: z.array(visitRequest) }),
  }),
  openRequest: route({
    method: "get",
    path: "/api/requests/:id",
    area: "requests",
    summary: "A visit a customer asked for, with who and which car it may be",
    params: idParams,
    answer: z.object({ request: visitRequest, matches: requestMatches }),
  }),
  agreeToRequest: route({
    method: "post",
    path: "/api/requests/:id/agreement",
    area: "requests",
    summary: "Agree to a request: it becomes a work order and a visit; the first who agrees has it",
    params: idParams,
    body: z.strictObject({
      /** Who it is; null: a new customer. */
      customerId: idField.nullable(),
      /** Which car; null: a new one, where anything is known of it. */
      vehicleId: idField.nullable(),
      /** Another time than was asked for; null: that one. */
      time: askedTime.nullable().default(null),
    }),
    answer: z.object({ workOrderId: z.string() }),
  }),
  offerTimes: route({
    method: "post",
    path: "/api/requests/:id/offer",
    area: "requests",
    summary: "Offer a customer other times, held until they answer",
    params: idParams,
    body: z.strictObject({ times: z.array(askedTime).min(1).max(MOST_OFFERED), words: textField(300).default("") }),
    answer: z.object({}),
  }),
  declineRequest: route({
    method: "post",
    path: "/api/requests/:id/refusal",
    area: "requests",
    summary: "Decline a request, with a word",
    params: idParams,
    body: z.strictObject({ words: textField(300) }),
    answer: z.object({}),
  }),
  askAddress: route({
    method: "get",
    path: "/api/ask-page",
    area: "requests",
    summary: "The address of the page on which customers ask for a visit",
    answer: z.object({ slug: z.string(), url: z.string() }),
  }),
  changeAskAddress: route({
    method: "post",
    path: "/api/ask-page",
    area: "requests",
    right: "settings",
    summary: "Give that page another name; the one before leads nowhere then",
    body: z.strictObject({ slug: slugField }),
    answer: z.object({ slug: z.string(), url: z.string() }),
  }),
};
