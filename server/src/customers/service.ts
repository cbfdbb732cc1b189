import { customerDetails, type CustomerDetails } from "@mechanon/core";
import type { Customer, customerBody, customerChanges } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import type { z } from "zod";
import { CustomerRow } from "./model";
import { requireRight } from "../http/requireRight";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { likelyCustomers } from "./likely";
import { toCustomer } from "./toCustomer";

/**
 * Keeps a new customer.
 * @throws {AppError} `customer/kept-already` when a phone or email belongs to somebody the person was not shown yet,
 * unless it is to be kept twice.
 */
export async function createCustomer(
  db: Sequelize,
  scope: Scope,
  body: z.output<typeof customerBody>,
  transaction: Transaction,
): Promise<Customer> {
  const details = customerDetails.parse(body);
  requireRightToExempt(scope, null, details.taxExemption);
  await holdReaches(db, scope, details, transaction);
  if (!body.keepTwice) await refuseDouble(db, scope, body, transaction);
  const { id, kind, name } = body;
  const row = await CustomerRow.create(
    { businessId: scope.businessId, id, kind, name, details, version: 1 },
    { transaction },
  );
  await indexCustomers(db, scope.businessId, [id], transaction);
  return toCustomer(row);
}

/** Whether somebody pays taxes is part of what they pay. @throws {AppError} `rights/missing`. */
function requireRightToExempt(
  scope: Scope,
  before: CustomerDetails["taxExemption"],
  after: CustomerDetails["taxExemption"],
): void {
  if (before?.number !== after?.number) requireRight(scope, "changePrices");
}

/** Two people saving one new phone at once take turns, so that the second is told of the first. */
async function holdReaches(
  db: Sequelize,
  { businessId }: Scope,
  { phones, emails }: CustomerDetails,
  transaction: Transaction,
): Promise<void> {
  const reaches = [...phones.map(({ number }) => number), ...emails.map(({ address }) => address.toLowerCase())].sort();
  for (const reach of reaches)
    await db.query("select pg_advisory_xact_lock(hashtextextended($1, 1))", {
      bind: [`${businessId}/${reach}`],
      transaction,
    });
}

async function refuseDouble(
  db: Sequelize,
  scope: Scope,
  body: z.output<typeof customerBody>,
  transaction: Transaction,
): Promise<void> {
  const likely = await likelyCustomers(db, scope, body, transaction);
  const double = likely.find(
    ({ customer, likenesses }) =>
      !body.notTheSameAs.includes(customer.id) && likenesses.some((why) => why === "phone" || why === "email"),
  );
  if (!double) return;
  const what = double.likenesses.includes("phone") ? "phone" : "email";
  throw new AppError(
    "customer/kept-already",
    `This ${what} is kept for ${double.customer.name} already. Nothing was saved, and what you typed is still here; go on with ${double.customer.name}, or save as somebody else.`,
    {
      keptId: double.customer.id,
      fields: [{ path: what === "phone" ? "phones" : "emails", message: `kept for ${double.customer.name}` }],
    },
  );
}

/**
 * A customer of this business; one that became part of another leads to that one.
 * @throws {AppError} `customer/not-found`, also for another business's customer.
 */
export async function findCustomer(
  { businessId }: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
): Promise<CustomerRow> {
  const row = await CustomerRow.findOne({ where: { businessId, id }, transaction });
  if (!row)
    throw new AppError("customer/not-found", "This customer is not kept here. Search for the name or the phone.");
  return row.mergedInto ? findCustomer({ businessId }, row.mergedInto, transaction) : row;
}

/**
 * A customer something new can be kept for.
 * @throws {AppError} `customer/erased` for one of whom only the bills are left, and as findCustomer.
 */
export async function findLiveCustomer(
  scope: Pick<Scope, "businessId">,
  id: string,
  transaction: Transaction,
): Promise<CustomerRow> {
  const row = await findCustomer(scope, id, transaction);
  if (row.erasedAt)
    throw new AppError("customer/erased", "This customer was erased; only the bills are left. Make a new customer.");
  return row;
}

/**
 * @throws {AppError} `version/changed` when somebody else changed it meanwhile, `customer/erased` when nothing is left
 * to change.
 */
export async function changeCustomer(
  db: Sequelize,
  scope: Scope,
  id: string,
  { version, ...changes }: z.output<typeof customerChanges>,
): Promise<Customer> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const before = await findLiveCustomer(scope, id, transaction);
    requireRightToExempt(scope, before.details.taxExemption, changes.taxExemption);
    const { kind, name } = changes;
    const [count] = await CustomerRow.update(
      { kind, name, details: customerDetails.parse(changes), version: version + 1 },
      { where: { businessId, id, version }, transaction },
    );
    if (count === 0)
      throw new AppError(
        "version/changed",
        "Somebody else changed this customer meanwhile. What you typed is still here; load the newest and compare.",
      );
    await indexCustomers(db, businessId, [id], transaction);
    return toCustomer(await findCustomer(scope, id, transaction));
  });
}
