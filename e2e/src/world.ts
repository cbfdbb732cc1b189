import type { Browser } from "playwright-core";
import { Driver, PHONE, launchBrowser, type Account, type Viewport } from "./driver";
import { startServers, type Servers } from "./servers";

/** What the journeys of one file walk in: servers with a fresh demo database, and a browser. */
export interface World {
  readonly servers: Servers;
  readonly browser: Browser;
  /** A person signed in, with the day on the screen; Odile, if nobody else is named. */
  signedIn(viewport?: Viewport, name?: RegExp, from?: Browser): Promise<Driver>;
}

/** Opens a world before the journeys of the calling file, and closes it after them. */
export function openWorld(): World {
  let servers: Servers | undefined;
  let browser: Browser | undefined;
  beforeAll(async () => {
    servers = await startServers();
    browser = await launchBrowser();
  });
  afterAll(async () => {
    for (const screen of await Driver.leftOpen()) process.stdout.write(`left open: ${screen}\n`);
    await browser?.close();
    await servers?.stop();
  });
  return {
    get servers() {
      return opened(servers);
    },
    get browser() {
      return opened(browser);
    },
    async signedIn(viewport = PHONE, name = /Odile/, from = opened(browser)) {
      const { url } = opened(servers);
      const driver = await Driver.open(from, viewport, url, await accountOf(url, name));
      await driver.page.getByRole("list", { name: "Stops" }).waitFor();
      return driver;
    },
  };
}

/** Takes the screen's picture under this name, and holds it against WCAG 2.2 AA. */
export async function checked(driver: Driver, name: string): Promise<void> {
  await driver.picture(name);
  expect({ screen: name, violations: await driver.violations() }).toEqual({ screen: name, violations: [] });
}

export async function accountOf(url: string, name: RegExp): Promise<Account> {
  const answer = await fetch(`${url}/api/demo-accounts`);
  const { accounts } = (await answer.json()) as { accounts: Account[] };
  const account = accounts.find((each) => name.test(each.name));
  if (!account) throw new Error(`the demo has no account of ${String(name)}`);
  return account;
}

function opened<Thing>(thing: Thing | undefined): Thing {
  if (thing === undefined) throw new Error("the world is opened with the first journey");
  return thing;
}
