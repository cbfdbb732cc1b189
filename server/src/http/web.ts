import { existsSync } from "node:fs";
import { join, normalize } from "node:path";
import express, { type RequestHandler, type Router } from "express";

/** Serves the built web app; every address that is no file is the app's own. */
export function webRoutes(router: Router, webDir: string): void {
  if (!existsSync(join(webDir, "index.html"))) return;
  router.use("/_expo", express.static(join(webDir, "_expo"), { immutable: true, maxAge: "1y", fallthrough: true }));
  router.use("/assets", express.static(join(webDir, "assets"), { immutable: true, maxAge: "1y", fallthrough: true }));
  router.use(
    ["/vin", "/scan"],
    packed(webDir),
    express.static(webDir, { index: false, immutable: true, maxAge: "1y" }),
  );
  router.use(express.static(webDir, { index: false, maxAge: 0 }));
  router.get(/^\/(?!api\/|_expo\/|assets\/|vin\/|scan\/|workers\/).*/, (req, res, next) => {
    if (!req.accepts("html")) return next();
    res.set("Cache-Control", "no-cache").sendFile(join(webDir, "index.html"));
  });
}

/** Sends what the build has packed already, instead of packing it anew for each visitor. */
function packed(webDir: string): RequestHandler {
  return (req, res, next) => {
    const file = join(webDir, `${req.baseUrl}${req.path}.br`);
    // `normalize` keeps a path with dots inside the folder.
    if (!req.acceptsEncodings("br") || normalize(file) !== file || !existsSync(file)) return next();
    res
      .set({ "Content-Encoding": "br", "Content-Type": "application/octet-stream", Vary: "Accept-Encoding" })
      .sendFile(file, { immutable: true, maxAge: "1y" });
  };
}
