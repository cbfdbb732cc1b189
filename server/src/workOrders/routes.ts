import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { openWork } from "./openWork";
import { runWorkOrderCommands } from "./service";
import { changeOf, viewWorkOrder } from "./view";

export function workOrderRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.getWorkOrder, scopeOf, ({ scope, params }) => viewWorkOrder(deps, scope, params.id));
  mount(router, routes.sendWorkOrderCommands, scopeOf, async ({ scope, params, body }) => {
    const ran = await runWorkOrderCommands(deps, scope, params.id, body.commands);
    return { outcomes: ran.outcomes, change: await changeOf(deps, scope, ran) };
  });
  mount(router, routes.openWork, scopeOf, ({ scope, query: { waitsFor, since, id } }) =>
    openWork(deps.db, scope, waitsFor ?? null, since !== undefined && id !== undefined ? { since, id } : undefined),
  );
}
