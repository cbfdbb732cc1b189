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
  if (isUtf8(bytes)) return "utf-8";
  const [best] = analyse(bytes.subarray(0, SAMPLE_BYTES));
  return (best && KNOWN[best.name] !== "utf-8" ? KNOWN[best.name] : undefined) ?? FALLBACK;
}

/** A file's text; the mark of the encoding at its beginning is left off. */
export function textOf(bytes: Buffer, encoding: string): string {
  return decode(bytes, encoding).replace(/^\uFEFF/, "");
}

function isUtf8(bytes: Buffer): boolean {
  try {
    new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}
