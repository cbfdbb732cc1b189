import type { Browser, Page } from "playwright-core";
import { codePhoto, type Code } from "../pictures";
import { tell, withApp } from "./open";

/** Times finding a code in a 12-megapixel photo in the worker, and the longest the page stood still meanwhile. */

const VIN = "JF2SJAEC4EH430915";
const TIMES = 7;
const PHOTOS: readonly [name: string, code: Code, style: string][] = [
  ["code39, turned by 4°", "code39", "left:900px;top:1200px;width:1800px;transform:rotate(4deg)"],
  ["code39, turned by 17°", "code39", "left:900px;top:1200px;width:1800px;transform:rotate(17deg)"],
  ["code39, turned by 38°", "code39", "left:900px;top:1200px;width:1800px;transform:rotate(38deg)"],
  ["code39, a sixth as wide as the photo", "code39", "left:2700px;top:2200px;width:660px"],
  ["code39, turned by 65°", "code39", "left:900px;top:1200px;width:1800px;transform:rotate(65deg)"],
  [
    "code128, in the shadow, turned by 12°",
    "code128",
    "left:900px;top:1100px;width:2000px;transform:rotate(12deg);filter:contrast(.3) brightness(.6)",
  ],
  ["code128", "code128", "left:1200px;top:1400px;width:1700px"],
  ["datamatrix, turned by 30°", "datamatrix", "left:2600px;top:800px;width:420px;transform:rotate(30deg)"],
  ["qrcode", "qrcode", "left:600px;top:1800px;width:500px"],
];

async function scan(page: Page, browser: Browser): Promise<void> {
  for (const [kind, code, style] of PHOTOS) {
    const { buffer } = await codePhoto(browser, [{ code, text: VIN, style }], "#8a8a85");
    const { times, gaps } = await page.evaluate(
      async ({ base64, count }) => {
        const file = await (await fetch(`data:image/jpeg;base64,${base64}`)).blob();
        const worker = new Worker("/workers/picture.js");
        const read = (picture: ImageBitmap): Promise<{ text: string }[]> =>
          new Promise((resolve, reject) => {
            const id = crypto.randomUUID();
            worker.addEventListener(
              "message",
              function answered({ data }: MessageEvent<{ id: string; value: { text: string }[] }>) {
                if (data.id !== id) return;
                worker.removeEventListener("message", answered);
                resolve(data.value);
              },
            );
            worker.addEventListener("error", () => reject(new Error("the worker could not be loaded")), { once: true });
            worker.postMessage(
              {
                id,
                type: "APPLY",
                path: ["readPicture"],
                argumentList: [
                  { type: "RAW", value: picture },
                  { type: "RAW", value: "thorough" },
                ],
              },
              [picture],
            );
          });
        const found: number[] = [];
        const stood: number[] = [];
        // The first also loads the reader.
        for (let time = 0; time <= count; time++) {
          const picture = await createImageBitmap(file);
          let longest = 0;
          let last = performance.now();
          const beat = setInterval(() => {
            longest = Math.max(longest, performance.now() - last);
            last = performance.now();
          }, 1);
          const started = performance.now();
          const codes = await read(picture);
          const took = performance.now() - started;
          clearInterval(beat);
          if (codes.length === 0) throw new Error("the code was not found");
          if (time > 0) {
            found.push(took);
            stood.push(longest);
          }
        }
        worker.terminate();
        return { times: found, gaps: stood };
      },
      { base64: buffer.toString("base64"), count: TIMES },
    );
    const name = `${kind}, in 12 megapixels`;
    tell("scan", name, "ms", times);
    tell("scan", `${name}: longest the page stood still`, "ms", gaps);
  }
}

void withApp(scan).catch((error: unknown) => {
  process.stderr.write(`${String(error)}\n`);
  process.exitCode = 1;
});
