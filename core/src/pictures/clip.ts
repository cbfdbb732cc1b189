/** Boxes that hold what a clip's maker, owner and place were. @see ISO/IEC 14496-12, 8.10 and 8.11 */
const TELLING = new Set(["udta", "meta", "uuid"]);
/** Boxes that hold others. */
const NESTED = new Set(["moov", "trak", "mdia", "moof", "traf"]);
const FREE = [0x66, 0x72, 0x65, 0x65];

interface Box {
  type: string;
  /** Of its own content, in bytes from the file's start. */
  from: number;
  to: number;
  /** Where its type stands. */
  typeAt: number;
}

function* boxesOf(bytes: Uint8Array, start: number, end: number): Generator<Box> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = start; at + 8 <= end;) {
    let size = view.getUint32(at);
    let header = 8;
    if (size === 1 && at + 16 <= end) {
      // A size beyond four bytes stands behind the type.
      size = view.getUint32(at + 8) * 2 ** 32 + view.getUint32(at + 12);
      header = 16;
    }
    const to = size === 0 ? end : at + size;
    if (to > end || to < at + header) return;
    yield { type: String.fromCharCode(...bytes.subarray(at + 4, at + 8)), from: at + header, to, typeAt: at + 4 };
    at = to;
  }
}

/** Whether bytes are a clip of the MP4 family. */
export function isMp4(bytes: Uint8Array): boolean {
  return String.fromCharCode(...bytes.subarray(4, 8)) === "ftyp" && !isStill(bytes);
}

/** A still picture in the same kind of boxes, as some phones make them: HEIC, AVIF. */
export function isStill(bytes: Uint8Array): boolean {
  return /^ftyp(hei|hev|mif1|msf1|avi[fs])/.test(String.fromCharCode(...bytes.subarray(4, 12)));
}

/**
 * A clip without place, device and maker: what tells of them becomes free space, so that nothing moves.
 *
 * @param bytes - of an MP4 or QuickTime file; anything else comes back as it is.
 * @returns a copy.
 * @see ISO/IEC 14496-12
 */
export function stripClip(bytes: Uint8Array): Uint8Array<ArrayBuffer> {
  const stripped = new Uint8Array(bytes);
  if (isMp4(bytes)) strip(stripped, 0, stripped.length);
  return stripped;
}

function strip(bytes: Uint8Array, from: number, to: number): void {
  for (const box of boxesOf(bytes, from, to)) {
    if (TELLING.has(box.type)) {
      bytes.set(FREE, box.typeAt);
      bytes.fill(0, box.from, box.to);
    } else if (NESTED.has(box.type)) strip(bytes, box.from, box.to);
  }
}

/** How long a clip is, in seconds; null: it does not say. */
export function clipSeconds(bytes: Uint8Array): number | null {
  if (!isMp4(bytes)) return null;
  const moov = [...boxesOf(bytes, 0, bytes.length)].find(({ type }) => type === "moov");
  const mvhd = moov && [...boxesOf(bytes, moov.from, moov.to)].find(({ type }) => type === "mvhd");
  if (!mvhd || mvhd.to - mvhd.from < 32) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset + mvhd.from, mvhd.to - mvhd.from);
  const isLong = view.getUint8(0) === 1;
  const scale = view.getUint32(isLong ? 20 : 12);
  const units = isLong ? view.getUint32(24) * 2 ** 32 + view.getUint32(28) : view.getUint32(16);
  return scale === 0 ? null : units / scale;
}
