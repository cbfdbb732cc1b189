import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { killProcesses, takenAlong, unsentOn, type Unsent } from "./device";
import { Driver, PHONE, type Account } from "./driver";
import { tinyPng } from "./pictures";
import { startServers } from "./servers";
import { gradeHere, openCheck, pickPoint } from "./check";
import { accountOf, openWorld } from "./world";

const world = openWorld();
const folders: string[] = [];
const newFolder = (name: string): string => {
  const folder = mkdtempSync(join(tmpdir(), `mechanon-${name}-`));
  folders.push(folder);
  return folder;
};
afterAll(() => {
  for (const folder of folders) killProcesses(folder);
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

const SHARED = ["Maren Oyelaran", "Noor Haddad-Bell", "Ingrid Palomar"];
const TWO_HOURS_MS = 2 * 3600_000;

/** The work orders of these customers, by their names. */
async function ordersOf({ page }: Driver, names: readonly string[]): Promise<Record<string, string>> {
  return page.evaluate(async (wanted) => {
    const answer = await fetch("/api/open-work");
    const { groups } = (await answer.json()) as { groups: { workOrders: { id: string; customerName: string }[] }[] };
    const all = groups.flatMap(({ workOrders }) => workOrders);
    return Object.fromEntries(
      wanted.map((name) => [name, all.find(({ customerName }) => customerName === name)?.id ?? ""]),
    );
  }, names);
}

async function openOrder({ page }: Driver, name: string, id = ""): Promise<void> {
  await page.goto(`${world.servers.url}/work/${id}`);
  await page.getByRole("heading", { name, level: 1 }).waitFor();
}

/** Grades every point of the check so many times, each time otherwise. */
async function gradeAll(driver: Driver, times: number): Promise<void> {
  await openCheck(driver);
  await driver.page.evaluate(async (count) => {
    const frame = (): Promise<number> => new Promise((done) => requestAnimationFrame(done));
    const press = async (selector: string, place = 0): Promise<void> => {
      const found = document.querySelectorAll<HTMLElement>(selector);
      if (found.length > 0) found[place % found.length]?.click();
      await frame();
    };
    const ids = [...document.querySelectorAll('[data-testid^="point-"]')].map((row) => row.getAttribute("data-testid"));
    for (let time = 0; time < count; time++)
      for (const id of ids) {
        await press(`[data-testid="${id ?? ""}"]`);
        await press('[data-testid="change-grade"]');
        await press('[data-testid="grades"] [role="radio"][aria-checked="false"]', time);
      }
  }, times);
}

async function photograph(driver: Driver, point: string, title: string): Promise<void> {
  const { page } = driver;
  await pickPoint(driver, point, title);
  if (await page.getByTestId("change-grade").isVisible()) await driver.tap(page.getByTestId("change-grade"));
  await gradeHere(driver, "watch");
  await page
    .getByTestId(`photo-${point}`)
    .setInputFiles({ name: "part.png", mimeType: "image/png", buffer: tinyPng() });
  await page.getByText("Not sent yet").first().waitFor();
  await driver.tap(page.getByTestId("check-back"));
}

/** Opens a section, where it is not open with this button in it already. */
async function openSection(driver: Driver, name: string, holds: string | RegExp): Promise<void> {
  const section = driver.page.getByTestId(`section-${name}`);
  if (await section.getByRole("button", { name: holds }).first().isVisible()) return;
  await driver.tap(section.getByRole("button").first());
}

async function addConcern(driver: Driver, words: string): Promise<void> {
  await driver.button("Add a concern");
  await driver.type(/words/, words);
  await driver.tap(driver.page.getByTestId("add-concerns"));
  await driver.page.getByText(`“${words}”`).waitFor();
}

/** What the server has of these acts: each once, in the order in which they were done to each thing. */
async function isWholeAtServer({ acts, photoIds }: Unsent, of: Account): Promise<{ done: number; refused: number }> {
  const list = (ids: string[]): string => ids.map((id) => `'${id}'`).join(",") || "null";
  const commands = acts.filter(({ kind }) => kind === "workOrder" || kind === "visit");
  const known = await world.servers.rows(
    `select id, outcome->>'outcome' as outcome from command_ids where id in (${list(commands.map(({ id }) => id))})`,
  );
  const done = await world.servers.rows(
    `select command_id, aggregate_id from history where command_id in (${list(commands.map(({ id }) => id))}) order by aggregate_id, revision, recorded_at`,
  );
  const ids = done.map(({ command_id }) => command_id);
  expect({ of: of.name, known: known.length, twice: ids.length - new Set(ids).size }).toEqual({
    of: of.name,
    known: commands.length,
    twice: 0,
  });
  for (const target of new Set(commands.map((act) => act.target))) {
    const given = commands.filter((act) => act.target === target).map(({ id }) => id);
    const kept = done.filter(({ aggregate_id }) => aggregate_id === target).map(({ command_id }) => command_id);
    expect(kept).toEqual(given.filter((id) => kept.includes(id)));
  }
  const photos = await world.servers.rows(`select count(*)::int as count from photos where id in (${list(photoIds)})`);
  expect(photos).toEqual([{ count: photoIds.length }]);
  return { done: ids.length, refused: known.filter(({ outcome }) => outcome === "refused").length };
}

/** Sends what a phone holds to a server that dies in the middle of it. @returns how many acts it had by then. */
async function sendThroughAKill({ page }: Driver, { acts }: Unsent): Promise<number> {
  const arrived = async (): Promise<number> => {
    const [row] = await world.servers.rows(
      `select count(*)::int as count from command_ids where id in (${acts.map(({ id }) => `'${id}'`).join(",")})`,
    );
    return Number(row?.count);
  };
  await page.reload();
  while ((await arrived()) === 0) await new Promise((done) => setTimeout(done, 5));
  await world.servers.killServer();
  const before = await arrived();
  await world.servers.startServer();
  await page.reload();
  const isOut = ({ acts: left, photoIds }: Unsent): boolean =>
    left.every(({ isRefused }) => isRefused) && photoIds.length === 0;
  while (!isOut(await unsentOn(page))) await new Promise((done) => setTimeout(done, 100));
  return before;
}

it("two phones work a day without a network, are closed and killed, and the server is killed while they send: all is there once", async () => {
  const [odile, tomas] = [await accountOf(world.servers.url, /Odile/), await accountOf(world.servers.url, /Tomas/)];
  const folder = newFolder("phone");
  let a = await Driver.openPhone(folder, world.servers.url, odile);
  const b = await Driver.open(world.browser, PHONE, world.servers.url, tomas);
  // The clock of the second is wrong by two hours.
  await b.context.addInitScript((skew) => {
    const Right = Date;
    globalThis.Date = class extends Right {
      constructor(...given: unknown[]) {
        // Every way a date is made goes on; only that of this moment is another.
        super(...((given.length === 0 ? [Right.now() + skew] : given) as [number]));
      }
      static override now(): number {
        return Right.now() + skew;
      }
    } as DateConstructor;
  }, TWO_HOURS_MS);
  await b.page.reload();
  const orders = await ordersOf(a, [...SHARED, "Amparo Whitlock"]);
  for (const driver of [a, b]) {
    await openOrder(driver, "Amparo Whitlock", orders["Amparo Whitlock"]);
    await takenAlong(driver);
  }
  await world.servers.stopServer();

  // The first phone: checks, photos, a call, a quote signed, cash.
  for (const name of SHARED) {
    await openOrder(a, name, orders[name]);
    await gradeAll(a, 4);
    await photograph(a, "oil", "Engine oil");
    await addConcern(a, `creaks, says ${name}`);
  }
  await openOrder(a, "Amparo Whitlock", orders["Amparo Whitlock"]);
  await openSection(a, "quote", /Take off front pads and rotors/);
  await a.button("Take off front pads and rotors");
  await openOrder(a, "Noor Haddad-Bell", orders["Noor Haddad-Bell"]);
  await openSection(a, "quote", "Add a job");
  await a.type("Find a job", "Jump start");
  await a.button(/Add “Jump start” as a job/);
  await a.type("What", "Jump the battery");
  await a.button("Add the line");
  await a.page.goto(`${world.servers.url}/show/${orders["Noor Haddad-Bell"] ?? ""}`);
  await a.tap(a.page.getByRole("radio", { name: "Yes" }).first());
  await a.sign();
  await a.tap(a.page.getByTestId("agree"));
  await a.tap(a.page.getByTestId("hand-back"));
  await openSection(a, "work", /^Finish/);
  await a.button(/^Finish/);
  await openSection(a, "money", "Cash");
  await a.button("Cash");
  await a.tap(a.page.getByTestId("take-cash"));
  await a.page
    .getByText(/Paid in full|Paid \$/)
    .first()
    .waitFor();
  await a.page.goto(`${world.servers.url}/new`);
  await a.type("Name or business", "Perpetua Sand");
  await a.type("Phone", "360 555 0177");
  await a.tap(a.page.getByTestId("save-work"));
  await a.page.getByRole("heading", { name: "Perpetua Sand", level: 1 }).waitFor();

  // The second, on the same work orders.
  for (const name of SHARED) {
    await openOrder(b, name, orders[name]);
    await gradeAll(b, 4);
    await photograph(b, "coolant", "Coolant");
    await addConcern(b, `hums, says ${name}`);
  }
  await openOrder(b, "Amparo Whitlock", orders["Amparo Whitlock"]);
  await openSection(b, "quote", /Replace front pads and rotors/);
  await b.button(/Replace front pads and rotors/);
  await b.button("Hours of Replace front pads and rotors more");
  await b.page.getByRole("link", { name: /changes kept here/ }).waitFor();

  // A tab is closed, then the whole browser killed: nothing of it is gone.
  const given = { a: await unsentOn(a.page), b: await unsentOn(b.page) };
  expect(given.a.acts.length + given.b.acts.length + given.a.photoIds.length + given.b.photoIds.length).toBeGreaterThan(
    200,
  );
  await a.page.close();
  killProcesses(folder);
  a = await Driver.openPhone(folder, world.servers.url);
  await a.page.getByRole("list", { name: "Stops" }).waitFor();
  expect(await unsentOn(a.page)).toEqual(given.a);

  // Up on the street, one after the other: each time the server is killed in the middle of it, and comes back.
  await b.context.setOffline(true);
  await world.servers.startServer();
  const beforeTheKill = [await sendThroughAKill(a, given.a)];
  await b.context.setOffline(false);
  beforeTheKill.push(await sendThroughAKill(b, given.b));

  const at = { a: await isWholeAtServer(given.a, odile), b: await isWholeAtServer(given.b, tomas) };
  // Cash that was taken once is taken once, whatever was sent how often.
  const [taken] = await world.servers.rows(
    `select count(*)::int as count from payments where work_order_id = '${orders["Noor Haddad-Bell"] ?? ""}'`,
  );
  expect(taken).toEqual({ count: 1 });
  // What was not taken stands with its person, and nowhere else.
  expect((await unsentOn(a.page)).acts).toEqual([]);
  expect((await unsentOn(b.page)).acts.length).toBe(1);
  await b.page.goto(`${world.servers.url}/waiting`);
  await b.page.getByText(/was taken off by somebody else/).waitFor();
  await b.button("Let go");
  // Gone from the screen at once, from the device a moment later: left before that, it would stand there again.
  while ((await unsentOn(b.page)).acts.length > 0) await new Promise((done) => setTimeout(done, 100));
  process.stdout.write(
    `whole day: ${JSON.stringify({ given: { a: given.a.acts.length, b: given.b.acts.length, photos: given.a.photoIds.length + given.b.photoIds.length }, beforeTheKill, at })}\n`,
  );

  // Signed out by somebody else meanwhile: it waits, and goes out after signing in again.
  await openOrder(b, "Maren Oyelaran", orders["Maren Oyelaran"]);
  await world.servers.rows(
    `delete from directory.sessions where person_id = (select id from people where name = '${tomas.name}')`,
  );
  await addConcern(b, "smells hot");
  await b.page.goto(`${world.servers.url}/sign-in`);
  await b.tap(b.page.getByRole("button", { name: new RegExp(tomas.name) }));
  await b.page.getByRole("list", { name: "Stops" }).waitFor();
  await openOrder(b, "Maren Oyelaran", orders["Maren Oyelaran"]);
  await b.page.getByText("Saved", { exact: true }).waitFor();
  await b.page.getByText("“smells hot”").waitFor();

  // An app of another version than the server: what it does waits, says why, and goes out when they fit again.
  for (const [protocol, words] of [
    ["0", /This app is too old for the server/],
    ["99", /The server is still older than this app/],
  ] as const) {
    await b.context.route("**/api/**", (route) =>
      route.continue({ headers: { ...route.request().headers(), "mechanon-protocol": protocol } }),
    );
    await addConcern(b, `said to ${protocol}`);
    await b.page.getByText(words).waitFor();
    await b.context.unroute("**/api/**");
    await b.page.reload();
    await b.page.getByText("Saved", { exact: true }).waitFor();
    await b.page.getByText(`“said to ${protocol}”`).waitFor();
  }
  await b.close();
  await a.close();
}, 400_000);

it("the app can be installed; a newer version is offered where nobody is in the middle of work, and taken when the person says so", async () => {
  const webDir = join(newFolder("web"), "dist");
  cpSync(join(__dirname, "..", "..", "app", "dist"), webDir, { recursive: true });
  const servers = await startServers({ WEB_DIR: webDir });
  const driver = await Driver.open(world.browser, PHONE, servers.url, await accountOf(servers.url, /Odile/));
  const { page } = driver;
  await takenAlong(driver);
  await page.reload();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  const browser = await driver.context.newCDPSession(page);
  const { errors, data = "{}" } = await browser.send("Page.getAppManifest");
  const { short_name, display, icons } = JSON.parse(data) as {
    short_name: string;
    display: string;
    icons: { src: string; type: string }[];
  };
  expect({ errors, short_name, display }).toEqual({ errors: [], short_name: "Mechanon", display: "standalone" });
  for (const { src, type } of icons)
    expect((await page.request.get(`${servers.url}${src}`)).headers()["content-type"]).toContain(type);
  const worker = join(webDir, "sw.js");
  writeFileSync(worker, `${readFileSync(worker, "utf8")}\n// Of another version.\n`);
  await page.reload();
  await page.getByText(/A newer version of Mechanon is on this device/).waitFor();
  await driver.picture("newer-version");
  expect(await driver.violations()).toEqual([]);
  // Another window of the same device stays open meanwhile: it is told, and goes on until its person says so.
  const other = await driver.context.newPage();
  await other.goto(servers.url);
  await other.getByText(/A newer version of Mechanon is on this device/).waitFor();
  // It asks the server without a pause, which must not hold the newer version up.
  await other.evaluate(() => {
    void (async () => {
      while ((await fetch("/api/health")).ok);
    })();
  });
  await driver.button("Use it now");
  await page
    .getByText(/(A|The) newer version/)
    .first()
    .waitFor({ state: "hidden" });
  await page.getByRole("list", { name: "Stops" }).waitFor();
  await other.getByText(/Another window of this device uses a newer version/).waitFor();
  await other.getByRole("button", { name: "Use it now" }).click();
  await other.getByText(/Another window of this device/).waitFor({ state: "hidden" });
  await driver.close();
  await servers.stop();
});
