import { evenLight } from "./evenLight";
import { stretchContrast } from "./stretchContrast";
import { textAngle } from "./textAngle";

const [WIDTH, HEIGHT] = [480, 360];

/** A repeatable stream of numbers from 0 up to 1. */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
}

/** Lines of dark marks as wide as letters on light ground, turned clockwise about the middle, with noise. */
function turnedLines(degrees: number, noise = 20): Uint8ClampedArray {
  const radians = (degrees * Math.PI) / 180;
  const [sin, cos] = [Math.sin(radians), Math.cos(radians)];
  const next = chance(7);
  // Marks begin anywhere, as letters of different widths do.
  const marks = Array.from({ length: 18 }, () => Array.from({ length: 220 }, () => next() > 0.93));
  return Uint8ClampedArray.from({ length: WIDTH * HEIGHT }, (_, at) => {
    const [x, y] = [(at % WIDTH) - WIDTH / 2, Math.floor(at / WIDTH) - HEIGHT / 2];
    const [along, down] = [x * cos + y * sin, y * cos - x * sin];
    const line = Math.floor((down + 400) / 24);
    const isLine = line >= 15 && line <= 17 && (down + 400) % 24 < 12 && Math.abs(along) < 110;
    const place = Math.floor(along + 110);
    const isInk = isLine && [0, 1, 2, 3].some((back) => marks[line]?.[place - back] ?? false);
    return (isInk ? 60 : 200) + (next() - 0.5) * noise;
  });
}

describe("how far a label is askew", () => {
  it.each([-44, -30, -18, -13, -5, -1, 0, 2, 9, 18, 27, 40])("is found at %d degrees", (degrees) => {
    expect(Math.abs(textAngle(turnedLines(degrees), WIDTH, HEIGHT) - degrees)).toBeLessThanOrEqual(1);
  });
  it.each([
    [90, 0],
    [100, 10],
    [172, -8],
    [-112, -22],
  ])("is the same whichever side is up: %d degrees", (degrees, askew) => {
    expect(Math.abs(textAngle(turnedLines(degrees), WIDTH, HEIGHT) - askew)).toBeLessThanOrEqual(1);
  });
  it("is found under noise", () => {
    expect(Math.abs(textAngle(turnedLines(-11, 70), WIDTH, HEIGHT) + 11)).toBeLessThanOrEqual(1);
  });
  it("is nothing where nothing is to be seen", () => {
    expect(textAngle(new Uint8ClampedArray(WIDTH * HEIGHT).fill(128), WIDTH, HEIGHT)).toBe(0);
  });
});

describe("contrast", () => {
  const levels = (...gray: number[]): Uint8ClampedArray =>
    Uint8ClampedArray.from(gray.flatMap((one) => [one, one, one, 255]));
  it("of a dim picture reaches from dark to light", () => {
    const dim = levels(...Array.from({ length: 50 }, () => 20), ...Array.from({ length: 50 }, () => 60));
    stretchContrast(dim);
    expect([dim[0], dim.at(-4)]).toEqual([0, 255]);
  });
  it("leaves single glints out, keeps opacity, and makes colors gray", () => {
    const pixels = levels(...Array.from({ length: 199 }, (_, index) => (index % 2 ? 100 : 140)), 255);
    pixels.set([255, 0, 0, 255], 0);
    stretchContrast(pixels);
    expect([pixels[4 * 1], pixels[4 * 2]]).toEqual([0, 255]);
    expect(pixels.slice(0, 3)).toEqual(new Uint8ClampedArray(3).fill(pixels[0] ?? 0));
    expect(pixels[3]).toBe(255);
  });
  it("of a picture of one level is left alone", () => {
    const flat = levels(90, 90, 90, 90);
    stretchContrast(flat);
    expect(new Set(flat.filter((_, at) => at % 4 !== 3)).size).toBe(1);
  });
});

describe("even light", () => {
  const [width, height, reach] = [120, 60, 12];
  /** Stripes four pixels wide, five levels around a ground that goes from dark to light; noise of a level either way. */
  const stripes = (contrast: number): Uint8ClampedArray => {
    const next = chance(11);
    const pixels = new Uint8ClampedArray(width * height * 4);
    for (let at = 0; at < width * height; at++) {
      const x = at % width;
      const level = 20 + 200 * (x / width) + (Math.floor(x / 4) % 2 === 0 ? contrast : -contrast) + (next() - 0.5) * 2;
      pixels.set([level, level, level, 255], at * 4);
    }
    return pixels;
  };
  const levelsAt = (pixels: Uint8ClampedArray, place: number): number[] =>
    Array.from({ length: width / 8 }, (_, pair) => pixels[((height / 2) * width + pair * 8 + place) * 4] ?? 0).slice(
      2,
      -2,
    );
  it("tells light from dark stripes by one level, in the shadow and in the sun", () => {
    const pixels = stripes(25);
    expect(Math.min(...levelsAt(pixels, 2))).toBeLessThan(Math.max(...levelsAt(pixels, 6)));
    evenLight(pixels, width, height, reach);
    expect(Math.min(...levelsAt(pixels, 2))).toBeGreaterThan(150);
    expect(Math.max(...levelsAt(pixels, 6))).toBeLessThan(106);
  });
  it("leaves a plain ground plain, and opacity as it is", () => {
    const pixels = new Uint8ClampedArray(width * height * 4).fill(90);
    evenLight(pixels, width, height, reach);
    expect(new Set(pixels)).toEqual(new Set([128, 90]));
  });
});
