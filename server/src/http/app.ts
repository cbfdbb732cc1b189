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
import { AppError } from "./errors";
import { anyone, mount } from "./mount";
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
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // The readers of codes and text are WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          connectSrc: ["'self'", "data:"],
          mediaSrc: ["'self'", "blob:"],
          imgSrc: ["'self'", "data:", "blob:"],
          // React Native Web writes its style sheet into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
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
      },
    }),
  );
  app.use(compression({ filter: (req, res) => !req.path.startsWith("/api/events") && compression.filter(req, res) }));
  app.use(cookieParser());
  app.use("/api", requireSameOrigin, (_req, res, next) => {
    res.set("Cache-Control", "no-store");
    next();
  });

  const scopeOf = sessionScope(deps);
  const router = express.Router();
  const document = openApiDocument(VERSION);
  mount(router, routes.openapi, anyone, async ({ res }) => void res.json(document));
  mount(router, routes.health, anyone, async ({ res }) => {
    const database = await deps.db.query("select 1").then(
      () => "ok" as const,
      () => "unreachable" as const,
    );
    if (database !== "ok") res.status(503);
    return { status: database === "ok" ? ("ok" as const) : ("degraded" as const), database, version: VERSION };
  });
  accessRoutes(router, deps, parts.tries, parts.dummyHash);
  settingsRoutes(router, deps, scopeOf);
  customerRoutes(router, deps, scopeOf);
  vehicleRoutes(router, deps, scopeOf);
  workOrderRoutes(router, deps, scopeOf);
  visitRoutes(router, deps, scopeOf);
  sourcingRoutes(router, deps, scopeOf);
  paymentRoutes(router, deps, scopeOf);
  photoRoutes(router, deps, scopeOf);
  searchRoutes(router, deps, scopeOf);
  transferRoutes(router, deps, scopeOf);
  eventRoutes(router, parts.listener, scopeOf);
  app.use(router);
  app.use("/api", (_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  webRoutes(app, deps.config.webDir);
  app.use((_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  app.use(problemHandler(deps.log));
  return app;
}
