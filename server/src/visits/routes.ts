import { runReadable } from "../commands/runReadable";
import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { visitsOfDay } from "./day";
import { runVisitCommands } from "./service";

export function visitRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.sendVisitCommands, async ({ scope, params, body }) => {
    const { outcomes, after, revision } = await runReadable(body.commands, (commands) =>
      runVisitCommands(deps, scope, params.id, commands),
    );
    return { outcomes, visit: after, revision };
  });
  mounting.route(routes.getDay, async ({ scope, query: { date } }) => ({
    date,
    visits: await visitsOfDay(deps.db, scope, date),
  }));
}
