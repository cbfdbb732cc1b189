import type { WorkOrderCommand } from "@mechanon/core";
import { v5 as uuidOf } from "uuid";
import { personScope } from "../access/personScope";
import type { CommandDeps } from "../commands/aggregate";
import { askPrepared } from "../db/askPrepared";
import { runWorkOrderCommands } from "../workOrders/service";
import type { ExternalRequest } from "./externalRequest";

/** The namespace of ids that are made from a request's; any fixed UUID would do. */
const RECORDED = "5f2b0a3e-77a4-4c58-9d0f-6c3a3b8e1d21";

const SETTLE = `
  with settled as (
    update external_requests set status = $3, answer = $4, settled_at = now()
    where business_id = $1 and id = $2 and status = 'asked' returning business_id, id
  ), freed as (
    update external_request_lines l set is_reserved = false from settled
    where l.business_id = settled.business_id and l.request_id = settled.id
  )
  select pg_notify('mechanon_changes', json_build_object('businessId', $1::text, 'kind', 'workOrder', 'id', $5::text,
    'revision', 0)::text) from settled`;

/**
 * Records what became of a request, once, whoever heard it: on the work order as the act of the person who asked, and
 * on the request itself, in one transaction.
 *
 * @param command - null where there is nothing to record on the work order.
 */
export async function recordAnswer(
  deps: CommandDeps,
  businessId: string,
  request: ExternalRequest,
  settled: { status: Exclude<ExternalRequest["status"], "asked">; answer: object; command: WorkOrderCommand | null },
): Promise<void> {
  const { status, answer, command } = settled;
  const values = [businessId, request.id, status, JSON.stringify(answer), request.workOrderId];
  if (command === null) {
    await askPrepared(deps.db, SETTLE, values);
    return;
  }
  const scope = await personScope(deps.db, businessId, request.personId);
  // An id of its own, always the same for the same request: what it says may be told twice, and is recorded once.
  const sent = { id: uuidOf(request.id, RECORDED), at: new Date().toISOString(), command };
  await runWorkOrderCommands(deps, scope, request.workOrderId, [sent], async (transaction, { outcomes: [outcome] }) => {
    // Money and orders are facts: one that is not recorded stays open, and is asked about again.
    if (outcome?.outcome !== "applied")
      throw new Error(`request ${request.id} cannot be recorded: ${outcome?.refusal ?? ""}`);
    await askPrepared(deps.db, SETTLE, values, transaction);
  });
}
