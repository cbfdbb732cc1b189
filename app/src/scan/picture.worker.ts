import { expose } from "comlink";
import { evenLight, stretchContrast, textAngle } from "@mechanon/core/vin";
import { prepareZXingModule, readBarcodes, type ReaderOptions } from "zxing-wasm/reader";

declare const BARCODE_WASM_URL: string;

prepareZXingModule({ overrides: { locateFile: () => BARCODE_WASM_URL } });

/** The codes VINs are printed in, on cars and on their papers. */
const ALL: ReaderOptions = {
  formats: ["Code39", "Code128", "DataMatrix", "QRCode", "PDF417", "Aztec"],
  tryHarder: true,
  tryRotate: true,
  tryInvert: true,
  tryDownscale: true,
  maxNumberOfSymbols: 8,
};
/** Codes of squares are found at any angle; only those of bars need the picture turned. */
const BARS: ReaderOptions = { ...ALL, formats: ["Code39", "Code128", "PDF417"], tryInvert: false, tryDownscale: false };

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

/** One look at a picture. */
interface Try {
  of: ImageBitmap | OffscreenCanvas;
  turn: Turn;
  options: ReaderOptions;
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
    for (const { of, turn, options } of care === "quick" ? quickTries(small) : thoroughTries(picture, small)) {
      const found = await read(draw(of, 1, turn)[1], options);
      if (found.length > 0) return found;
    }
    return [];
  } finally {
    picture.close();
  }
}

/** How a picture is looked at when its code does not lie upright: a little askew, as phones are held. */
function quickTries(small: OffscreenCanvas): Try[] {
  return [15, -15].map((degrees) => ({ of: small, turn: turned(degrees), options: BARS }));
}

/** Made level, whole, in even light, turned further, and mirrored, until something is found; each is made when its turn comes. */
function* thoroughTries(picture: ImageBitmap, small: OffscreenCanvas): Generator<Try> {
  const lean = leanOf(small);
  yield { of: small, turn: turned(-lean), options: BARS };
  const even = inEvenLight(small);
  yield { of: even, turn: turned(-leanOf(even)), options: BARS };
  const isSmaller = small.width < picture.width;
  if (isSmaller) yield { of: picture, turn: UPRIGHT, options: BARS };
  yield { of: even, turn: UPRIGHT, options: ALL };
  if (isSmaller) yield { of: picture, turn: UPRIGHT, options: ALL };
  if (isSmaller) yield { of: picture, turn: turned(-lean), options: BARS };
  for (const degrees of [15, -15, 30, -30, 45]) yield { of: small, turn: turned(degrees), options: BARS };
  yield { of: small, turn: { degrees: 0, mirrored: true }, options: ALL };
}

function inEvenLight(picture: OffscreenCanvas): OffscreenCanvas {
  const [canvas, image] = draw(picture, 1, UPRIGHT);
  evenLight(image.data, image.width, image.height, Math.round(Math.max(image.width, image.height) * LIGHT_REACH));
  canvas.getContext("2d")?.putImageData(image, 0, 0);
  return canvas;
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

/** A picture made ready for reading text: its longest side so many pixels, turned, gray, with full contrast. */
async function prepareForText(picture: ImageBitmap, turn: Turn, side: number): Promise<Blob> {
  const [canvas, image] = draw(picture, side / Math.max(picture.width, picture.height), turn);
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
