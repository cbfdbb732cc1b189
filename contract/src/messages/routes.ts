import { z } from "zod";
import { idField, idParams, instantField, textField } from "../fields";
import { route } from "../route";
import { message } from "./message";

const MOST_WORDS = 1000;
/** As long as an address can be. @see RFC 5321, 4.5.3.1 */
const reachField = textField(254).min(1, "a phone or an email is needed");

/** A message that waits for somebody of ours, with what it is about. */
export const openMessage = message
  .extend({
    workOrderId: z.string().nullable(),
    customerId: z.string().nullable(),
    /** Null: from a number nobody here has. */
    customerName: z.string().nullable(),
  })
  .meta({ id: "OpenMessage" });
export type OpenMessage = z.infer<typeof openMessage>;

/** What the message service tells: what became of one, or what somebody wrote. */
export const messageNews = z.discriminatedUnion("what", [
  z.strictObject({ what: z.literal("delivered"), key: z.string().max(200) }),
  z.strictObject({ what: z.literal("failed"), key: z.string().max(200), why: z.string().max(500) }),
  z.strictObject({
    what: z.literal("reply"),
    /** Its own of the reply: told twice, it came once. */
    id: idField,
    /** The key of the message it answers. */
    toKey: z.string().max(200),
    channel: z.enum(["text", "mail"]),
    from: z.string().max(254),
    text: z.string().max(10_000),
    at: instantField,
  }),
]);
export type MessageNews = z.infer<typeof messageNews>;

/** A quote that was sent and not answered, with whom to call about it. */
export const quoteToCall = z
  .object({
    workOrderId: z.string(),
    number: z.number().int(),
    customerName: z.string(),
    vehicleName: z.string(),
    /** Null: none is kept. */
    phone: z.string().nullable(),
    totalCents: z.number().int(),
    sentAt: z.string(),
    /** The job they put off, to be asked about again by now; null: a quote nobody answered. */
    putOff: z.string().nullable().default(null),
  })
  .meta({ id: "QuoteToCall" });
export type QuoteToCall = z.infer<typeof quoteToCall>;

export const messageRoutes = {
  callList: route({
    method: "get",
    path: "/api/call-list",
    area: "messages",
    rate: { most: 600, minutes: 10 },
    summary: "Whom to call about quotes nobody answered, and about what they put off until now",
    answer: z.object({ quotes: z.array(quoteToCall) }),
  }),
  openMessages: route({
    method: "get",
    path: "/api/messages",
    area: "messages",
    summary: "Messages that wait for somebody: replies, those that ask first, those that did not arrive",
    answer: z.object({ messages: z.array(openMessage) }),
  }),
  decideMessage: route({
    method: "post",
    path: "/api/messages/:id/decision",
    area: "messages",
    rate: { most: 600, minutes: 60 },
    summary: "Send a message that asks first, or one that did not arrive once more; drop it; or see to a reply",
    params: idParams,
    body: z.strictObject({ decision: z.enum(["send", "drop", "done"]) }),
    answer: z.object({}),
  }),
  writeMessage: route({
    method: "post",
    path: "/api/work-orders/:id/messages",
    area: "messages",
    rate: { most: 600, minutes: 60 },
    summary: "Write to the customer of a work order, by the way they were told by before; the same id goes out once",
    params: idParams,
    body: z.strictObject({
      messageId: idField,
      text: textField(MOST_WORDS).min(1, "a message needs words"),
      /** A reply this answers. */
      answers: idField.nullable().default(null),
    }),
    answer: z.object({}),
  }),
  answerUnknown: route({
    method: "post",
    path: "/api/messages/:id/answer",
    area: "messages",
    rate: { most: 600, minutes: 60 },
    summary: "Answer a reply where it came from; the same id goes out once",
    params: idParams,
    body: z.strictObject({ messageId: idField, text: textField(MOST_WORDS).min(1, "a message needs words") }),
    answer: z.object({}),
  }),
  sendQuote: route({
    method: "post",
    path: "/api/work-orders/:id/quote-messages",
    area: "messages",
    rate: { most: 60, minutes: 60 },
    summary: "Send the customer what was found and what it would cost; from then on their page shows it",
    params: idParams,
    body: z.strictObject({
      messageId: idField,
      /** A phone or an address; left out: by the way they want. */
      to: reachField.optional(),
    }),
    answer: z.object({}),
  }),
  sendSheet: route({
    method: "post",
    path: "/api/work-orders/:id/sheet-messages",
    area: "messages",
    rate: { most: 60, minutes: 60 },
    summary: "Send a mechanic their sheet: a link for who is signed in, with the sheet as a PDF where it goes by mail",
    params: idParams,
    body: z.strictObject({ messageId: idField, to: reachField }),
    answer: z.object({}),
  }),
  callBackPages: route({
    method: "delete",
    path: "/api/customers/:id/page-links",
    area: "messages",
    summary: "Call the links to a customer's private page back",
    params: idParams,
    answer: z.object({ ended: z.number().int() }),
  }),
  hearMessenger: route({
    method: "post",
    path: "/api/outside/messages",
    area: "messages",
    open: true,
    summary: "For the message service, by its secret: what became of messages, and replies",
    body: messageNews,
    answer: z.object({}),
  }),
};
