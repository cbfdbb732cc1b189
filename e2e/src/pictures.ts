import { crc32, deflateSync } from "node:zlib";
import bwip from "bwip-js/node";
import type { Browser } from "playwright-core";

/** Pictures as a phone would take them: codes by a standard generator, text set and turned, with noise over all. */
export interface Picture {
  name: string;
  mimeType: string;
  buffer: Buffer;
}

/** A 12-megapixel photo; what lies on it is placed on this ground, whatever the photo's size. */
const PHOTO = { width: 4000, height: 3000 };
/** Drawing, packing and reading twelve megapixels takes seconds; what does not hang on them does with a quarter. */
const SMALL = 0.5;
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
  size: "whole" | "small" = "small",
): Promise<Picture> {
  const images = await Promise.all(codes.map(({ code, text, style }) => codeImage(code, text, style)));
  const scale = size === "whole" ? 1 : SMALL;
  const inside = `<div style="transform:scale(${scale});transform-origin:0 0">${images.join("")}</div>`;
  return photo(browser, inside, { width: PHOTO.width * scale, height: PHOTO.height * scale }, ground);
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

/** A picture of two colors, made here so that no binary is kept. */
export function tinyPng(side = 64): Buffer {
  const rows = Buffer.concat(
    Array.from({ length: side }, (_, y) =>
      Buffer.from([0, ...Array.from({ length: side * 3 }, (_unused, x) => (y > side / 2 ? 90 : 30 + (x % 120)))]),
    ),
  );
  const chunk = (type: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length, 0);
    body.copy(out, 4);
    out.writeUInt32BE(crc32(body) >>> 0, body.length + 4);
    return out;
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(side, 0);
  header.writeUInt32BE(side, 4);
  header.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk("IHDR", header),
    chunk("IDAT", deflateSync(rows)),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

/** A PNG whose header claims so many pixels on each side, with nothing behind it. */
export function claimsToBe(side: number): Buffer {
  const png = Buffer.from(tinyPng());
  png.writeUInt32BE(side, 16);
  png.writeUInt32BE(side, 20);
  return png;
}

/** A clip of a second, as a browser records it. */
export async function clipFile(browser: Browser): Promise<Picture> {
  const page = await browser.newPage();
  try {
    const base64 = await page.evaluate(async () => {
      const canvas = document.createElement("canvas");
      [canvas.width, canvas.height] = [320, 240];
      const drawing = canvas.getContext("2d");
      const recorder = new MediaRecorder(canvas.captureStream(10), { mimeType: "video/webm" });
      const parts: Blob[] = [];
      recorder.ondataavailable = ({ data }) => parts.push(data);
      const isOver = new Promise((done) => (recorder.onstop = done));
      recorder.start();
      for (let frame = 0; frame < 12; frame++) {
        if (drawing) drawing.fillStyle = `rgb(${frame * 20} 128 128)`;
        drawing?.fillRect(0, 0, 320, 240);
        await new Promise((done) => setTimeout(done, 90));
      }
      recorder.stop();
      await isOver;
      const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
      let text = "";
      for (const byte of bytes) text += String.fromCharCode(byte);
      return btoa(text);
    });
    return { name: "pads.webm", mimeType: "video/webm", buffer: Buffer.from(base64, "base64") };
  } finally {
    await page.close();
  }
}
