import express, { type Router } from "express";
import { MOST_IMPORT_BYTES, routes } from "@mechanon/contract";
import { requireRight } from "../access/requireRight";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { sendExport } from "./exports";
import { chooseRows, listImports, nextStep, pageOfRows, startImport, viewImport } from "./service";

/** Taking customers in and out is the owner's. */
export function transferRoutes(router: Router, { db }: Deps, anyScope: ScopeOf): void {
  const scopeOf: ScopeOf = async (req) => {
    const scope = await anyScope(req);
    requireRight(scope, "settings");
    return scope;
  };
  router.post(
    "/api/imports/:id",
    // Whoever may not bring in files does not get to fill the memory with one.
    async (req, _res, next) => void next(await scopeOf(req).then(() => undefined)),
    express.raw({ type: () => true, limit: MOST_IMPORT_BYTES }),
  );
  mount(router, routes.startImport, scopeOf, ({ scope, params, query, req }) =>
    startImport(db, scope, params.id, query.name, Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0)),
  );
  mount(router, routes.listImports, scopeOf, async ({ scope }) => ({ imports: await listImports(db, scope) }));
  mount(router, routes.getImport, scopeOf, ({ scope, params }) => viewImport(db, scope, params.id));
  mount(router, routes.importRows, scopeOf, ({ scope, params, query }) => pageOfRows(scope, params.id, query));
  mount(router, routes.rereadImport, scopeOf, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "reading", async () => ({ encoding: body.encoding })),
  );
  mount(router, routes.checkImport, scopeOf, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "checking", async () => body),
  );
  mount(router, routes.runImport, scopeOf, ({ scope, params, body }) =>
    nextStep(db, scope, params.id, "running", async (_file, transaction) => {
      await chooseRows(scope, params.id, body.rows, transaction);
      return {};
    }),
  );
  mount(router, routes.undoImport, scopeOf, ({ scope, params }) =>
    nextStep(db, scope, params.id, "undoing", async () => ({})),
  );
  mount(router, routes.exportCustomersCsv, scopeOf, ({ scope, query, res }) =>
    sendExport(res, scope, "customers", query.ids),
  );
  mount(router, routes.exportContactsCsv, scopeOf, ({ scope, query, res }) =>
    sendExport(res, scope, "contacts", query.ids),
  );
  mount(router, routes.exportCarsCsv, scopeOf, ({ scope, query, res }) => sendExport(res, scope, "cars", query.ids));
  mount(router, routes.exportVcards, scopeOf, ({ scope, query, res }) => sendExport(res, scope, "vcards", query.ids));
}
