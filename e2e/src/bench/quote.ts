import type { Page } from "playwright-core";
import { WIDE } from "../driver";
import { tell } from "./open";
import { withOwner } from "./withOwner";

/** A long quote as a table on a slow machine: how soon it opens, and how soon a key shows the new total. */

const RUNS = 7;
const SLOW = 4;
const JOBS = 10;
const LINES_PER_JOB = 20;
const OPENS = 5;

/** A work order with ten jobs of twenty lines. @returns its id. */
async function longQuote(page: Page): Promise<string> {
  return page.evaluate(
    async ({ jobs, lines }) => {
      const uuid = (): string => crypto.randomUUID();
      const id = uuid();
      const at = new Date().toISOString();
      const send = async (commands: object[]): Promise<void> => {
        const answer = await fetch(`/api/work-orders/${id}/commands`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ commands: commands.map((command) => ({ id: uuid(), at, command })) }),
        });
        if (!answer.ok) throw new Error(await answer.text());
      };
      await send([{ type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }]);
      for (let job = 0; job < jobs; job++) {
        const jobId = uuid();
        const line = (place: number): object => ({
          ...{ id: uuid(), kind: "part", description: `Part ${job}-${place}`, quantity: 1, costCents: 1000 + place },
          ...{ markup: "standard", priceCents: null, partNumber: null, brand: null },
        });
        await send([
          { type: "addOwnJob", jobId, title: `Job ${job}`, concernId: null },
          ...Array.from({ length: lines }, (_, place) => ({ type: "addLine", jobId, line: line(place) })),
        ]);
      }
      return id;
    },
    { jobs: JOBS, lines: LINES_PER_JOB },
  );
}

const total = "document.querySelector('[aria-label^=\"Quote total\"]')?.getAttribute('aria-label') ?? ''";

/** From a key to the total it makes, in ms. */
async function keyToTotal(page: Page, key: string): Promise<number> {
  await page.evaluate(`(() => {
    const before = ${total};
    const seen = window;
    seen.took = null;
    addEventListener("keydown", () => {
      const from = performance.now();
      const look = () => (${total} !== before ? requestAnimationFrame(() => (seen.took = performance.now() - from)) : requestAnimationFrame(look));
      look();
    }, { capture: true, once: true });
  })()`);
  await page.keyboard.press(key);
  await page.waitForFunction("window.took !== null");
  return page.evaluate<number>("window.took");
}

/** From the key that opens the table to its first rows with the total; the others follow behind. */
async function opening(page: Page, id: string, url: string): Promise<number> {
  await page.goto(`${url}/work/${id}`);
  await page.getByRole("button", { name: /^Quote, / }).waitFor();
  await page.evaluate(`(() => {
    window.took = null;
    addEventListener("keydown", () => {
      const from = performance.now();
      const look = () => (document.querySelector('[aria-label="What: Part 0-19"]') && document.querySelector('[aria-label^="Quote total"]') ? requestAnimationFrame(() => (window.took = performance.now() - from)) : requestAnimationFrame(look));
      look();
    }, { capture: true, once: true });
  })()`);
  await page.keyboard.press("q");
  await page.waitForFunction("window.took !== null");
  return page.evaluate<number>("window.took");
}

function main(): Promise<void> {
  return withOwner(WIDE, async (page, url, context) => {
    await page.goto(url);
    await page.getByRole("list", { name: "Stops" }).waitFor();
    const id = await longQuote(page);
    const cdp = await context.newCDPSession(page);
    for (const rate of [1, SLOW]) {
      const how = rate === 1 ? "" : ", processor slowed 4 times";
      await cdp.send("Emulation.setCPUThrottlingRate", { rate });
      const opens: number[] = [];
      for (let run = 0; run < OPENS; run++) opens.push(await opening(page, id, url));
      tell("quote", `a quote of 200 lines opens as a table${how}`, "ms", opens);
      await page.getByRole("cell", { name: "What: Part 9-19" }).waitFor();
      await page.getByRole("cell", { name: "What: Part 5-10" }).click();
      await page.keyboard.press("ArrowLeft");
      await page.keyboard.press("7");
      const keys: number[] = [];
      for (let run = 0; run < RUNS; run++) keys.push(await keyToTotal(page, run % 2 === 0 ? "3" : "Backspace"));
      await page.keyboard.press("Escape");
      tell("quote", `a key shows the total of 200 lines${how}`, "ms", keys);
    }
  });
}

void main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
