import { z } from "zod";
import { idField, idParams } from "../fields";
import { route } from "../route";
import { workOrderView } from "../workOrders/routes";

const cents = z.number().int();
export const receipt = z
  .object({
    number: z.number().int(),
    business: z.object({ name: z.string(), phone: z.string(), street: z.string(), timeZone: z.string() }),
    customerName: z.string(),
    vehicleName: z.string(),
    plate: z.string().nullable(),
    odometerMiles: z.number().int().nullable(),
    jobs: z.array(
      z.object({
        title: z.string(),
        totalCents: cents,
        lines: z.array(z.object({ description: z.string(), quantity: z.string(), netCents: cents })),
      }),
    ),
    suppliesCents: cents,
    taxes: z.array(z.object({ id: z.string(), cents })),
    totalCents: cents,
    paidCents: cents,
    dueCents: cents,
    payments: z.array(
      z.object({
        method: z.enum(["card", "cash"]),
        at: z.string(),
        amountCents: cents,
        tenderedCents: cents.nullable(),
        card: z.object({ lastFour: z.string(), authorization: z.string() }).nullable(),
      }),
    ),
    notDone: z.array(z.object({ title: z.string(), answer: z.enum(["later", "no"]) })),
    signature: z.object({ name: z.string(), strokes: z.array(z.array(z.number())), at: z.string() }).nullable(),
  })
  .meta({ id: "Receipt" });
export type ReceiptView = z.infer<typeof receipt>;

const token = z.object({ token: z.string().regex(/^[\w-]{20,80}$/) });

export const paymentRoutes = {
  takeCard: route({
    method: "post",
    path: "/api/work-orders/:id/card-payments",
    area: "payments",
    rate: { most: 60, minutes: 10 },
    summary: "Take a card through the terminal; the same payment id is charged once",
    params: idParams,
    body: z.strictObject({ paymentId: idField, amountCents: z.number().int().min(1).max(100_000_000) }),
    answer: z.object({
      result: z.enum(["taken", "declined"]),
      reason: z.string().nullable(),
      workOrder: workOrderView,
    }),
  }),
  getReceipt: route({
    method: "get",
    path: "/api/work-orders/:id/receipt",
    area: "payments",
    summary: "The receipt",
    params: idParams,
    answer: receipt,
  }),
  getReceiptPdf: route({
    method: "get",
    path: "/api/work-orders/:id/receipt.pdf",
    area: "payments",
    summary: "The receipt as a PDF",
    params: idParams,
  }),
  textReceipt: route({
    method: "post",
    path: "/api/work-orders/:id/receipt-messages",
    area: "payments",
    rate: { most: 20, minutes: 60 },
    summary: "Text the customer a link to the receipt",
    params: idParams,
    body: z.strictObject({ messageId: idField }),
    answer: z.object({ workOrder: workOrderView }),
  }),
  callBackReceipts: route({
    method: "delete",
    path: "/api/work-orders/:id/receipt-links",
    area: "payments",
    summary: "Call back the links to a receipt: none of those sent so far can be opened any more",
    params: idParams,
    answer: z.object({ workOrder: workOrderView }),
  }),
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
  }),
};
