import {
  Refusal,
  applyVisitCommand,
  mayText,
  onMyWayText,
  textPhone,
  type VisitCommand,
  type VisitState,
} from "@mechanon/core";
import type { CommandOutcome } from "@mechanon/contract";
import { QueryTypes, type Transaction } from "sequelize";
import { CustomerRow, Person, VisitRow, VisitWorkOrder, WorkOrderRow } from "../db/models";
import { notifyChange } from "../events/notify";
import { AppError } from "../http/errors";
import { queueMessage } from "../messages/service";
import type { Deps, Scope } from "../scope";
import { runOnce } from "../workOrders/history";
import { refreshDerived } from "../workOrders/service";

export interface VisitCommandSent {
  id: string;
  at: string;
  command: VisitCommand;
}

/** Applies one command to a visit, and brings the work orders it serves along. */
export async function runVisitCommand(
  { db }: Pick<Deps, "db">,
  scope: Scope,
  visitId: string,
  sent: VisitCommandSent,
): Promise<CommandOutcome> {
  const { businessId } = scope;
  return runOnce(db, scope, { kind: "visit", id: visitId }, sent, async (transaction, at) => {
    const row = await VisitRow.findOne({
      where: { businessId, id: visitId },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    const wasOnTheWay = Boolean(row?.state.setOffAt);
    let state: VisitState;
    try {
      state = applyVisitCommand(row?.state ?? null, sent.command, { visitId, at });
      await checkPlan(db, scope, visitId, state, sent.command, transaction);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return {
        outcome: { id: sent.id, outcome: "refused", refusal: error.code, conflicts: [] },
        revision: row?.revision ?? 0,
      };
    }
    const revision = (row?.revision ?? 0) + 1;
    const columns = {
      state,
      revision,
      mechanicId: state.mechanicId,
      startsAt: new Date(state.startsAt),
      endsAt: new Date(state.endsAt),
      cancelled: state.cancelledAt !== null,
    };
    if (row) await row.update(columns, { transaction });
    else {
      await VisitRow.create({ businessId, id: visitId, ...columns }, { transaction });
      await VisitWorkOrder.bulkCreate(
        state.workOrderIds.map((workOrderId) => ({ businessId, visitId, workOrderId })),
        { transaction },
      );
    }
    await refreshDerived(db, businessId, state.workOrderIds, transaction);
    if (sent.command.type === "setOff" && !wasOnTheWay)
      await tellCustomers(scope, state, sent.command.driveMinutes, transaction);
    await notifyChange(db, businessId, { kind: "visit", id: visitId, revision }, transaction);
    return { outcome: { id: sent.id, outcome: "applied", refusal: null, conflicts: [] }, revision };
  });
}

/** What only the server can see: that all it names is there, and that the mechanic is free. */
async function checkPlan(
  db: Deps["db"],
  { businessId }: Scope,
  visitId: string,
  state: VisitState,
  command: VisitCommand,
  transaction: Transaction,
): Promise<void> {
  if (command.type !== "bookVisit" && command.type !== "moveVisit") return;
  const orders = new Set(state.workOrderIds);
  const [known, mechanics] = await Promise.all([
    WorkOrderRow.count({ where: { businessId, id: [...orders] }, transaction }),
    Person.count({ where: { businessId, id: state.mechanicId, isMechanic: true }, transaction }),
  ]);
  if (known !== orders.size)
    throw new AppError("work-order/not-found", "A work order of this visit is not kept here. Nothing was booked.");
  if (mechanics === 0)
    throw new AppError(
      "request/invalid",
      "Nobody with that id drives to customers. Pick a mechanic; nothing was booked.",
      {
        fields: [{ path: "mechanicId", message: "is no mechanic here" }],
      },
    );
  if (command.allowOverlap) return;
  const overlapping = await db.query(
    "select 1 from visits where business_id = $1 and mechanic_id = $2 and id <> $3 and not cancelled and starts_at < $5 and ends_at > $4 and state->>'leftAt' is null limit 1",
    {
      bind: [businessId, state.mechanicId, visitId, state.startsAt, state.endsAt],
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  if (overlapping.length > 0) throw new Refusal("visit/overlaps");
}

async function tellCustomers(
  scope: Scope,
  visit: VisitState,
  minutes: number,
  transaction: Transaction,
): Promise<void> {
  const { businessId } = scope;
  const orders = await WorkOrderRow.findAll({ where: { businessId, id: visit.workOrderIds }, transaction });
  const customers = await CustomerRow.findAll({
    where: { businessId, id: [...new Set(orders.map(({ customerId }) => customerId))] },
    transaction,
  });
  const mechanic = await Person.findOne({ where: { businessId, id: visit.mechanicId }, transaction });
  const firstName = (mechanic?.name ?? scope.actor.name).split(" ")[0] ?? "";
  for (const { id, details } of customers) {
    const order = orders.find(({ customerId }) => customerId === id);
    const phone = mayText(details) ? textPhone(details) : null;
    if (phone !== null && order)
      await queueMessage(
        scope,
        { workOrderId: order.id, recipient: phone, text: onMyWayText(scope.businessName, firstName, minutes) },
        transaction,
      );
  }
}
