import { createHash } from "node:crypto";
import {
  copyFileSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { join, relative } from "node:path";
import { brotliCompressSync, constants } from "node:zlib";
import { build, type Plugin } from "esbuild";
import { VIN_TABLE_FILE } from "./vinTableFile";

/** Adds to the exported web app what Metro does not build: workers, customers' pages, the service worker, and what they load. */

const ROOT = join(__dirname, "..");
const DIST = join(ROOT, "app", "dist");
const PACKAGES = join(ROOT, "node_modules");
const NAMED_BY_CONTENTS = /^(_expo|assets|vin|pages)\//;

async function main(): Promise<void> {
  const vinTable = keepVinTable();
  const wasm = keep("scan", join(PACKAGES, "zxing-wasm/dist/reader/zxing_reader.wasm"));
  for (const file of [
    "tesseract.js/dist/worker.min.js",
    "tesseract.js-core/tesseract-core-lstm.wasm.js",
    "tesseract.js-core/tesseract-core-simd-lstm.wasm.js",
    "tesseract.js-core/tesseract-core-relaxedsimd-lstm.wasm.js",
    "@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz",
  ])
    copy(join(PACKAGES, file), join(DIST, "scan", "text", file.split("/").at(-1) ?? ""));
  await bundle("app/src/vin/vin.worker.ts", "workers/vin.js", { VIN_TABLE_URL: vinTable });
  await bundle("app/src/scan/picture.worker.ts", "workers/picture.js", { BARCODE_WASM_URL: wasm });
  await bundle("app/src/photos/photo.worker.ts", "workers/photo.js", {});
  await customerPages();
  fetchFirstRoutesAhead();
  await askEarly();
  for (const path of walk(DIST).filter((each) => /[\\/](_expo|assets)[\\/].*\.(js|ttf)$/.test(each))) pack(path);
  const entries = filesToKeep().map((path) => ({
    url: `/${path}`,
    // Named by its contents, it is the same that the page has loaded: not fetched a second time.
    revision: NAMED_BY_CONTENTS.test(path) ? null : hash(readFileSync(join(DIST, path))),
  }));
  await bundle("app/src/offline/serviceWorker.ts", "sw.js", {}, { "self.__WB_MANIFEST": JSON.stringify(entries) });
}

/** What customers open from a link: a page like the app's, with a script of its own that holds nothing of the app's. */
async function customerPages(): Promise<void> {
  const script = join(DIST, "pages", "customer.js");
  await build({
    entryPoints: [join(ROOT, "app/src/customerPages/main.tsx")],
    outfile: script,
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    jsx: "automatic",
    logLevel: "warning",
    alias: { "react-native": "react-native-web" },
    resolveExtensions: [".web.tsx", ".web.ts", ".web.js", ".tsx", ".ts", ".js", ".json"],
    mainFields: ["browser", "module", "main"],
    plugins: [withoutLocales],
    define: { "process.env.NODE_ENV": '"production"', __DEV__: "false", global: "globalThis" },
  });
  const name = `pages/${hash(readFileSync(script))}.js`;
  renameSync(script, join(DIST, name));
  pack(join(DIST, name));
  const page = readFileSync(join(DIST, "index.html"), "utf8")
    .replace(/<link rel="(manifest|apple-touch-icon)"[^>]*>\s*/g, "")
    .replace(/<script [^>]*src="[^"]*"[^>]*><\/script>\s*/g, "")
    .replace("</body>", `<script src="/${name}" defer></script></body>`);
  writeFileSync(join(DIST, "customer.html"), page);
}

/** What the first screen is made of, beside what every page needs. */
const FIRST_ROUTES = ["app/src/app/_layout.tsx", "app/src/app/(work)/_layout.tsx", "app/src/app/(work)/index.tsx"];

/**
 * The routes of the first screen are pieces of their own: named in the page, they come side by side with the rest and not
 * one after the other, each when the one before asks for it. Which piece is which, its source map knows; the maps go.
 */
function fetchFirstRoutesAhead(): void {
  const first: string[] = [];
  for (const path of walk(join(DIST, "_expo")).filter((each) => each.endsWith(".js.map"))) {
    const script = path.slice(0, -".map".length);
    const { sources } = JSON.parse(readFileSync(path, "utf8")) as { sources: string[] };
    if (FIRST_ROUTES.some((route) => sources.some((source) => source.endsWith(route)))) first.push(script);
    rmSync(path);
    writeFileSync(script, readFileSync(script, "utf8").replace(/^\/\/# sourceMappingURL=.*$/gm, ""));
  }
  if (first.length < FIRST_ROUTES.length) throw new Error("the app was built without the routes of its first screen");
  const links = first.map((script) => `<link rel="preload" href="/${relative(DIST, script)}" as="script" />`);
  const page = join(DIST, "index.html");
  writeFileSync(page, readFileSync(page, "utf8").replace("</head>", `${links.join("")}</head>`));
}

/** The little script that asks for what the first screen shows, before anything else of the page. */
async function askEarly(): Promise<void> {
  const folder = "_expo/static/js";
  await bundle("app/src/api/askEarly.ts", `${folder}/early.js`, {});
  const name = `${folder}/early-${hash(readFileSync(join(DIST, folder, "early.js")))}.js`;
  renameSync(join(DIST, folder, "early.js"), join(DIST, name));
  const page = join(DIST, "index.html");
  writeFileSync(page, readFileSync(page, "utf8").replace("</title>", `</title><script src="/${name}" async></script>`));
}

/** Zod brings its own words in fifty languages; what people read of faults are ours. */
const withoutLocales: Plugin = {
  name: "without-locales",
  setup(bundling) {
    bundling.onResolve({ filter: /^\.\.\/locales\/index\.js$/ }, ({ path }) => ({ path, namespace: "nothing" }));
    bundling.onLoad({ filter: /.*/, namespace: "nothing" }, () => ({ contents: "export {}" }));
  },
};

/** Under a name of its contents, so that it can be kept forever; packed once as tightly as it goes. */
function keepVinTable(): string {
  const bytes = readFileSync(VIN_TABLE_FILE);
  const path = `vin/${hash(bytes)}.table`;
  mkdirSync(join(DIST, "vin"), { recursive: true });
  writeFileSync(join(DIST, path), bytes);
  pack(join(DIST, path));
  return `/${path}`;
}

/** Beside a file, the same as tightly as it goes: packed once here, and not by each server for each visitor. */
function pack(file: string): void {
  const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };
  writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file), { params }));
}

function keep(folder: string, file: string): string {
  const bytes = readFileSync(file);
  const path = `${folder}/${hash(bytes)}.wasm`;
  copy(file, join(DIST, path));
  return `/${path}`;
}

function copy(from: string, to: string): void {
  mkdirSync(join(to, ".."), { recursive: true });
  copyFileSync(from, to);
}

async function bundle(
  entry: string,
  out: string,
  texts: Record<string, string>,
  code: Record<string, string> = {},
): Promise<void> {
  await build({
    entryPoints: [join(ROOT, entry)],
    outfile: join(DIST, out),
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    logLevel: "warning",
    define: {
      "process.env.NODE_ENV": '"production"',
      ...Object.fromEntries(Object.entries(texts).map(([name, text]) => [name, JSON.stringify(text)])),
      ...code,
    },
  });
}

/** What the service worker keeps with the first visit. Scanning's files are large and kept once they are used. */
function filesToKeep(): string[] {
  return walk(DIST)
    .map((path) => relative(DIST, path))
    .filter(
      (path) =>
        !/^(scan\/|pages\/|customer\.html$|sw\.js$)/.test(path) &&
        /\.(html|js|css|ttf|otf|woff2?|svg|table)$/.test(path),
    );
}

function walk(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? walk(path) : [path];
  });
}

function hash(bytes: Buffer): string {
  return createHash("sha256").update(bytes).digest("hex").slice(0, 16);
}

void main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
