import { z } from "zod";
import { language, receiptContent } from "@mechanon/core";
import { route } from "../route";

/** The paper a customer gets: what was done and paid, for whom and by whom. */
export const receipt = receiptContent
  .extend({
    number: z.number().int(),
    business: z.object({ name: z.string(), phone: z.string(), street: z.string(), timeZone: z.string() }),
    customerName: z.string(),
    vehicleName: z.string(),
    plate: z.string().nullable(),
    odometerMiles: z.number().int().nullable(),
    /** What its customer is spoken to in; those kept of before say nothing of it. */
    language: language.default("en"),
    /** What is not safe still, and that they were told; those kept of before say nothing of it. */
    unsafe: z.array(z.string()).default([]),
    /** What became of why they called. */
    concerns: z.array(z.string()).default([]),
  })
  .meta({ id: "Receipt" });
export type ReceiptView = z.infer<typeof receipt>;

const token = z.object({ token: z.string().regex(/^[\w-]{20,80}$/) });

/** What a customer's receipt page asks: apart, so that the page brings along nothing of the mechanic's routes. */
export const receiptPageRoutes = {
  openReceipt: route({
    method: "get",
    path: "/api/public/receipts/:token",
    area: "payments",
    summary: "The receipt behind a link",
    open: true,
    params: token,
    answer: receipt,
  }),
  openReceiptPdf: route({
    method: "get",
    path: "/api/public/receipts/:token/pdf",
    area: "payments",
    summary: "The receipt behind a link, as a PDF",
    open: true,
    params: token,
    /** Left out: the customer's own. */
    query: z.object({ language: language.optional() }),
  }),
};
