import { analyse } from "chardet";
import { decode } from "iconv-lite";

/** Encodings a file of customers is met in; others are taken for the nearest of these. */
const KNOWN: Readonly<Record<string, string>> = {
  "UTF-8": "utf-8",
  ASCII: "utf-8",
  "UTF-16LE": "utf-16le",
  "UTF-16BE": "utf-16be",
  "ISO-8859-2": "iso-8859-2",
  "windows-1250": "windows-1250",
};
/** What programs of the western world write when it is not UTF-8. */
const FALLBACK = "windows-1252";
const SAMPLE_BYTES = 200_000;

/** Which encoding a file likely is in: UTF-8 when it is valid as such, else what its letters look like. */
export function guessEncoding(bytes: Buffer): string {
  if (bytes.subarray(0, 2).equals(Buffer.from([0xff, 0xfe]))) return "utf-16le";
  if (bytes.subarray(0, 2).equals(Buffer.from([0xfe, 0xff]))) return "utf-16be";
  const [even, odd] = zerosOn(bytes.subarray(0, SAMPLE_BYTES));
  if (odd > Math.min(bytes.length, SAMPLE_BYTES) / 8 && odd > even * 8) return "utf-16le";
  if (even > Math.min(bytes.length, SAMPLE_BYTES) / 8 && even > odd * 8) return "utf-16be";
  if (isUtf8(bytes)) return "utf-8";
  const [best] = analyse(bytes.subarray(0, SAMPLE_BYTES));
  return (best && KNOWN[best.name] !== "utf-8" ? KNOWN[best.name] : undefined) ?? FALLBACK;
}

/** A file's text, without the mark of the encoding at its beginning and without zero bytes, which no text has. */
export function textOf(bytes: Buffer, encoding: string): string {
  return decode(bytes, encoding)
    .replace(/^\uFEFF/, "")
    .replace(/\0/g, "");
}

/** How many zero bytes stand on even and on odd places: text of two bytes a letter has them on one side. */
function zerosOn(bytes: Buffer): [even: number, odd: number] {
  const count: [number, number] = [0, 0];
  for (let at = 0; at < bytes.length; at++) if (bytes[at] === 0) count[at % 2 === 0 ? 0 : 1] += 1;
  return count;
}

function isUtf8(bytes: Buffer): boolean {
  try {
    new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}
