import type { WorkOrderCommand, WorkOrderState } from "@mechanon/core";
import type { Transaction } from "sequelize";
import type { CommandDeps, SentCommand } from "../commands/aggregate";
import { runCommands, type Ran } from "../commands/runCommands";
import { WorkOrderRow } from "./model";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { workOrderAggregate } from "./workOrderAggregate";

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
  if (!row) throw noWorkOrder();
  return row;
}

export function noWorkOrder(): AppError {
  return new AppError(
    "work-order/not-found",
    "This work order is not kept here. Find it by its number, the name or the plate.",
  );
}

/** Runs commands sent to a work order. @see runCommands */
export function runWorkOrderCommands(
  deps: CommandDeps,
  scope: Scope,
  workOrderId: string,
  sent: readonly SentCommand<WorkOrderCommand>[],
  within?: Parameters<typeof runCommands<WorkOrderState, WorkOrderCommand, object>>[5],
): Promise<Ran<WorkOrderState>> {
  return runCommands(deps, scope, workOrderAggregate, workOrderId, sent, within);
}
