import AxeBuilder from "@axe-core/playwright";
import { existsSync, mkdirSync } from "node:fs";
import { join } from "node:path";
import {
  chromium,
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  type LaunchOptions,
  type Locator,
  type Page,
} from "playwright-core";

export const PHONE = { name: "phone", width: 390, height: 844 } as const;
export const WIDE = { name: "wide", width: 1280, height: 800 } as const;
export type Viewport = typeof PHONE | typeof WIDE;

/** `CPU_SLOWED=4` makes the browser so many times slower, as a machine may be that these journeys run on. */
const SLOWED = Number(process.env.CPU_SLOWED ?? 1);

/** Debian's Chromium: the one without windows, which is a fifth faster here, where it is there. */
const CHROMIUMS = ["/usr/bin/chromium-headless-shell", "/usr/bin/chromium"];

/** Chromium, without the traffic of its own. @param more - further switches. */
export function launchBrowser(more: readonly string[] = []): Promise<Browser> {
  return chromium.launch(launchOptions(more));
}

function launchOptions(more: readonly string[] = []): LaunchOptions {
  return {
    executablePath: process.env.CHROMIUM ?? CHROMIUMS.find(existsSync),
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
      "--no-first-run",
      ...more,
    ],
  };
}

function screenOf(viewport: Viewport): BrowserContextOptions {
  return { viewport, reducedMotion: "reduce", hasTouch: viewport === PHONE };
}

/** Who signs in, as the demo's own accounts are listed. */
export interface Account {
  login: string;
  password: string;
  name: string;
}

/** A person at one screen: taps and letters are counted, and each screen is checked as it is passed. */
export class Driver {
  /** What the page's own policy stood in the way of: nothing, or the policy is wrong. */
  private readonly policyViolations: string[] = [];
  /** Whose journey has not come to its end. */
  private static readonly unfinished = new Set<Driver>();
  taps = 0;
  letters = 0;
  private constructor(
    readonly page: Page,
    readonly context: BrowserContext,
    readonly viewport: Viewport,
  ) {}

  /** @param account - who is signed in already; left out: nobody. */
  static async open(browser: Browser, viewport: Viewport, url: string, account?: Account): Promise<Driver> {
    return Driver.begin(await browser.newContext(screenOf(viewport)), viewport, url, account);
  }

  /** A phone of its own, whose browser keeps what it keeps in this folder: it can be killed and started again. */
  static async openPhone(folder: string, url: string, account?: Account): Promise<Driver> {
    const context = await chromium.launchPersistentContext(folder, { ...launchOptions(), ...screenOf(PHONE) });
    return Driver.begin(context, PHONE, url, account);
  }

  private static async begin(
    context: BrowserContext,
    viewport: Viewport,
    url: string,
    account?: Account,
  ): Promise<Driver> {
    const page = await context.newPage();
    context.setDefaultTimeout(45_000 * SLOWED);
    if (SLOWED > 1) {
      const session = await context.newCDPSession(page);
      await session.send("Emulation.setCPUThrottlingRate", { rate: SLOWED });
    }
    const driver = new Driver(page, context, viewport);
    Driver.unfinished.add(driver);
    page.on("console", (message) => {
      if (message.text().includes("Content Security Policy")) driver.policyViolations.push(message.text());
    });
    if (account) {
      const { login, password } = account;
      await context.request.post(`${url}/api/session`, { data: { login, password } });
    }
    await page.goto(url);
    return driver;
  }

  async tap(target: Locator): Promise<void> {
    this.taps += 1;
    await target.click();
  }

  async button(name: string | RegExp): Promise<void> {
    await this.tap(this.page.getByRole("button", { name }).first());
  }

  async type(label: string | RegExp, text: string): Promise<void> {
    // A field has to be touched before it is typed in.
    this.taps += 1;
    this.letters += text.length;
    await this.page.getByRole("textbox", { name: label }).fill(text);
  }

  /** A call on an empty sheet, whatever stood on it. */
  async emptySheet(): Promise<void> {
    const over = this.page.getByRole("button", { name: "Start over" });
    await over.waitFor();
    if (await over.isDisabled()) return;
    await this.tap(over);
    await this.button("Throw it away");
  }

  /** Draws a signature with the pointer. */
  async sign(): Promise<void> {
    const canvas = this.page.getByTestId("signature");
    await canvas.scrollIntoViewIfNeeded();
    const box = await canvas.boundingBox();
    if (!box) throw new Error("no signature field");
    this.taps += 1;
    await this.page.mouse.move(box.x + 30, box.y + 100);
    await this.page.mouse.down();
    for (let step = 1; step <= 24; step++)
      await this.page.mouse.move(box.x + 30 + step * 9, box.y + 90 + Math.sin(step / 1.7) * 40 - step);
    await this.page.mouse.up();
  }

  /** Keeps a picture where SHOTS names a folder; nothing otherwise. */
  async picture(name: string): Promise<void> {
    const folder = process.env.SHOTS;
    if (!folder) return;
    mkdirSync(folder, { recursive: true });
    await this.page.screenshot({ path: join(folder, `${this.viewport.name}-${name}.png`) });
  }

  /** Violations of WCAG 2.2 AA on the screen as it stands, by rule and place, and of the page's own policy so far. */
  async violations(): Promise<string[]> {
    const { violations } = await new AxeBuilder({ page: this.page })
      // Without a page of its own for putting frames together: there are none here. What passed is not told.
      .setLegacyMode()
      .options({ resultTypes: ["violations"] })
      .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
      .analyze();
    return [
      ...this.policyViolations,
      ...violations.flatMap(({ id, nodes }) =>
        nodes.map((node) => `${id}: ${node.target.join(" ")} ${node.html.slice(0, 160)}`),
      ),
    ];
  }

  /** What stands on the screens of journeys that did not come to their end; their browsers are closed. */
  static async leftOpen(): Promise<string[]> {
    const screens = [];
    for (const driver of Driver.unfinished) {
      const text = await driver.page.innerText("body").catch(String);
      screens.push(`${driver.viewport.name} ${driver.page.url()}\n${text.slice(0, 2_000)}`);
      await driver.close().catch(() => undefined);
    }
    return screens;
  }

  async close(): Promise<void> {
    Driver.unfinished.delete(this);
    await this.context.close();
  }
}
