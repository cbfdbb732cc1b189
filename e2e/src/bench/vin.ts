import { readdirSync, readFileSync, statSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync } from "node:zlib";
import type { Page } from "playwright-core";
import { tell, withApp } from "./open";

/** Times the VIN data in the browser: its size on the wire, opening it from the cache without the network, decoding. */

const DIST = join(__dirname, "..", "..", "..", "app", "dist");
const OPENINGS = 9;
const DECODES = 1000;

async function decodeInBrowser(page: Page): Promise<void> {
  const [packed = ""] = readdirSync(join(DIST, "vin")).filter((name) => name.endsWith(".br"));
  const worker = brotliCompressSync(readFileSync(join(DIST, "workers", "vin.js"))).length;
  tell("vin", "browser: data and worker on the wire", "bytes", [statSync(join(DIST, "vin", packed)).size + worker]);
  await page.context().setOffline(true);
  const { openings, decodes } = await page.evaluate(
    async ({ openingCount, decodeCount }) => {
      // The way comlink calls a function of a worker.
      const ask = (to: Worker, vin: string): Promise<void> =>
        new Promise((resolve, reject) => {
          const id = crypto.randomUUID();
          to.addEventListener("message", function answered({ data }: MessageEvent<{ id: string; type: string }>) {
            if (data.id !== id) return;
            to.removeEventListener("message", answered);
            if (data.type === "RAW") resolve();
            else reject(new Error(`the worker answered ${data.type}`));
          });
          // A worker that cannot be loaded never answers.
          to.addEventListener("error", () => reject(new Error("the worker could not be loaded")), { once: true });
          to.postMessage({ id, type: "APPLY", path: ["decode"], argumentList: [{ type: "RAW", value: vin }] });
        });
      const opened: number[] = [];
      let last = new Worker("/workers/vin.js");
      for (let time = 0; time < openingCount; time++) {
        last.terminate();
        const started = performance.now();
        last = new Worker("/workers/vin.js");
        await ask(last, "1HGCV1F34KA048217");
        opened.push(performance.now() - started);
      }
      const decoded: number[] = [];
      for (let time = 0; time < decodeCount; time++) {
        const vin = `1HGCV1F34KA${String(100_000 + time)}`;
        const started = performance.now();
        await ask(last, vin);
        decoded.push(performance.now() - started);
      }
      return { openings: opened, decodes: decoded };
    },
    { openingCount: OPENINGS, decodeCount: DECODES },
  );
  tell("vin", "browser, no network: open from the cache and decode one", "ms", openings);
  tell("vin", "browser: decode with trims, to the worker and back", "ms", decodes);
}

void withApp(decodeInBrowser).catch((error: unknown) => {
  process.stderr.write(`${String(error)}\n`);
  process.exitCode = 1;
});
