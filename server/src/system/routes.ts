import { routes } from "@mechanon/contract";
import { openApiDocument } from "@mechanon/contract/openapi";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";

const VERSION = "0.1.0";

export function systemRoutes(mounting: Mounting, { db }: Deps): void {
  const document = openApiDocument(VERSION);
  mounting.open(routes.openapi, async ({ res }) => void res.json(document));
  mounting.open(routes.health, async ({ res }) => {
    const database = await db.query("select 1").then(
      () => "ok" as const,
      () => "unreachable" as const,
    );
    if (database !== "ok") res.status(503);
    return { status: database === "ok" ? ("ok" as const) : ("degraded" as const), database, version: VERSION };
  });
}
