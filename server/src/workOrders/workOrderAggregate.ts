import {
  LEDGER_VERSION,
  Refusal,
  applyCommand,
  ledgerOf,
  listed,
  ruleOf,
  upgradeVisit,
  upgradeWorkOrder,
  type CommandContext,
  type WorkOrderCommand,
  type WorkOrderContext,
  type WorkOrderState,
} from "@mechanon/core";
import type { Aggregate, Run } from "../commands/aggregate";
import { findCustomer } from "../customers/service";
import { NOBODY } from "../access/nobody";
import { askPrepared } from "../db/askPrepared";
import { askedRequests } from "../externalRequests/externalRequest";
import { sealAgreed } from "../approvals/sealAgreed";
import { laborGuide } from "../laborGuide/laborGuide";
import { AppError } from "../errors/appError";
import { tellOfAnswer } from "../messages/tellOfAnswer";

/** Work orders, as the pipeline of commands sees them. */
export const workOrderAggregate: Aggregate<
  WorkOrderState,
  WorkOrderCommand,
  Omit<WorkOrderContext, keyof CommandContext>
> = {
  kind: "workOrder",
  upgrade: upgradeWorkOrder,
  apply: applyCommand,
  check: async () => undefined,
  conflictsOf: (after, sentId) => after.conflicts.filter(({ commandId }) => commandId === sentId).map(({ id }) => id),
  async effects(run, before, after, command) {
    await sealAgreed(run, before, after, command);
    await tellOfAnswer(run, before, after, command);
  },
  refusalFor: () => null,

  async prepare(run, sent) {
    const { deps, scope, transaction, begun } = run;
    const { businessId } = scope;
    const needs = ruleOf(sent.type).needs;
    const settings = await deps.rules.settingsAt(businessId, begun.settingsVersion, transaction);
    const library = needs.includes("library")
      ? await deps.rules.libraryAt(businessId, begun.libraryVersion, transaction)
      : [];
    if (needs.includes("vehicle")) await requireVehicle(run, sent);
    const { command, taxExempt } = needs.includes("customer")
      ? await forLiveCustomer(run, sent)
      : { command: sent, taxExempt: false };
    const unclearChargeCents = needs.includes("charges") ? await unclearCharges(run) : 0;
    const guide = needs.includes("guide") ? laborGuide() : undefined;
    return { command, context: { settings, library, guide, taxExempt, unclearChargeCents } };
  },

  async store({ deps, scope, id, transaction, begun }, before, after, revision, records) {
    const visits = (begun.visits ?? []).map(upgradeVisit);
    const [row] = await askPrepared<{ number: number | null }>(
      deps.db,
      "select store_work_order($1, $2, $3, $4, $5, $6, $7, $8) as number",
      [
        scope.businessId,
        id,
        // The history knows by nobody what a customer did by themselves.
        scope.actor.id === NOBODY ? null : scope.actor.id,
        after && JSON.stringify({ state: after, revision }),
        after && JSON.stringify(listed(after, visits)),
        // One whose ledger was written another way, or not yet, is written whole.
        after && JSON.stringify(ledgerOf(after, begun.row?.ledgerVersion === LEDGER_VERSION ? before : null)),
        LEDGER_VERSION,
        JSON.stringify(records),
      ],
      transaction,
    );
    return row?.number ?? 0;
  },
};

/** What the card terminal was asked to charge and has not said whether it did, in cents. */
async function unclearCharges({ deps, scope, id, transaction }: Run): Promise<number> {
  const asked = await askedRequests(deps.db, scope.businessId, id, transaction);
  return asked.reduce((sum, { kind, amountCents }) => sum + (kind === "cardCharge" ? (amountCents ?? 0) : 0), 0);
}

async function requireVehicle({ deps, scope, transaction }: Run, command: WorkOrderCommand): Promise<void> {
  if (!("vehicleId" in command) || command.vehicleId === null) return;
  const found = await askPrepared(
    deps.db,
    "select 1 from vehicles where business_id = $1 and id = $2",
    [scope.businessId, command.vehicleId],
    transaction,
  );
  if (found.length === 0) throw new Refusal("vehicle/not-found");
}

/** The command for whoever the customer is by now: one made for a merged record goes to the kept one. */
async function forLiveCustomer(
  { scope, transaction }: Run,
  command: WorkOrderCommand,
): Promise<{ command: WorkOrderCommand; taxExempt: boolean }> {
  if ((command.type !== "openWorkOrder" && command.type !== "changeCustomer") || command.customerId === null)
    return { command, taxExempt: false };
  const customer = await findCustomer(scope, command.customerId, transaction).catch((error: unknown) => {
    if (error instanceof AppError && error.code === "customer/not-found") throw new Refusal("customer/not-found");
    throw error;
  });
  if (customer.erasedAt) throw new Refusal("customer/erased");
  return { command: { ...command, customerId: customer.id }, taxExempt: customer.details.taxExemption !== null };
}
