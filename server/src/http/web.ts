import { existsSync } from "node:fs";
import { extname, join, normalize } from "node:path";
import express, { type RequestHandler, type Response, type Router } from "express";

/** Folders whose files are named by their contents. */
const KEPT_FOR_GOOD = ["_expo", "assets", "vin", "scan", "pages"];

/** What customers open from a link: a page that brings along nothing of the mechanic's app. */
const CUSTOMER_PAGES = /^\/([rtc]|ask)\//;

/** The page on which customers ask for a visit, which pages elsewhere may show inside. */
const ASK_PAGE = /^\/ask\/([a-z0-9-]+)\/?$/i;

/**
 * Serves the built web app; every address that is no file is the app's own.
 * @param framersOf - fronts of the pages that may show the page of a name inside.
 */
export function webRoutes(
  router: Router,
  webDir: string,
  framersOf: (slug: string) => Promise<readonly string[]>,
): void {
  if (!existsSync(join(webDir, "index.html"))) return;
  for (const folder of KEPT_FOR_GOOD)
    router.use(
      `/${folder}`,
      packed(webDir),
      express.static(join(webDir, folder), { index: false, immutable: true, maxAge: "1y" }),
    );
  // Asked for by browsers of their own accord: there is none, and the page is none.
  router.get("/favicon.ico", (_req, res) => void res.status(204).set("Cache-Control", "max-age=86400").end());
  router.use(express.static(webDir, { index: false, maxAge: 0 }));
  router.get(/^\/(?!api\/|_expo\/|assets\/|vin\/|scan\/|pages\/|workers\/).*/, async (req, res, next) => {
    if (!req.accepts("html")) return next();
    const [, slug] = ASK_PAGE.exec(req.path) ?? [];
    if (slug !== undefined) letInside(res, await framersOf(slug.toLowerCase()));
    const page = CUSTOMER_PAGES.test(req.path) ? "customer.html" : "index.html";
    res.set("Cache-Control", "no-cache").sendFile(join(webDir, page));
  });
}

/** Lets pages of these fronts show a page inside; all others still may not. */
function letInside(res: Response, framers: readonly string[]): void {
  if (framers.length === 0) return;
  const policy = String(res.get("Content-Security-Policy") ?? "");
  res.set("Content-Security-Policy", policy.replace("frame-ancestors 'none'", `frame-ancestors ${framers.join(" ")}`));
  // It knows no fronts; whoever heeds the policy does not ask for it.
  res.removeHeader("X-Frame-Options");
}

/** Sends what the build has packed already, instead of packing it anew for each visitor. */
function packed(webDir: string): RequestHandler {
  return (req, res, next) => {
    const file = join(webDir, `${req.baseUrl}${req.path}.br`);
    // `normalize` keeps a path with dots inside the folder.
    if (!req.acceptsEncodings("br") || normalize(file) !== file || !existsSync(file)) return next();
    res
      .set({ "Content-Encoding": "br", Vary: "Accept-Encoding" })
      .type(extname(req.path) || "application/octet-stream")
      .sendFile(file, { immutable: true, maxAge: "1y" });
  };
}
