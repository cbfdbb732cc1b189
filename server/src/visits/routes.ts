import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { visitsOfDay } from "./day";
import { runVisitCommands } from "./service";

export function visitRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.sendVisitCommands, scopeOf, async ({ scope, params, body }) => {
    const { outcomes, after, revision } = await runVisitCommands(deps, scope, params.id, body.commands);
    return { outcomes, visit: after, revision };
  });
  mount(router, routes.getDay, scopeOf, async ({ scope, query: { date } }) => ({
    date,
    visits: await visitsOfDay(deps.db, scope, date),
  }));
}
