import compression from "compression";
import cookieParser from "cookie-parser";
import express, { type Express } from "express";
import helmet from "helmet";
import { pinoHttp } from "pino-http";
import { accessRoutes, sessionScope } from "./access/routes";
import type { SignInTries } from "./access/tries";
import { customerRoutes } from "./customers/routes";
import { CUSTOMER_CONSTRAINTS } from "./customers/constraints";
import { deviceRoutes } from "./device/routes";
import { eventRoutes, type ChangeListener } from "./events/listener";
import { paymentRoutes } from "./payments/routes";
import { photoRoutes } from "./photos/routes";
import { customerPageRoutes } from "./customerPages/routes";
import { messageRoutes } from "./messages/routes";
import { framersOf } from "./requests/framers";
import { requestRoutes } from "./requests/routes";
import type { Deps } from "./scope";
import { searchRoutes } from "./search/routes";
import { settingsRoutes } from "./settings/routes";
import { sourcingRoutes } from "./sourcing/routes";
import { systemRoutes } from "./system/routes";
import { transferRoutes } from "./transfer/routes";
import { vehicleRoutes } from "./vehicles/routes";
import { VEHICLE_CONSTRAINTS } from "./vehicles/constraints";
import { scheduleRoutes } from "./schedule/routes";
import { visitRoutes } from "./visits/routes";
import { workOrderRoutes } from "./workOrders/routes";
import { contentSecurity } from "./http/contentSecurity";
import { AppError } from "./errors/appError";
import { Mounting } from "./http/mount";
import { requireSameOrigin } from "./http/origin";
import { requireProtocol } from "./http/protocol";
import { problemHandler } from "./http/problems";
import { webRoutes } from "./http/web";

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
  app.use("/api", requireProtocol);

  const mounting = new Mounting(deps, sessionScope(deps));
  systemRoutes(mounting, deps);
  accessRoutes(mounting, deps, parts.tries, parts.dummyHash);
  settingsRoutes(mounting, deps);
  customerRoutes(mounting, deps);
  vehicleRoutes(mounting, deps);
  workOrderRoutes(mounting, deps);
  visitRoutes(mounting, deps);
  scheduleRoutes(mounting, deps);
  sourcingRoutes(mounting, deps);
  paymentRoutes(mounting, deps);
  photoRoutes(mounting, deps);
  requestRoutes(mounting, deps);
  messageRoutes(mounting, deps);
  customerPageRoutes(mounting, deps);
  searchRoutes(mounting, deps);
  transferRoutes(mounting, deps);
  deviceRoutes(mounting, deps);
  eventRoutes(mounting, parts.listener);
  app.use(mounting.router);
  app.use("/api", (_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  webRoutes(app, deps.config.webDir, (slug) => framersOf(deps, slug));
  app.use((_req, _res, next) => next(new AppError("route/not-found", "There is nothing at this address.")));
  app.use(problemHandler(deps.log, { ...CUSTOMER_CONSTRAINTS, ...VEHICLE_CONSTRAINTS }));
  return app;
}
