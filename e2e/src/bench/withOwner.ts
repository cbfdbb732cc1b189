import type { BrowserContext, Page } from "playwright-core";
import { dropDemoTemplate, makeDemoTemplate } from "../../../scripts/demoTemplate/demoTemplate";
import { launchBrowser, type Account } from "../driver";
import { startServers } from "../servers";

/**
 * Opens the app over servers with a fresh demo database, with its owner signed in.
 * @param measure - what is timed there; all is closed after it, also when it fails.
 */
export async function withOwner(
  viewport: { width: number; height: number },
  measure: (page: Page, url: string, context: BrowserContext) => Promise<void>,
): Promise<void> {
  process.env.DEMO_TEMPLATE = await makeDemoTemplate();
  const servers = await startServers();
  const browser = await launchBrowser();
  try {
    const { accounts } = (await (await fetch(`${servers.url}/api/demo-accounts`)).json()) as { accounts: Account[] };
    const account = accounts.find(({ name }) => name.startsWith("Odile"));
    if (!account) throw new Error("the demo has no owner");
    const context = await browser.newContext({ viewport, bypassCSP: true });
    const { login, password } = account;
    await context.request.post(`${servers.url}/api/session`, { data: { login, password } });
    const page = await context.newPage();
    // tsx names functions through a helper that a page does not have.
    await page.addInitScript("globalThis.__name ??= (named) => named");
    await measure(page, servers.url, context);
  } finally {
    await browser.close();
    await servers.stop();
    await dropDemoTemplate(process.env.DEMO_TEMPLATE);
  }
}
