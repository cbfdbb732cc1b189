import compression from "compression";
import cookieParser from "cookie-parser";
import express, { type Express } from "express";
import helmet from "helmet";
import { pinoHttp } from "pino-http";
import { routes } from "@mechanon/contract";
import { openApiDocument } from "@mechanon/contract/openapi";
import { accessRoutes, sessionScope } from "../access/routes";
import type { SignInTries } from "../access/tries";
import { customerRoutes } from "../customers/routes";
import { eventRoutes, type ChangeListener } from "../events/listener";
import { paymentRoutes } from "../payments/routes";
import { photoRoutes } from "../photos/routes";
import type { Deps } from "../scope";
import { searchRoutes } from "../search/routes";
import { settingsRoutes } from "../settings/routes";
import { sourcingRoutes } from "../sourcing/routes";
import { transferRoutes } from "../transfer/routes";
import { vehicleRoutes } from "../vehicles/routes";
import { visitRoutes } from "../visits/routes";
import { workOrderRoutes } from "../workOrders/routes";
import { contentSecurity } from "./contentSecurity";
import { AppError } from "./errors";
import { Mounting } from "./mount";
import { requireSameOrigin } from "./origin";
import { problemHandler } from "./problems";
import { webRoutes } from "./web";

export const VERSION = "0.1.0";

/** The whole HTTP server; `dummyHash` is what an unknown name's password is checked against. */
export function createApp(
  deps: Deps,
  parts: { tries: SignInTries; listener: ChangeListener; dummyHash: string },
): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("trust proxy", "loopback");
  app.use(
    helmet({
      contentSecurityPolicy: contentSecurity(deps.config.webDir),
      // Heeded over TLS only, where a gateway brings it.
      strictTransportSecurity: { includeSubDomains: false },
    }),
  );
  app.use(
    pinoHttp({
      logger: deps.log,
      quietReqLogger: true,
      customLogLevel: (_req, res) => (res.statusCode >= 500 ? "error" : "debug"),
      serializers: {
        req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
          id,
          method,
          path: url.split("?")[0],
        }),
        // Headers of an answer may hold a session's cookie.
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    }),
  );
  app.use(compression({ filter: (req, res) => !req.path.startsWith("/api/events") && compression.filter(req, res) }));
  app.use(cookieParser());
  app.use("/api", requireSameOrigin(deps.config.publicUrl), (_req, res, next) => {
    res.set("Cache-Control", "no-store");
    next();
  });

  const mounting = new Mounting(deps, sessionScope(deps));
  const document = openApiDocument(VERSION);
  mounting.open(routes.openapi, async ({ res }) => void res.json(document));
  mounting.open(routes.health, async ({ res }) => {
    const database = await deps.db.query("select 1").then(
      () => "ok" as const,
      () => "unreachable" as const,
    );
    if (database !== "ok") res.status(503);
    return { status: database === "ok" ? ("ok" as const) : ("degraded" as const), database, version: VERSION };
  });
  accessRoutes(mounting, deps, parts.tries, parts.dummyHash);
  settingsRoutes(mounting, deps);
  customerRoutes(mounting, deps);
  vehicleRoutes(mounting, deps);
  workOrderRoutes(mounting, deps);
  visitRoutes(mounting, deps);
  sourcingRoutes(mounting, deps);
  paymentRoutes(mounting, deps);
  photoRoutes(mounting, deps);
  searchRoutes(mounting, deps);
  transferRoutes(mounting, deps);
  eventRoutes(mounting, parts.listener);
  app.use(mounting.router);
  app.use("/api", (_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  webRoutes(app, deps.config.webDir);
  app.use((_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  app.use(problemHandler(deps.log));
  return app;
}
