import {
  Refusal,
  applyCommand,
  balanceOf,
  quoteTotalCents,
  waitingOf,
  type VisitState,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import type { CommandOutcome } from "@mechanon/contract";
import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { findLiveCustomer } from "../customers/service";
import { WorkOrderRow } from "../db/models";
import { notifyChange } from "../events/notify";
import { AppError } from "../http/errors";
import type { Deps, Scope } from "../scope";
import { loadRules } from "../settings/service";
import { findVehicle } from "../vehicles/service";
import { visitsOf } from "../visits/queries";
import { runOnce } from "./history";

export interface WorkOrderCommandSent {
  id: string;
  at: string;
  command: WorkOrderCommand;
}

/** @throws {AppError} `work-order/not-found`, also for another business's. */
export async function findWorkOrder(
  { businessId }: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
  lock?: "locked",
): Promise<WorkOrderRow> {
  const row = await WorkOrderRow.findOne({
    where: { businessId, id },
    transaction,
    lock: lock === "locked" ? transaction?.LOCK.UPDATE : undefined,
  });
  if (!row)
    throw new AppError(
      "work-order/not-found",
      "This work order is not kept here. Find it by its number, the name or the plate.",
    );
  return row;
}

/**
 * Applies one command to a work order, in one transaction on the locked row: the same function the app ran, then the
 * changed state, the history and the notice to others.
 */
export async function runWorkOrderCommand(
  { db }: Pick<Deps, "db">,
  scope: Scope,
  workOrderId: string,
  sent: WorkOrderCommandSent,
): Promise<CommandOutcome> {
  const { businessId, actor } = scope;
  return runOnce(db, scope, { kind: "workOrder", id: workOrderId }, sent, async (transaction, at) => {
    const row = await WorkOrderRow.findOne({
      where: { businessId, id: workOrderId },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    const { business, library } = await loadRules(businessId, transaction);
    const { command, taxExempt } = await settleCustomer(scope, sent.command, transaction);
    const before = row?.state ?? null;
    let state: WorkOrderState;
    try {
      state = applyCommand(before, command, {
        workOrderId,
        commandId: sent.id,
        at,
        actor,
        settings: business.settings,
        library,
        taxExempt,
      });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return {
        outcome: { id: sent.id, outcome: "refused", refusal: error.code, conflicts: [] },
        revision: row?.revision ?? 0,
      };
    }
    const revision = (row?.revision ?? 0) + 1;
    const visits = (await visitsOf(businessId, [workOrderId], transaction)).get(workOrderId) ?? [];
    const { customerId, vehicleId } = state;
    const columns = { state, revision, customerId, vehicleId, ...derived(state, visits) };
    if (row) await row.update(columns, { transaction });
    else {
      await WorkOrderRow.create(
        {
          businessId,
          id: workOrderId,
          number: await nextNumber(db, businessId, transaction),
          openedAt: new Date(state.openedAt),
          ...columns,
        },
        { transaction },
      );
    }
    await notifyChange(db, businessId, { kind: "workOrder", id: workOrderId, revision }, transaction);
    const conflicts = state.conflicts.filter(({ commandId }) => commandId === sent.id).map(({ id }) => id);
    return { outcome: { id: sent.id, outcome: "applied", refusal: null, conflicts }, revision };
  });
}

/** Brings what lists ask for up to date after a visit changed. */
export async function refreshDerived(
  db: Sequelize,
  businessId: string,
  workOrderIds: string[],
  transaction: Transaction,
): Promise<void> {
  const rows = await WorkOrderRow.findAll({
    where: { businessId, id: workOrderIds },
    order: ["id"],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  const visits = await visitsOf(businessId, workOrderIds, transaction);
  for (const row of rows) {
    await row.update(derived(row.state, visits.get(row.id) ?? []), { transaction });
    await notifyChange(db, businessId, { kind: "workOrder", id: row.id, revision: row.revision }, transaction);
  }
}

function derived(
  state: WorkOrderState,
  visits: VisitState[],
): Pick<WorkOrderRow, "waitsFor" | "waitsSince" | "totalCents" | "dueCents" | "laterCount" | "openConflicts"> {
  const waiting = waitingOf(state, visits);
  const balance = balanceOf(state);
  return {
    waitsFor: waiting.waitsFor,
    waitsSince: new Date(waiting.since),
    totalCents: quoteTotalCents(state),
    dueCents: balance.dueCents,
    laterCount: state.jobs.filter(({ answer }) => answer?.value === "later").length,
    openConflicts: state.conflicts.filter(({ settledAt }) => settledAt === null).length,
  };
}

/** The command for whoever the customer is by now: one made for a merged record goes to the kept one. */
async function settleCustomer(
  scope: Scope,
  command: WorkOrderCommand,
  transaction: Transaction,
): Promise<{ command: WorkOrderCommand; taxExempt: boolean }> {
  if (command.type === "changeVehicle" && command.vehicleId !== null)
    await findVehicle(scope, command.vehicleId, transaction);
  if (command.type !== "openWorkOrder" && command.type !== "changeCustomer") return { command, taxExempt: false };
  if (command.type === "openWorkOrder") await findVehicle(scope, command.vehicleId, transaction);
  const customer = await findLiveCustomer(scope, command.customerId, transaction);
  return { command: { ...command, customerId: customer.id }, taxExempt: customer.details.taxExemption !== null };
}

async function nextNumber(db: Sequelize, businessId: string, transaction: Transaction): Promise<number> {
  const [taken] = await db.query<{ number: number }>(
    "update businesses set next_number = next_number + 1 where id = $1 returning next_number - 1 as number",
    {
      bind: [businessId],
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  return taken?.number ?? 0;
}
