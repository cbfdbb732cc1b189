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
/** Levels that the grain of a photo adds or takes at most. */
const GRAIN = 12;

export type Code = "code39" | "code128" | "datamatrix" | "qrcode" | "pdf417" | "azteccode";

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
  return `<img src="data:image/png;base64,${png.toString("base64")}" style="position:absolute;${style}"/>`;
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

/**
 * Drawn on a canvas, not captured from the screen: a busy machine refuses to capture twelve megapixels.
 * The canvas takes the page as an SVG, so what lies on it must be well-formed XML.
 */
async function photo(
  browser: Browser,
  inside: string,
  size: { width: number; height: number },
  ground: string,
): Promise<Picture> {
  const { width, height } = size;
  const body = `<body xmlns="http://www.w3.org/1999/xhtml" style="margin:0;background:${ground};width:${width}px;height:${height}px;position:relative;overflow:hidden">${inside}</body>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%">${body}</foreignObject></svg>`;
  const page = await browser.newPage();
  const url = await page.evaluate(
    async ({ width, height, source, grain }) => {
      const image = new Image();
      image.src = source;
      await image.decode();
      const canvas = document.createElement("canvas");
      canvas.width = width;
      canvas.height = height;
      const context = canvas.getContext("2d");
      if (!context) throw new Error("No canvas to draw on.");
      context.drawImage(image, 0, 0);
      const pixels = context.getImageData(0, 0, width, height);
      let state = 7;
      for (let at = 0; at < pixels.data.length; at += 4) {
        state = (state * 16_807) % 2_147_483_647;
        const more = ((state / 2_147_483_647) * 2 - 1) * grain;
        for (let color = 0; color < 3; color++) pixels.data[at + color] = (pixels.data[at + color] ?? 0) + more;
      }
      context.putImageData(pixels, 0, 0);
      return canvas.toDataURL("image/jpeg", 0.8);
    },
    { width, height, grain: GRAIN, source: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}` },
  );
  await page.close();
  const buffer = Buffer.from(url.slice(url.indexOf(",") + 1), "base64");
  return { name: "photo.jpg", mimeType: "image/jpeg", buffer };
}
