import bwip from "bwip-js/node";
import type { Browser } from "playwright-core";

/** Pictures as a phone would take them: codes by a standard generator, text set and turned, with noise over all. */
export interface Picture {
  name: string;
  mimeType: string;
  buffer: Buffer;
}

/** A 12-megapixel photo. */
const PHOTO = { width: 4000, height: 3000 };
const NOISE = `<svg width="100%" height="100%" style="position:absolute;inset:0;opacity:.2"><filter id="n"><feTurbulence type="fractalNoise" baseFrequency=".9" numOctaves="2"/></filter><rect width="100%" height="100%" filter="url(#n)"/></svg>`;

export type Code = "code39" | "code128" | "datamatrix" | "qrcode";

async function codeImage(code: Code, text: string, style: string): Promise<string> {
  const bars = code === "code39" || code === "code128";
  const png = await bwip.toBuffer({
    bcid: code,
    text,
    scale: 4,
    paddingwidth: 12,
    paddingheight: 12,
    backgroundcolor: "FFFFFF",
    ...(bars ? { height: 14 } : {}),
  });
  return `<img src="data:image/png;base64,${png.toString("base64")}" style="position:absolute;${style}">`;
}

/** A photo of codes lying at places and angles. */
export async function codePhoto(
  browser: Browser,
  codes: readonly { code: Code; text: string; style: string }[],
  ground: string,
): Promise<Picture> {
  const images = await Promise.all(codes.map(({ code, text, style }) => codeImage(code, text, style)));
  return photo(browser, images.join(""), PHOTO, ground);
}

/** A photo of a printed label. */
export function labelPhoto(
  browser: Browser,
  lines: readonly string[],
  style: string,
  ground = "#77736a",
): Promise<Picture> {
  const label = `<div style="position:absolute;left:200px;top:420px;background:#f4f4f0;color:#111;padding:40px;font:600 64px 'DejaVu Sans Mono',monospace;white-space:pre;${style}">${lines.join("\n")}</div>`;
  return photo(browser, label, { width: 1600, height: 1200 }, ground);
}

async function photo(
  browser: Browser,
  inside: string,
  viewport: { width: number; height: number },
  ground: string,
): Promise<Picture> {
  const page = await browser.newPage({ viewport });
  await page.setContent(
    `<body style="margin:0;background:${ground};width:100vw;height:100vh;position:relative;overflow:hidden">${inside}${NOISE}</body>`,
  );
  const buffer = await page.screenshot({ type: "jpeg", quality: 80 });
  await page.close();
  return { name: "photo.jpg", mimeType: "image/jpeg", buffer };
}
