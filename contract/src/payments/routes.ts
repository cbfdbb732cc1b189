import { z } from "zod";
import { idField, idParams } from "../fields";
import { route } from "../route";
import { workOrderView } from "../workOrders/routes";
import { receipt } from "./receiptPage";

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
};
