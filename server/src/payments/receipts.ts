import { randomBytes } from "node:crypto";
import { mayText, receiptOf, receiptText, showVehicle, textPhone } from "@mechanon/core";
import type { ReceiptView, WorkOrderView } from "@mechanon/contract";
import { QueryTypes, type Transaction } from "sequelize";
import { findCustomer } from "../customers/service";
import { AppError } from "../http/errors";
import { queueMessage } from "../messages/service";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { findWorkOrder } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";

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
    ...receiptOf(row.state),
  };
}

/** Texts the customer a link to the receipt; the same message id goes out once. */
export async function textReceipt(
  { db, config }: Pick<Deps, "db" | "config">,
  scope: Scope,
  workOrderId: string,
  messageId: string,
): Promise<WorkOrderView> {
  const row = await findWorkOrder(scope, workOrderId);
  if (row.customerId === null)
    throw new AppError(
      "receipt/no-phone",
      "It is not known yet whose this is. Nothing was sent; say whose it is, or hand over the PDF.",
    );
  const { details } = await findCustomer(scope, row.customerId);
  if (!mayText(details))
    throw new AppError(
      "receipt/texts-refused",
      "This customer wants no texts. Nothing was sent; show the receipt or hand over the PDF, or ask again and note it.",
    );
  const phone = textPhone(details);
  if (phone === null)
    throw new AppError(
      "receipt/no-phone",
      "This customer has no phone number. Nothing was sent; add one, or hand over the PDF.",
    );
  const { paidCents } = receiptOf(row.state);
  await db.transaction(async (transaction) => {
    const token = await linkFor(db, scope.businessId, workOrderId, transaction);
    await queueMessage(
      db,
      scope,
      {
        id: messageId,
        workOrderId,
        recipient: phone,
        text: receiptText(scope.businessName, paidCents, `${config.publicUrl}/r/${token}`),
      },
      transaction,
    );
  });
  return viewWorkOrder({ db }, scope, workOrderId);
}

/** @throws {AppError} `receipt/not-found` for a link nobody gave out. */
export async function findByToken(
  { db }: Pick<Deps, "db">,
  token: string,
): Promise<{ businessId: string; workOrderId: string }> {
  const [link] = await db.query<{ business_id: string; work_order_id: string }>(
    "select business_id, work_order_id from directory.receipt_links where token = $1",
    {
      bind: [token],
      type: QueryTypes.SELECT,
    },
  );
  if (!link)
    throw new AppError(
      "receipt/not-found",
      "There is no receipt behind this link. Check that it was copied whole, or ask for it again.",
    );
  return { businessId: link.business_id, workOrderId: link.work_order_id };
}

async function linkFor(
  db: Deps["db"],
  businessId: string,
  workOrderId: string,
  transaction: Transaction,
): Promise<string> {
  const [known] = await db.query<{ token: string }>(
    "select token from directory.receipt_links where business_id = $1 and work_order_id = $2",
    {
      bind: [businessId, workOrderId],
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  if (known) return known.token;
  const token = randomBytes(24).toString("base64url");
  await db.query("insert into directory.receipt_links (token, business_id, work_order_id) values ($1, $2, $3)", {
    bind: [token, businessId, workOrderId],
    transaction,
  });
  return token;
}
