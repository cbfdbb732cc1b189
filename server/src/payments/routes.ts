import type { Language } from "@mechanon/core";
import type { Response } from "express";
import { routes, type ReceiptView } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";
import { takeCard } from "./cards";
import { receiptPdf } from "./receiptPdf";
import { callBackReceipts } from "./receiptLinks";
import { openReceipt, textReceipt, viewReceipt } from "./receipts";

export function paymentRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.takeCard, ({ scope, params, body }) => takeCard(deps, scope, params.id, body));
  mounting.route(routes.getReceipt, ({ scope, params }) => viewReceipt(deps, scope, params.id));
  mounting.route(routes.getReceiptPdf, async ({ scope, params, res }) =>
    sendPdf(res, await viewReceipt(deps, scope, params.id)),
  );
  mounting.route(routes.textReceipt, async ({ scope, params, body }) => ({
    workOrder: await textReceipt(deps, scope, params.id, body.messageId),
  }));
  mounting.route(routes.callBackReceipts, async ({ scope, params }) => {
    await findWorkOrder(scope, params.id);
    await callBackReceipts(deps.db, scope, params.id);
    return { workOrder: await viewWorkOrder(deps, scope, params.id) };
  });
  mounting.open(routes.openReceipt, ({ params }) => openReceipt(deps, params.token));
  mounting.open(routes.openReceiptPdf, async ({ params, query, res }) => {
    const receipt = await openReceipt(deps, params.token);
    await sendPdf(res, receipt, query.language ?? receipt.language);
  });
}

/** @param language - of a customer who opened it; what is opened here is English. */
async function sendPdf(res: Response, receipt: ReceiptView, language?: Language): Promise<void> {
  const pdf = await receiptPdf(receipt, language);
  res.type("application/pdf").set("Content-Disposition", `inline; filename="receipt-${receipt.number}.pdf"`).send(pdf);
}
