import type { Router } from "express";
import { Op } from "sequelize";
import { addDays, instantAt } from "@mechanon/core";
import { routes, type CommandOutcome } from "@mechanon/contract";
import { Person, VisitRow } from "../db/models";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { listWorkOrders } from "../workOrders/summaries";
import { runVisitCommand } from "./service";

export function visitRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.sendVisitCommands, scopeOf, async ({ scope, params, body }) => {
    const outcomes: CommandOutcome[] = [];
    for (const sent of body.commands) outcomes.push(await runVisitCommand(deps, scope, params.id, sent));
    const row = await VisitRow.findOne({ where: { businessId: scope.businessId, id: params.id } });
    return { outcomes, visit: row?.state ?? null };
  });
  mount(router, routes.getDay, scopeOf, async ({ scope, query }) => {
    const { businessId, timeZone } = scope;
    const from = new Date(instantAt(query.date, 0, timeZone));
    const to = new Date(instantAt(addDays(query.date, 1), 0, timeZone));
    const rows = await VisitRow.findAll({
      where: { businessId, cancelled: false, startsAt: { [Op.gte]: from, [Op.lt]: to } },
      order: ["startsAt"],
    });
    const [summaries, people] = await Promise.all([
      listWorkOrders(scope, { id: [...new Set(rows.flatMap(({ state }) => state.workOrderIds))] }),
      Person.findAll({ where: { businessId } }),
    ]);
    const nameOf = new Map(people.map(({ id, name }) => [id, name]));
    return {
      date: query.date,
      visits: rows.map(({ state }) => ({
        visit: state,
        mechanicName: nameOf.get(state.mechanicId) ?? "",
        workOrders: summaries.filter(({ id }) => state.workOrderIds.includes(id)),
      })),
    };
  });
}
