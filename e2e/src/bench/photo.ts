import type { Page } from "playwright-core";
import { codePhoto } from "../pictures";
import { PHONE } from "../driver";
import { tell } from "./open";
import { withOwner } from "./withOwner";

/** How photos are made ready, and a grade is given beside many of them. */

const RUNS = 5;
const SLOW = 4;
const PHOTOS = 20;
const GRADES = 9;

/** Decodes twelve megapixels and encodes them small, with nothing around it: what the app's own way is held against. */
async function bare(page: Page, photo: Buffer): Promise<number> {
  return page.evaluate(async (base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    const file = new Blob([bytes], { type: "image/jpeg" });
    const from = performance.now();
    const picture = await createImageBitmap(file);
    const scale = 1600 / Math.max(picture.width, picture.height);
    const canvas = new OffscreenCanvas(picture.width * scale, picture.height * scale);
    canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    await canvas.convertToBlob({ type: "image/jpeg", quality: 0.8 });
    return performance.now() - from;
  }, photo.toString("base64"));
}

/** From the file given to the photo on the screen, and for how long the page could not answer meanwhile. */
async function taken(page: Page, photo: Buffer, place: number): Promise<{ ready: number; blocked: number }> {
  await page.evaluate(() => {
    const seen = window as unknown as { given: number };
    seen.given = Number.POSITIVE_INFINITY;
    for (const input of document.querySelectorAll('[data-testid="photo-oil"]'))
      input.addEventListener("change", () => (seen.given = performance.now()), { capture: true, once: true });
  });
  const label = `Engine oil, photo ${place}, large`;
  await page.getByTestId("photo-oil").setInputFiles({ name: "oil.jpg", mimeType: "image/jpeg", buffer: photo });
  await page.getByLabel(label).waitFor();
  return page.evaluate(() => {
    const seen = window as unknown as { longTasks: { startTime: number; duration: number }[]; given: number };
    const ready = performance.now() - seen.given;
    // Only from the moment the file was given: how this driver hands it over is no phone's way.
    const since = seen.longTasks.filter(({ startTime }) => startTime >= seen.given);
    return { ready, blocked: since.reduce((sum, { duration }) => sum + duration - 50, 0) };
  });
}

function main(): Promise<void> {
  return withOwner(PHONE, async (page, url, context) => {
    const browser = context.browser();
    if (!browser) throw new Error("the context has no browser");
    await page.addInitScript(() => {
      const seen = window as unknown as { longTasks: PerformanceEntry[] };
      seen.longTasks = [];
      new PerformanceObserver((list) => seen.longTasks.push(...list.getEntries())).observe({ type: "longtask" });
    });
    await page.goto(url);
    await page
      .getByRole("link", { name: /Maren Oyelaran/ })
      .first()
      .click();
    await page.getByTestId("section-check").waitFor();
    if (!(await page.getByTestId("open-check").isVisible()))
      await page.getByTestId("section-check").getByRole("button").first().click();
    await page.getByTestId("open-check").click();
    await page.getByTestId("point-oil").click();
    await page.getByTestId("grades").getByRole("radio", { name: "Act now" }).click();
    const { buffer } = await codePhoto(browser, [], "#87807a", "whole");
    const [bares, readies, blocks]: [number[], number[], number[]] = [[], [], []];
    // One of each before, for what is made once.
    await bare(page, buffer);
    await taken(page, buffer, 1);
    for (let run = 0; run < RUNS; run++) {
      bares.push(await bare(page, buffer));
      const { ready, blocked } = await taken(page, buffer, run + 2);
      readies.push(ready);
      blocks.push(blocked);
    }
    tell("photo", "bare decoding and encoding of 12 megapixels", "ms", bares);
    tell("photo", "a photo of 12 megapixels ready and shown", "ms", readies);
    tell("photo", "page blocked meanwhile", "ms", blocks);
    const small = await codePhoto(browser, [], "#87807a");
    for (let place = RUNS + 2; place <= PHOTOS; place++) await taken(page, small.buffer, place);
    const cdp = await context.newCDPSession(page);
    await cdp.send("Emulation.setCPUThrottlingRate", { rate: SLOW });
    const grades: number[] = [];
    for (let time = 0; time < GRADES; time++) {
      await page.getByTestId("change-grade").click();
      const name = time % 2 === 0 ? "Unsafe" : "Act now";
      grades.push(await graded(page, name));
    }
    tell("photo", `a grade shows beside ${PHOTOS} photos, slow phone`, "ms", grades);
  });
}

/** From the tap to the frame that shows the grade in the point's row. */
function graded(page: Page, name: string): Promise<number> {
  return page.evaluate(async (grade) => {
    const radio = [...document.querySelectorAll<HTMLElement>('[data-testid="grades"] [role="radio"]')].find((each) =>
      each.innerText.includes(grade),
    );
    const from = performance.now();
    radio?.click();
    const isShown = (): boolean =>
      document.querySelector('[data-testid="point-oil"]')?.getAttribute("aria-label")?.includes(grade) ?? false;
    while (!isShown()) await new Promise((done) => requestAnimationFrame(done));
    await new Promise((done) => requestAnimationFrame(done));
    return performance.now() - from;
  }, name);
}

void main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
