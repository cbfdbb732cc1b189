import { randomBytes } from "node:crypto";
import { mayText, messageWays, receiptOf, saidOnPaper, showMoney, showVehicle, upgradeDetails } from "@mechanon/core";
import type { ReceiptView, WorkOrderView } from "@mechanon/contract";
import { findCustomer } from "../customers/service";
import { ofBusiness } from "../db/ofBusiness";
import { AppError } from "../errors/appError";
import { tellCustomer } from "../messages/tellCustomer";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { findWorkOrder } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";
import { findReceiptLink, hasEnded, isStillOf, keepReceipt, keepReceiptLink } from "./receiptLinks";

/** The receipt of a work order, as its customer may see it. */
export async function viewReceipt(
  { rules }: Pick<Deps, "rules">,
  { businessId }: Pick<Scope, "businessId">,
  workOrderId: string,
): Promise<ReceiptView> {
  const row = await findWorkOrder({ businessId }, workOrderId);
  const [business, customer, vehicle] = await Promise.all([
    rules.now(businessId),
    row.customerId === null ? null : findCustomer({ businessId }, row.customerId),
    row.vehicleId === null ? null : findVehicle({ businessId }, row.vehicleId),
  ]);
  const language = customer ? upgradeDetails(customer.details).language : "en";
  return {
    number: row.number,
    business: {
      name: business.name,
      phone: business.settings.phone,
      street: business.settings.home.street,
      timeZone: business.timeZone,
    },
    customerName: customer?.name ?? "",
    vehicleName: showVehicle(vehicle),
    plate: vehicle?.plate ?? null,
    odometerMiles: row.state.odometerMiles?.value ?? null,
    language,
    ...saidOnPaper(row.state, business.settings.inspection, language, business.timeZone),
    ...receiptOf(row.state, language),
  };
}

/** Sends the customer a link to the receipt as it is now; the same message id goes out once. */
export async function textReceipt(
  deps: Pick<Deps, "db" | "config" | "rules">,
  scope: Scope,
  workOrderId: string,
  messageId: string,
): Promise<WorkOrderView> {
  const { db, config, rules } = deps;
  const { businessId } = scope;
  const row = await findWorkOrder(scope, workOrderId);
  if (row.customerId === null)
    throw new AppError(
      "receipt/no-phone",
      "It is not known yet whose this is. Nothing was sent; say whose it is, or hand over the PDF.",
    );
  const { id: customerId, name, details: stored } = await findCustomer(scope, row.customerId);
  const told = { name, ...upgradeDetails(stored) };
  const [way] = messageWays(told);
  if (!way) {
    if (!mayText(told))
      throw new AppError(
        "receipt/texts-refused",
        "This customer wants no texts. Nothing was sent; show the receipt or hand over the PDF, or ask again and note it.",
      );
    throw new AppError(
      "receipt/no-phone",
      "This customer has no phone number. Nothing was sent; add one, or hand over the PDF.",
    );
  }
  const receipt = await viewReceipt({ rules }, scope, workOrderId);
  const token = randomBytes(24).toString("base64url");
  await db.transaction(async (transaction) => {
    const queued = await tellCustomer(
      deps,
      scope,
      {
        kind: "receipt",
        key: messageId,
        messageId,
        told,
        about: { workOrderId, customerId },
        values: { car: row.vehicleId === null ? "" : receipt.vehicleName, amount: showMoney(receipt.paidCents) },
        link: `${config.publicUrl}/r/${token}`,
        isByHand: true,
      },
      transaction,
    );
    if (queued === 0) return;
    await keepReceiptLink(
      db,
      {
        token,
        businessId,
        workOrderId,
        sentTo: way.recipient,
        receipt,
        customerId: row.customerId,
        vehicleId: row.vehicleId,
      },
      transaction,
    );
  });
  return viewWorkOrder({ db, rules }, scope, workOrderId);
}

/** The receipt behind a link, as it was when it was sent. @throws {AppError} `receipt/not-found`, `receipt/link-ended`. */
export async function openReceipt({ db, rules }: Pick<Deps, "db" | "rules">, token: string): Promise<ReceiptView> {
  const link = await findReceiptLink(db, token);
  return ofBusiness(link.businessId, async () => {
    const { settings } = await rules.now(link.businessId);
    if (hasEnded(link, settings.receiptLinkMonths, new Date()) || !(await isStillOf(db, link)))
      throw new AppError(
        "receipt/link-ended",
        "This link has ended. Ask whoever did the work for a new one, or for the receipt on paper.",
      );
    const now = await viewReceipt({ rules }, link, link.workOrderId);
    // What it says stays; the language is the one they want by now.
    if (link.receipt) return { ...link.receipt, language: now.language };
    await keepReceipt(db, link, now);
    return now;
  });
}
