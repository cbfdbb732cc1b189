import { clipSeconds, isMp4, isStill, stripClip } from "./clip";

const ascii = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));
const word = (value: number): number[] => [value >>> 24, (value >>> 16) & 255, (value >>> 8) & 255, value & 255];
const box = (type: string, content: number[]): number[] => [...word(8 + content.length), ...ascii(type), ...content];
const header = [...Array<number>(12).fill(0), ...word(600), ...word(9000), ...Array<number>(80).fill(0)];
const PLACE = "+48.0378-122.6049/";
const CLIP = new Uint8Array([
  ...box("ftyp", ascii("isom0000isom")),
  ...box("moov", [
    ...box("mvhd", header),
    ...box("trak", box("udta", ascii("shot by Maren"))),
    ...box("udta", box("loci", ascii(PLACE))),
  ]),
  ...box("mdat", ascii("the picture itself")),
]);
const textOf = (bytes: Uint8Array): string => String.fromCharCode(...bytes);

it("takes place and maker out and moves nothing", () => {
  const stripped = stripClip(CLIP);
  expect(textOf(CLIP)).toContain(PLACE);
  expect(textOf(stripped)).not.toMatch(/48\.0378|Maren/);
  expect(stripped).toHaveLength(CLIP.length);
  expect(textOf(stripped).indexOf("the picture itself")).toBe(textOf(CLIP).indexOf("the picture itself"));
  expect(stripClip(stripped)).toEqual(stripped);
});

it("knows how long it is, and what is none", () => {
  expect([clipSeconds(CLIP), clipSeconds(stripClip(CLIP))]).toEqual([15, 15]);
  const heic = new Uint8Array(box("ftyp", ascii("heic0000mif1")));
  expect([isMp4(CLIP), isMp4(heic), isStill(heic), isStill(CLIP)]).toEqual([true, false, true, false]);
  expect(clipSeconds(heic)).toBeNull();
  expect(stripClip(new Uint8Array([1, 2, 3]))).toEqual(new Uint8Array([1, 2, 3]));
});

it("is not led astray by sizes that lie", () => {
  const lies = new Uint8Array([...box("ftyp", ascii("isom0000isom")), ...word(0xffffffff), ...ascii("moov"), 1, 2]);
  expect(clipSeconds(lies)).toBeNull();
  expect(stripClip(lies)).toEqual(lies);
});
