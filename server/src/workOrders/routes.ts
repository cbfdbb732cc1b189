import { runReadable } from "../commands/runReadable";
import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { paperPdf } from "../paper/paperPdf";
import { workOrderPaper } from "../paper/workOrderPaper";
import { copiesOf } from "../approvals/copiesOf";
import { openWork } from "./openWork";
import { runWorkOrderCommands } from "./service";
import { changeOf, viewWorkOrder } from "./view";

export function workOrderRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.getWorkOrder, ({ scope, params }) => viewWorkOrder(deps, scope, params.id));
  mounting.route(routes.sendWorkOrderCommands, async ({ scope, params, body }) => {
    const ran = await runReadable(body.commands, (commands) => runWorkOrderCommands(deps, scope, params.id, commands));
    return { outcomes: ran.outcomes, change: await changeOf(deps, scope, ran) };
  });
  mounting.route(routes.agreedCopies, async ({ scope, params }) => ({
    copies: await copiesOf(deps.db, scope, params.id),
  }));
  mounting.route(routes.workOrderPaper, async ({ scope, params, query, res }) => {
    const { fileName, ...drawn } = await workOrderPaper(deps, scope, params.id, params.paper, query.language);
    const pdf = await paperPdf(drawn);
    res.type("application/pdf").set("Content-Disposition", `inline; filename="${fileName}"`).send(pdf);
  });
  mounting.route(routes.openWork, ({ scope, query: { waitsFor, since, id } }) =>
    openWork(deps.db, scope, waitsFor ?? null, since !== undefined && id !== undefined ? { since, id } : undefined),
  );
}
