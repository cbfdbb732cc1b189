import { existsSync } from "node:fs";
import { join } from "node:path";
import express, { type Router } from "express";

/** Serves the built web app; every address that is no file is the app's own. */
export function webRoutes(router: Router, webDir: string): void {
  if (!existsSync(join(webDir, "index.html"))) return;
  router.use("/_expo", express.static(join(webDir, "_expo"), { immutable: true, maxAge: "1y", fallthrough: true }));
  router.use("/assets", express.static(join(webDir, "assets"), { immutable: true, maxAge: "1y", fallthrough: true }));
  router.use(express.static(webDir, { index: false, maxAge: 0 }));
  router.get(/^\/(?!api\/|_expo\/|assets\/).*/, (req, res, next) => {
    if (!req.accepts("html")) return next();
    res.set("Cache-Control", "no-cache").sendFile(join(webDir, "index.html"));
  });
}
