import { mkdirSync, mkdtempSync, writeFileSync } from "node:fs";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { brotliCompressSync } from "node:zlib";
import express from "express";
import { webRoutes } from "./web";

let server: Server;
let url: string;

beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), "web-"));
  mkdirSync(join(folder, "vin"));
  writeFileSync(join(folder, "index.html"), "<p>app</p>");
  writeFileSync(join(folder, "customer.html"), "<p>customer</p>");
  writeFileSync(join(folder, "vin", "a.table"), "data");
  writeFileSync(join(folder, "vin", "a.table.br"), brotliCompressSync("data"));
  mkdirSync(join(folder, "_expo"));
  writeFileSync(join(folder, "_expo", "app-1.js"), "let app;");
  writeFileSync(join(folder, "_expo", "app-1.js.br"), brotliCompressSync("let app;"));
  const app = express();
  const router = express.Router();
  app.use((_req, res, next) => {
    res.set({
      "Content-Security-Policy": "default-src 'self';frame-ancestors 'none'",
      "X-Frame-Options": "SAMEORIGIN",
    });
    next();
  });
  webRoutes(router, folder, (slug) => Promise.resolve(slug === "larkhaven" ? ["https://www.example.com"] : []));
  app.use(router);
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

it("sends the VIN data as it was packed, to be kept for good, and plain to who cannot unpack it", async () => {
  const packed = await fetch(`${url}/vin/a.table`, { headers: { "Accept-Encoding": "br" } });
  expect(packed.headers.get("content-encoding")).toBe("br");
  expect(packed.headers.get("cache-control")).toMatch(/immutable/);
  expect(await packed.text()).toBe("data");
  const plain = await fetch(`${url}/vin/a.table`, { headers: { "Accept-Encoding": "identity" } });
  expect([plain.headers.get("content-encoding"), await plain.text()]).toEqual([null, "data"]);
  expect(plain.headers.get("cache-control")).toMatch(/immutable/);
});
it("sends the app's own script as it was packed, as a script", async () => {
  const script = await fetch(`${url}/_expo/app-1.js`, { headers: { "Accept-Encoding": "gzip, br" } });
  expect(script.headers.get("content-type")).toMatch(/javascript/);
  expect([script.headers.get("content-encoding"), await script.text()]).toEqual(["br", "let app;"]);
});
it("has no sign for the tab, and does not send the page for it", async () => {
  const sign = await fetch(`${url}/favicon.ico`);
  expect([sign.status, await sign.text()]).toEqual([204, ""]);
});
it("answers any address of the app with the page, and a missing file with nothing", async () => {
  const page = await fetch(`${url}/cars/1`, { headers: { Accept: "text/html" } });
  expect([page.status, await page.text()]).toEqual([200, "<p>app</p>"]);
  const missing = await fetch(`${url}/vin/..%2f..%2fsecret.table`, {
    headers: { Accept: "text/html", "Accept-Encoding": "br" },
  });
  expect(missing.status).toBeGreaterThanOrEqual(400);
  expect((await fetch(`${url}/workers/gone.js`, { headers: { Accept: "text/html" } })).status).toBe(404);
});
it("answers a customer's link with the customer's own page", async () => {
  const page = await fetch(`${url}/r/abc`, { headers: { Accept: "text/html" } });
  expect([page.status, await page.text()]).toEqual([200, "<p>customer</p>"]);
});

it("lets the owner's pages show the page that asks inside, and no others", async () => {
  const headersOf = async (path: string): Promise<(string | null)[]> => {
    const { headers } = await fetch(url + path, { headers: { Accept: "text/html" } });
    return [headers.get("content-security-policy"), headers.get("x-frame-options")];
  };
  expect(await headersOf("/ask/Larkhaven")).toEqual([
    "default-src 'self';frame-ancestors https://www.example.com",
    null,
  ]);
  for (const path of ["/ask/another", "/c/larkhaven", "/"])
    expect(await headersOf(path)).toEqual(["default-src 'self';frame-ancestors 'none'", "SAMEORIGIN"]);
});
