import { createHash } from "node:crypto";
import { copyFileSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import { join, relative } from "node:path";
import { brotliCompressSync, constants } from "node:zlib";
import { build } from "esbuild";
import { VIN_TABLE_FILE } from "./vinTableFile";

/** Adds to the exported web app what Metro does not build: workers, the service worker, and the files they load. */

const ROOT = join(__dirname, "..");
const DIST = join(ROOT, "app", "dist");
const PACKAGES = join(ROOT, "node_modules");

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
  const entries = filesToKeep().map((path) => ({ url: `/${path}`, revision: hash(readFileSync(join(DIST, path))) }));
  await bundle("app/src/offline/serviceWorker.ts", "sw.js", {}, { "self.__WB_MANIFEST": JSON.stringify(entries) });
}

/** Under a name of its contents, so that it can be kept forever; packed once as tightly as it goes. */
function keepVinTable(): string {
  const bytes = readFileSync(VIN_TABLE_FILE);
  const path = `vin/${hash(bytes)}.table`;
  mkdirSync(join(DIST, "vin"), { recursive: true });
  writeFileSync(join(DIST, path), bytes);
  const packed = brotliCompressSync(bytes, {
    params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY },
  });
  writeFileSync(join(DIST, `${path}.br`), packed);
  return `/${path}`;
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
      (path) => !path.startsWith("scan/") && path !== "sw.js" && /\.(html|js|css|ttf|otf|woff2?|ico|table)$/.test(path),
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
