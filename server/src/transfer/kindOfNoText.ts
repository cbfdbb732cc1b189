/** What files that are no text begin with. */
const BEGINNINGS: readonly (readonly [string, number[]])[] = [
  ["a spreadsheet or an archive", [0x50, 0x4b, 0x03, 0x04]],
  ["a spreadsheet of an old kind", [0xd0, 0xcf, 0x11, 0xe0]],
  ["a PDF", [0x25, 0x50, 0x44, 0x46, 0x2d]],
  ["a picture", [0xff, 0xd8, 0xff]],
  ["a picture", [0x89, 0x50, 0x4e, 0x47]],
  ["a picture", [0x47, 0x49, 0x46, 0x38]],
  ["a picture", [0x52, 0x49, 0x46, 0x46]],
  ["an archive", [0x1f, 0x8b]],
];
const LOOKED_AT = 65_536;
/** A stray zero byte is left out; a file with more of them is no text. */
const MOST_ZERO_SHARE = 0.002;

/** What a file is that is no text, in words for who sent it; null for one that may be read. */
export function kindOfNoText(bytes: Buffer): string | null {
  const known = BEGINNINGS.find(([, beginning]) => bytes.subarray(0, beginning.length).equals(Buffer.from(beginning)));
  if (known) return known[0];
  const part = bytes.subarray(0, LOOKED_AT);
  const zeros = [...part.keys()].filter((at) => part[at] === 0);
  if (zeros.length <= part.length * MOST_ZERO_SHARE) return null;
  // Text of two bytes a letter has its zeros on one side, with or without its mark.
  const odd = zeros.filter((at) => at % 2 === 1).length;
  return Math.min(odd, zeros.length - odd) <= zeros.length * 0.05 ? null : "no text";
}
