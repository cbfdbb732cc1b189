import { expose } from "comlink";
import { evenLight, stretchContrast, textAngle } from "@mechanon/core/vin";
import { prepareZXingModule, readBarcodes, type ReaderOptions } from "zxing-wasm/reader";

declare const BARCODE_WASM_URL: string;

prepareZXingModule({ overrides: { locateFile: () => BARCODE_WASM_URL } });

/** The codes VINs are printed in. */
const ALL: ReaderOptions = {
  formats: ["Code39", "Code128", "DataMatrix", "QRCode"],
  tryHarder: true,
  tryRotate: true,
  tryInvert: true,
  tryDownscale: true,
  maxNumberOfSymbols: 8,
};
/** Codes of squares are found at any angle; only those of bars need the picture turned. */
const BARS: ReaderOptions = { ...ALL, formats: ["Code39", "Code128"], tryDownscale: false };

/** A code in a picture: what it says, and in which kind of code. */
export interface FoundCode {
  text: string;
  format: string;
}

async function read(image: ImageData, options: ReaderOptions): Promise<FoundCode[]> {
  const found = await readBarcodes(image, options);
  return found.filter(({ isValid }) => isValid).map(({ text, format }) => ({ text, format }));
}

/** Longest side a picture is looked at first; then as it is. */
const FIRST_SIDE = 1600;

const UPRIGHT: Turn = { degrees: 0, mirrored: false };
const turned = (degrees: number): Turn => ({ degrees, mirrored: false });

/** One look at a picture: made small, with its light made even, or whole. */
interface Try {
  of: "small" | "even" | "whole";
  turn: Turn;
  options: ReaderOptions;
}
const askew = (degrees: number): Try => ({ of: "small", turn: turned(degrees), options: BARS });

/** How a picture is looked at when its code does not fill the frame upright: a little askew, as phones are held. */
const QUICK_TRIES: readonly Try[] = [15, -15].map(askew);

/**
 * Then made level, in even light, whole, which takes longest, turned further, and mirrored, until something is found.
 *
 * @param leans - how far the label is askew, in degrees clockwise, as far as each of the two shows it.
 */
function thoroughTries(leans: { small: number; even: number }): readonly Try[] {
  return [
    askew(-leans.small),
    { of: "even", turn: UPRIGHT, options: ALL },
    { of: "even", turn: turned(-leans.even), options: BARS },
    { of: "whole", turn: UPRIGHT, options: ALL },
    { of: "whole", turn: turned(-leans.small), options: BARS },
    ...[15, -15, 30, -30, 45].map(askew),
    { of: "small", turn: { degrees: 0, mirrored: true }, options: ALL },
  ];
}

/** Bars are narrower than this part of a picture's longest side, shadows wider. */
const LIGHT_REACH = 1 / 32;

/** The codes in a picture. @param care - `quick` for a camera's, since the next is soon there. */
async function readPicture(picture: ImageBitmap, care: "quick" | "thorough"): Promise<FoundCode[]> {
  const scale = Math.min(1, FIRST_SIDE / Math.max(picture.width, picture.height));
  try {
    // Made small once: turning millions of pixels again and again takes longer than looking for codes.
    const [small, upright] = draw(picture, scale, UPRIGHT);
    const atFirst = await read(upright, ALL);
    if (atFirst.length > 0) return atFirst;
    // Only now, since it takes time and a dim code is the exception.
    stretchContrast(upright.data);
    small.getContext("2d")?.putImageData(upright, 0, 0);
    if (care === "quick") return await firstOf(QUICK_TRIES, { small, even: small, whole: small });
    const [even, lit] = draw(small, 1, UPRIGHT);
    evenLight(lit.data, lit.width, lit.height, Math.round(Math.max(lit.width, lit.height) * LIGHT_REACH));
    even.getContext("2d")?.putImageData(lit, 0, 0);
    const tries = thoroughTries({ small: leanOf(small), even: leanOf(even) });
    return await firstOf(
      tries.filter(({ of }) => of !== "whole" || scale < 1),
      { small, even, whole: picture },
    );
  } finally {
    picture.close();
  }
}

/** The codes of the first look that shows any. */
async function firstOf(
  tries: readonly Try[],
  pictures: Readonly<Record<Try["of"], ImageBitmap | OffscreenCanvas>>,
): Promise<FoundCode[]> {
  for (const { of, turn, options } of tries) {
    const found = await read(draw(pictures[of], 1, turn)[1], options);
    if (found.length > 0) return found;
  }
  return [];
}

/** How a picture is turned before it is looked at. */
export interface Turn {
  degrees: number;
  mirrored: boolean;
}

/** Draws a picture smaller, turned or mirrored. */
function draw(
  picture: ImageBitmap | OffscreenCanvas,
  scale: number,
  { degrees, mirrored }: Turn,
): [OffscreenCanvas, ImageData] {
  const angle = (degrees * Math.PI) / 180;
  const [wide, high] = [picture.width * scale, picture.height * scale];
  const [sin, cos] = [Math.abs(Math.sin(angle)), Math.abs(Math.cos(angle))];
  const width = Math.max(1, Math.round(wide * cos + high * sin));
  const height = Math.max(1, Math.round(wide * sin + high * cos));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("this browser gives no canvas to a worker");
  // Averaging over what is left out takes the noise of a dark photo away.
  context.imageSmoothingQuality = "high";
  context.fillStyle = "#808080";
  context.fillRect(0, 0, width, height);
  context.translate(width / 2, height / 2);
  context.rotate(angle);
  context.scale(mirrored ? -1 : 1, 1);
  context.drawImage(picture, -wide / 2, -high / 2, wide, high);
  return [canvas, context.getImageData(0, 0, width, height)];
}

/** Text is read best at about this size. */
const TEXT_SIDE = 1600;

/** A picture made ready for reading text: of a good size, turned, gray, with full contrast. */
async function prepareForText(picture: ImageBitmap, turn: Turn): Promise<Blob> {
  const [canvas, image] = draw(picture, TEXT_SIDE / Math.max(picture.width, picture.height), turn);
  picture.close();
  stretchContrast(image.data);
  canvas.getContext("2d")?.putImageData(image, 0, 0);
  return canvas.convertToBlob({ type: "image/png" });
}

/** A picture this wide still shows how its text lies. */
const ANGLE_SIDE = 500;

/** How far a label in a picture is askew, in degrees clockwise from -45 up to 45; the picture is given away. */
function angleOf(picture: ImageBitmap): number {
  const lean = leanOf(picture);
  picture.close();
  return lean;
}

function leanOf(picture: ImageBitmap | OffscreenCanvas): number {
  const [, { data, width, height }] = draw(picture, ANGLE_SIDE / Math.max(picture.width, picture.height), UPRIGHT);
  stretchContrast(data);
  const gray = new Uint8ClampedArray(width * height);
  for (let at = 0; at < gray.length; at++) gray[at] = data[at * 4] ?? 0;
  return textAngle(gray, width, height);
}

const api = { readPicture, angleOf, prepareForText };
export type PictureReader = typeof api;
expose(api);
