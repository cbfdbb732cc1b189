import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { sendExport } from "./exports";
import { chooseRows, listImports, nextStep, pageOfRows, startImport, viewImport } from "./service";

/** Taking customers in and out is the owner's. */
export function transferRoutes(mounting: Mounting, { db }: Deps): void {
  mounting.route(routes.startImport, ({ scope, params, query, file }) =>
    startImport(db, scope, params.id, query.name, file),
  );
  mounting.route(routes.listImports, async ({ scope }) => ({ imports: await listImports(db, scope) }));
  mounting.route(routes.getImport, ({ scope, params }) => viewImport(db, scope, params.id));
  mounting.route(routes.importRows, ({ scope, params, query }) => pageOfRows(scope, params.id, query));
  mounting.route(routes.rereadImport, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "reading", async () => ({ encoding: body.encoding })),
  );
  mounting.route(routes.checkImport, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "checking", async () => body),
  );
  mounting.route(routes.runImport, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "running", async (_file, transaction) => {
      await chooseRows(scope, params.id, body.rows, transaction);
      return {};
    }),
  );
  mounting.route(routes.undoImport, ({ scope, params }) => nextStep(db, scope, params.id, "undoing", async () => ({})));
  mounting.route(routes.exportCustomersCsv, ({ scope, query, res }) =>
    sendExport(res, db, scope, "customers", query.ids),
  );
  mounting.route(routes.exportContactsCsv, ({ scope, query, res }) =>
    sendExport(res, db, scope, "contacts", query.ids),
  );
  mounting.route(routes.exportCarsCsv, ({ scope, query, res }) => sendExport(res, db, scope, "cars", query.ids));
  mounting.route(routes.exportVcards, ({ scope, query, res }) => sendExport(res, db, scope, "vcards", query.ids));
}
