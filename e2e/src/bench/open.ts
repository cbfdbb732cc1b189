import type { Server } from "node:http";
import type { AddressInfo } from "node:net";
import { join } from "node:path";
import express from "express";
import type { Browser, Page } from "playwright-core";
import { launchBrowser } from "../driver";

/** The built app in a browser, without a server behind it. */
export interface Opened {
  browser: Browser;
  page: Page;
  close: () => Promise<void>;
}

export async function openApp(): Promise<Opened> {
  const app = express();
  const dist = join(__dirname, "..", "..", "..", "app", "dist");
  app.use(express.static(dist), (_req, res) => res.sendFile(join(dist, "index.html")));
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, "127.0.0.1", () => resolve(listening));
  });
  const browser = await launchBrowser();
  const page = await browser.newPage();
  await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  return {
    browser,
    page,
    async close() {
      await browser.close();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

/** One JSON line per figure. */
export function tell(bench: string, figure: string, unit: string, values: readonly number[]): void {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number =>
    Math.round((sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0) * 1000) / 1000;
  process.stdout.write(
    `${JSON.stringify({ bench, figure, unit, median: at(0.5), p95: at(0.95), runs: sorted.length })}\n`,
  );
}
