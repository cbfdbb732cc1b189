import type { Server } from "node:http";
import type { AddressInfo } from "node:net";
import { join } from "node:path";
import express from "express";
import type { Browser, Page } from "playwright-core";
import { launchBrowser } from "../driver";

/**
 * Opens the built app in a browser, without a server behind it, kept by its service worker.
 * @param measure - what is timed there; all is closed after it, also when it fails.
 */
export async function withApp(measure: (page: Page, browser: Browser) => Promise<void>): Promise<void> {
  const app = express();
  const dist = join(__dirname, "..", "..", "..", "app", "dist");
  app.use(express.static(dist), (_req, res) => res.sendFile(join(dist, "index.html")));
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, "127.0.0.1", () => resolve(listening));
  });
  const browser = await launchBrowser();
  try {
    const page = await browser.newPage();
    // tsx names functions through a helper that a page does not have.
    await page.addInitScript("globalThis.__name ??= (named) => named");
    await page.goto(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
    // The page is answered by its service worker only from the next load on.
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.reload();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await measure(page, browser);
  } finally {
    await browser.close();
    await new Promise((resolve) => server.close(resolve));
  }
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
