import { gzipSync } from "node:zlib";
import type { Browser, BrowserContext, CDPSession, Page } from "playwright-core";
import { dropDemoTemplate, makeDemoTemplate } from "../../../scripts/demoTemplate/demoTemplate";
import { PHONE, launchBrowser, type Account } from "../driver";
import { startServers, type Servers } from "../servers";
import { tell } from "./open";

/**
 * Times the app on a phone: what the first screen loads, starts with and without a network, and what a tap takes to show.
 * A slow phone is the processor slowed four times; a bad line 1.6 Mbit/s with 150 ms each way round.
 */

const TIMES = 7;
const SLOW = 4;
const BAD_LINE = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 200_000 };
const STOPS = `document.querySelector('[role="list"][aria-label="Stops"] a, [role="list"][aria-label="Stops"] [role="link"]')`;

interface Stage {
  servers: Servers;
  browser: Browser;
  account: Account;
}

async function measure(stage: Stage): Promise<void> {
  await customersPages(stage);
  await requestOnScreens(stage);
  if (process.argv.includes("--customers")) return;
  await firstScreen(stage);
  await starts(stage);
  await taps(stage, 1);
  await taps(stage, SLOW);
  await quantities(stage);
  await longScroll(stage);
  await sending(stage);
}

async function phone({
  browser,
  servers,
  account,
}: Stage): Promise<{ context: BrowserContext; page: Page; cdp: CDPSession }> {
  const context = await browser.newContext({
    viewport: PHONE,
    hasTouch: true,
    reducedMotion: "reduce",
    bypassCSP: true,
  });
  const { login, password } = account;
  await context.request.post(`${servers.url}/api/session`, { data: { login, password } });
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  await page.addInitScript("globalThis.__name ??= (named) => named");
  return { context, page, cdp: await context.newCDPSession(page) };
}

/** Milliseconds since the page was asked for, once an expression holds there. */
async function sinceStart(page: Page, expression: string): Promise<number> {
  const handle = await page.waitForFunction(`(${expression}) ? performance.now() : 0`, undefined, { polling: "raf" });
  return (await handle.jsonValue()) as number;
}

/** Scripts up to the first day on the screen, packed as the aim counts them. */
async function firstScreen(stage: Stage): Promise<void> {
  const { context, page } = await phone(stage);
  const scripts = new Map<string, Buffer>();
  page.on("response", (response) => {
    if (response.request().resourceType() === "script")
      void response
        .body()
        .then((body) => scripts.set(response.url(), body))
        .catch(() => undefined);
  });
  await page.goto(stage.servers.url);
  await page.waitForFunction(STOPS);
  const packed = [...scripts.values()].reduce((sum, body) => sum + gzipSync(body, { level: 9 }).length, 0);
  tell("device", `first screen after sign-in: scripts (${scripts.size})`, "bytes gz", [packed]);
  await context.close();
}

/** What customers open: a receipt by its link, and the page on which they ask for a visit. */
async function customersPages(stage: Stage): Promise<void> {
  await customersPage(
    stage,
    "a receipt",
    `/r/${await aReceipt(stage)}`,
    `document.body.innerText.includes("Receipt 1")`,
  );
  await customersPage(
    stage,
    "asking for a visit",
    "/ask/larkhaven",
    `document.querySelector('[data-testid="send-request"]')`,
  );
}

async function customersPage({ servers, browser }: Stage, name: string, path: string, isUsable: string): Promise<void> {
  const times: number[] = [];
  let packed = 0;
  for (let time = 0; time < TIMES; time++) {
    const context = await browser.newContext({ viewport: PHONE, bypassCSP: true });
    const page = await context.newPage();
    const cdp = await context.newCDPSession(page);
    await cdp.send("Network.enable");
    await cdp.send("Network.emulateNetworkConditions", BAD_LINE);
    await cdp.send("Emulation.setCPUThrottlingRate", { rate: SLOW });
    packed = 0;
    page.on("response", (response) => {
      if (response.request().resourceType() === "script")
        void response
          .body()
          .then((body) => (packed += gzipSync(body, { level: 9 }).length))
          .catch(() => undefined);
    });
    await page.goto(`${servers.url}${path}`);
    times.push(await sinceStart(page, isUsable));
    await context.close();
  }
  tell("device", `a customer's page, ${name}: scripts`, "bytes gz", [packed]);
  tell("device", `a customer's page, ${name}, slow phone, bad line`, "ms", times);
}

/** From a request's answer to its strip on each of three screens. */
async function requestOnScreens(stage: Stage): Promise<void> {
  const SCREENS = 3;
  const { servers } = stage;
  const phones = await Promise.all(Array.from({ length: SCREENS }, () => phone(stage)));
  for (const { page } of phones) {
    await page.goto(servers.url);
    await page.waitForFunction(STOPS);
  }
  const base = `${servers.url}/api/public/ask/larkhaven`;
  const post = async (path: string, body: object): Promise<unknown> => {
    const answer = await fetch(`${base}${path}`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(body),
    });
    return answer.json();
  };
  const place = {
    street: "3 Ebb Court",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: null,
    longitude: null,
  };
  const { terms } = (await (await fetch(base)).json()) as { terms: { en: string } };
  const times: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    const { times: offered } = (await post("/times", { place, wishIds: ["oil"] })) as { times: unknown[] };
    const name = `Caller ${time}`;
    const shown = phones.map(({ page }) =>
      page
        .waitForFunction(
          (count) => {
            const strip = document.querySelector('[data-testid="waiting-strip"]')?.textContent ?? "";
            return count === 1 ? strip.includes("asks for a visit") : strip.includes(`${count} requests`);
          },
          time + 1,
          { polling: "raf" },
        )
        .then(() => performance.now()),
    );
    await post(`/requests/${crypto.randomUUID()}`, {
      ...{
        language: "en",
        name,
        phone: `360 555 02${String(time).padStart(2, "0")}`,
        email: "",
        place,
        wishIds: ["oil"],
      },
      car: { plate: "", region: "", vin: "", year: null, make: "", model: "" },
      ...{ words: "", photoIds: [], isThere: true, keyLies: "", time: offered[0], terms: terms.en },
      ...{ mayText: true, mayMail: false },
    });
    const asked = performance.now();
    times.push(Math.max(...(await Promise.all(shown))) - asked);
  }
  tell("device", `a request is on ${SCREENS} screens`, "ms", times);
  for (const { context } of phones) await context.close();
}

/** The link to a receipt, as a customer gets it. */
async function aReceipt({ servers, browser, account }: Stage): Promise<string> {
  const context = await browser.newContext();
  const { login, password } = account;
  await context.request.post(`${servers.url}/api/session`, { data: { login, password } });
  const open = (await (await context.request.get(`${servers.url}/api/open-work`)).json()) as {
    groups: { waitsFor: string; workOrders: { id: string }[] }[];
  };
  const id = open.groups.find(({ waitsFor }) => waitsFor === "money")?.workOrders[0]?.id ?? "";
  const answer = await context.request.post(`${servers.url}/api/work-orders/${id}/receipt-messages`, {
    data: { messageId: crypto.randomUUID() },
  });
  const told = JSON.stringify(await answer.json());
  await context.close();
  const token = /\/r\/([\w-]+)/.exec(told)?.[1];
  if (!token) throw new Error(`no receipt was texted: ${told.slice(0, 300)}`);
  return token;
}

async function starts(stage: Stage): Promise<void> {
  const cold: number[] = [];
  const warm: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    const { context, page, cdp } = await phone(stage);
    await cdp.send("Network.enable");
    await cdp.send("Network.emulateNetworkConditions", BAD_LINE);
    await cdp.send("Emulation.setCPUThrottlingRate", { rate: SLOW });
    await page.goto(stage.servers.url);
    cold.push(await sinceStart(page, STOPS));
    await cdp.send("Network.emulateNetworkConditions", {
      ...BAD_LINE,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    });
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await page.waitForFunction(STOPS);
    await context.setOffline(true);
    await page.reload();
    warm.push(await sinceStart(page, STOPS));
    await context.close();
  }
  tell("device", "cold start to the day, slow phone, bad line", "ms", cold);
  tell("device", "warm start to the day, slow phone, no network", "ms", warm);
}

/** From a tap to the frame that shows what it changed. */
async function shown(page: Page, tap: string, holds: string): Promise<number> {
  return page.evaluate(
    ({ tap, holds }) =>
      new Promise<number>((resolve, reject) => {
        const target = (0, eval)(tap) as HTMLElement | null;
        if (!target) return reject(new Error(`nothing to tap: ${tap}`));
        const started = performance.now();
        target.click();
        const look = (): void => {
          if ((0, eval)(holds)) requestAnimationFrame(() => resolve(performance.now() - started));
          else if (performance.now() - started > 20_000) reject(new Error(`never: ${holds}`));
          else requestAnimationFrame(look);
        };
        look();
      }),
    { tap, holds },
  );
}

async function taps(stage: Stage, rate: number): Promise<void> {
  const { context, page, cdp } = await phone(stage);
  await page.goto(stage.servers.url);
  await page.waitForFunction(STOPS);
  const how = rate === 1 ? "" : ", slow phone";
  await cdp.send("Emulation.setCPUThrottlingRate", { rate });
  const link = (name: string): string =>
    `[...document.querySelectorAll('a,[role="link"]')].find((each) => each.innerText.includes("${name}"))`;
  const sheet: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    sheet.push(await shown(page, link("Maren Oyelaran"), `document.querySelector('[data-testid="section-check"]')`));
    if (time < TIMES - 1) {
      await page.goBack();
      await page.waitForFunction(STOPS);
    }
  }
  tell("device", `opening a sheet${how}`, "ms", sheet);
  await openOil(page);
  const grade = (name: string): string =>
    `[...document.querySelectorAll('[data-testid="grades"] [role="radio"]')].find((each) => each.innerText.includes("${name}"))`;
  const row = (name: string): string =>
    `document.querySelector('[data-testid="point-oil"]').getAttribute("aria-label").includes("${name}")`;
  const grades: number[] = [];
  for (let time = 0; time < TIMES; time++) {
    const name = time % 2 === 0 ? "Unsafe" : "Act now";
    grades.push(await shown(page, grade(name), row(name)));
    await page.getByTestId("change-grade").click();
  }
  tell("device", `grading a point${how}`, "ms", grades);
  await context.close();
}

const LINES = 60;

/** A quantity changed on a quote of sixty lines. */
async function quantities(stage: Stage): Promise<void> {
  for (const rate of [1, SLOW]) {
    const { context, page, cdp } = await phone(stage);
    await page.goto(stage.servers.url);
    await page.waitForFunction(STOPS);
    const id = /work\/([\w-]+)/.exec(await manyLines(page))?.[1] ?? "";
    await page.goto(`${stage.servers.url}/work/${id}`);
    const section = page.getByTestId("section-quote");
    await section.waitFor();
    if (!(await page.getByText(`Part ${LINES - 1}`, { exact: true }).isVisible()))
      await section.getByRole("button").first().click();
    await page.getByRole("button", { name: /Part 30,/ }).click();
    await page.getByRole("button", { name: "Quantity of Part 30 more" }).waitFor();
    await cdp.send("Emulation.setCPUThrottlingRate", { rate });
    const times: number[] = [];
    for (let time = 0; time < TIMES; time++) {
      const more = `document.querySelector('[aria-label="Quantity of Part 30 more"]')`;
      times.push(await shown(page, more, `document.body.innerText.includes("${time + 2} ×\\nPart 30")`));
    }
    tell("device", `a quantity on ${LINES} lines${rate === 1 ? "" : ", slow phone"}`, "ms", times);
    await context.close();
  }
}

/** A work order with a job of sixty lines. @returns its address. */
async function manyLines(page: Page): Promise<string> {
  return page.evaluate(async (count) => {
    const uuid = (): string => crypto.randomUUID();
    const day = (await (await fetch("/api/open-work")).json()) as {
      groups: { waitsFor: string; workOrders: { id: string }[] }[];
    };
    const id = day.groups.find(({ waitsFor }) => waitsFor === "work")?.workOrders.at(-1)?.id ?? "";
    const jobId = uuid();
    const at = new Date().toISOString();
    const own = { type: "addOwnJob", jobId, title: "Sixty parts", concernId: null };
    const lines = Array.from({ length: count }, (_, place) => ({
      type: "addLine",
      jobId,
      line: {
        id: uuid(),
        kind: "part",
        description: `Part ${place}`,
        quantity: 1,
        costCents: 1000,
        markup: null,
        priceCents: 1500,
        partNumber: null,
        brand: null,
      },
    }));
    const commands = [own, ...lines].map((command) => ({ id: uuid(), at, command }));
    const answer = await fetch(`/api/work-orders/${id}/commands`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ commands }),
    });
    if (!answer.ok) throw new Error(await answer.text());
    return `/work/${id}`;
  }, LINES);
}

const OPEN_ORDERS = 10_000;
/** What scrolls the page. */
const SCROLLS = `[...document.querySelectorAll("[role=main] *")].find((each) => getComputedStyle(each).overflowY === "auto" && each.scrollHeight > each.clientHeight)`;

/** Ten thousand open work orders, scrolled down on a slow phone: what longer than 50 ms a task keeps the page busy. */
async function longScroll(stage: Stage): Promise<void> {
  const RUNS = 5;
  const { context, page, cdp } = await phone(stage);
  await context.route(/\/api\/open-work/, (route) => {
    const from = Number(/id=0190a000-0000-7000-8000-(\d+)/.exec(route.request().url())?.[1] ?? -1) + 1;
    return route.fulfill({ json: { groups: [pageOfOpen(from, from === 0 ? 40 : 200)] } });
  });
  await page.goto(`${stage.servers.url}/open`);
  await page.getByText("Caller 1", { exact: true }).waitFor();
  // All of them are here before it is timed.
  await page.evaluate(
    async ({ last, scrolls }) => {
      const scroller = (0, eval)(scrolls) as Element | undefined;
      if (!scroller) throw new Error("nothing scrolls");
      for (const started = performance.now(); performance.now() - started < 300_000;) {
        scroller.scrollTop = scroller.scrollHeight;
        await new Promise((resolve) => setTimeout(resolve, 50));
        if (document.body.innerText.includes(last)) {
          scroller.scrollTop = 0;
          return;
        }
      }
      throw new Error("the last one never came");
    },
    { last: `Caller ${OPEN_ORDERS}`, scrolls: SCROLLS },
  );
  for (const rate of [1, SLOW]) {
    await cdp.send("Emulation.setCPUThrottlingRate", { rate });
    const blocked: number[] = [];
    for (let run = 0; run < RUNS; run++)
      blocked.push(
        await page.evaluate(async (scrolls) => {
          const scroller = (0, eval)(scrolls) as Element | undefined;
          let blockedMs = 0;
          const observer = new PerformanceObserver((list) => {
            for (const { duration } of list.getEntries()) blockedMs += duration - 50;
          });
          observer.observe({ type: "longtask" });
          for (let frame = 0; frame < 180; frame++) {
            if (scroller) scroller.scrollTop += 120;
            await new Promise((resolve) => requestAnimationFrame(resolve));
          }
          await new Promise((resolve) => setTimeout(resolve, 200));
          observer.disconnect();
          return blockedMs;
        }, SCROLLS),
      );
    const how = rate === 1 ? "" : ", slow phone";
    tell("device", `10,000 open work orders, three seconds of scrolling: blocked${how}`, "ms", blocked);
  }
  const nodes = await page.evaluate(() => document.querySelectorAll("*").length);
  tell("device", "10,000 open work orders: nodes on the page", "nodes", [nodes]);
  await context.close();
}

/** One page of many open work orders, made up. */
function pageOfOpen(from: number, most: number): object {
  const idOf = (place: number): string => `0190a000-0000-7000-8000-${String(place).padStart(12, "0")}`;
  const workOrders = Array.from({ length: Math.min(most, OPEN_ORDERS - from) }, (_, place) => ({
    id: idOf(from + place),
    number: 1001 + from + place,
    customerId: null,
    customerName: `Caller ${from + place + 1}`,
    vehicleName: "2014 Honda Odyssey",
    plate: null,
    concerns: ["Brakes grind"],
    waitsFor: "work",
    since: "2026-11-20T10:00:00.000Z",
    totalCents: 49_380,
    dueCents: 0,
    unclearCents: 0,
    conflicts: 0,
    openedAt: "2026-11-20T10:00:00.000Z",
    nextVisitAt: null,
  }));
  const last = from + workOrders.length;
  const next = last < OPEN_ORDERS ? { since: "2026-11-20T10:00:00.000Z", id: idOf(last - 1) } : null;
  return { waitsFor: "work", count: OPEN_ORDERS, workOrders, next };
}

/** The check of the work order that is shown, with the engine oil under the thumb. */
async function openOil(page: Page): Promise<void> {
  await page.getByTestId("section-check").waitFor();
  if (!(await page.getByTestId("open-check").isVisible()))
    await page.getByTestId("section-check").getByRole("button").first().click();
  await page.getByTestId("open-check").click();
  await page.getByTestId("point-oil").click();
  await page.getByLabel("At hand: Engine oil").waitFor();
}

/** What was done without a network, from the moment there is one until nothing waits. */
async function sending(stage: Stage): Promise<void> {
  const COMMANDS = 200;
  const { context, page } = await phone(stage);
  await page.goto(stage.servers.url);
  await page.waitForFunction(STOPS);
  await page
    .getByRole("link", { name: /Maren Oyelaran/ })
    .first()
    .click();
  await openOil(page);
  await page.getByTestId("grades").getByRole("radio", { name: "Watch" }).click();
  await page.getByText("Saved", { exact: true }).waitFor();
  await context.setOffline(true);
  await page.evaluate(async (count) => {
    const press = async (selector: string): Promise<void> => {
      document.querySelector<HTMLElement>(selector)?.click();
      await new Promise((resolve) => requestAnimationFrame(resolve));
    };
    for (let time = 0; time < count; time++) {
      await press('[data-testid="change-grade"]');
      await press('[data-testid="grades"] [role="radio"][aria-checked="false"]:nth-child(n+2)');
    }
  }, COMMANDS);
  await page.getByText(new RegExp(`No connection; ${COMMANDS} changes`)).waitFor();
  const started = performance.now();
  await context.setOffline(false);
  await page.getByText("Saved", { exact: true }).waitFor();
  tell("device", `${COMMANDS} commands go out`, "ms", [performance.now() - started]);
  await context.close();
}

async function main(): Promise<void> {
  process.env.DEMO_TEMPLATE = await makeDemoTemplate();
  const servers = await startServers();
  const browser = await launchBrowser();
  try {
    const answer = await fetch(`${servers.url}/api/demo-accounts`);
    const { accounts } = (await answer.json()) as { accounts: Account[] };
    const account = accounts.find(({ name }) => name.startsWith("Odile"));
    if (!account) throw new Error("the demo has no Odile");
    await measure({ servers, browser, account });
  } finally {
    await browser.close();
    await servers.stop();
    await dropDemoTemplate(process.env.DEMO_TEMPLATE);
  }
}

void main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
