import type { Router } from "express";
import { Op } from "sequelize";
import { routes, type CommandOutcome } from "@mechanon/contract";
import { WorkOrderRow } from "../db/models";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { runWorkOrderCommand } from "./service";
import { listWorkOrders } from "./summaries";
import { viewWorkOrder } from "./view";

const MOST_OPEN_LISTED = 500;

export function workOrderRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.getWorkOrder, scopeOf, ({ scope, params }) => viewWorkOrder(scope, params.id));
  mount(router, routes.sendWorkOrderCommands, scopeOf, async ({ scope, params, body }) => {
    const outcomes: CommandOutcome[] = [];
    for (const sent of body.commands) outcomes.push(await runWorkOrderCommand(deps, scope, params.id, sent));
    const exists = await WorkOrderRow.count({ where: { businessId: scope.businessId, id: params.id } });
    return { outcomes, workOrder: exists > 0 ? await viewWorkOrder(scope, params.id) : null };
  });
  mount(router, routes.openWork, scopeOf, async ({ scope }) => {
    const open = { waitsFor: { [Op.ne]: null } };
    return { workOrders: await listWorkOrders(scope, open, { order: ["waitsSince"], limit: MOST_OPEN_LISTED }) };
  });
}
