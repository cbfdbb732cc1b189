import type { Response, Router } from "express";
import { routes, type ReceiptView } from "@mechanon/contract";
import { anyone, mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { takeCard } from "./cards";
import { receiptPdf } from "./receiptPdf";
import { findByToken, textReceipt, viewReceipt } from "./receipts";

export function paymentRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.takeCard, scopeOf, ({ scope, params, body }) => takeCard(deps, scope, params.id, body));
  mount(router, routes.getReceipt, scopeOf, ({ scope, params }) => viewReceipt(deps, scope, params.id));
  mount(router, routes.getReceiptPdf, scopeOf, async ({ scope, params, res }) =>
    sendPdf(res, await viewReceipt(deps, scope, params.id)),
  );
  mount(router, routes.textReceipt, scopeOf, async ({ scope, params, body }) => ({
    workOrder: await textReceipt(deps, scope, params.id, body.messageId),
  }));
  mount(router, routes.openReceipt, anyone, async ({ params }) => {
    const { businessId, workOrderId } = await findByToken(deps, params.token);
    return viewReceipt(deps, { businessId }, workOrderId);
  });
  mount(router, routes.openReceiptPdf, anyone, async ({ params, res }) => {
    const { businessId, workOrderId } = await findByToken(deps, params.token);
    await sendPdf(res, await viewReceipt(deps, { businessId }, workOrderId));
  });
}

async function sendPdf(res: Response, receipt: ReceiptView): Promise<void> {
  const pdf = await receiptPdf(receipt);
  res.type("application/pdf").set("Content-Disposition", `inline; filename="receipt-${receipt.number}.pdf"`).send(pdf);
}
