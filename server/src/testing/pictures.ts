/** A small gray JPEG, as a camera would make it. */
const SMALL_JPEG =
  "/9j/2wBDABQODxIPDRQSEBIXFRQYHjIhHhwcHj0sLiQySUBMS0dARkVQWnNiUFVtVkVGZIhlbXd7gYKBTmCNl4x9lnN+gXz/2wBDARUXFx4aHjshITt8U0ZTfHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHz/wAARCAADAAQDASIAAhEBAxEB/8QAFAABAAAAAAAAAAAAAAAAAAAAAP/EABQQAQAAAAAAAAAAAAAAAAAAAAD/xAAUAQEAAAAAAAAAAAAAAAAAAAAC/8QAFBEBAAAAAAAAAAAAAAAAAAAAAP/aAAwDAQACEQMRAD8AACT/2Q==";

export function jpegOf(): Buffer {
  return Buffer.from(SMALL_JPEG, "base64");
}

/** A JPEG as far as its header tells: so many pixels wide and high, and nothing to see. */
export function jpegHeader(width: number, height: number): Buffer {
  const size = Buffer.alloc(4);
  size.writeUInt16BE(height, 0);
  size.writeUInt16BE(width, 2);
  return Buffer.concat([
    Buffer.from("ffd8ffe000104a46494600010100000100010000ffc0001108", "hex"),
    size,
    Buffer.from("03012200021101031101ffd9", "hex"),
  ]);
}

/** A PNG of the same kind. */
export function pngHeader(width = 4, height = 3): Buffer {
  const size = Buffer.alloc(8);
  size.writeUInt32BE(width, 0);
  size.writeUInt32BE(height, 4);
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a0000000d49484452", "hex"),
    size,
    Buffer.from("0806000000000000000000000049454e44ae426082", "hex"),
  ]);
}

/** A clip as far as its boxes tell: so many seconds, with where it was taken in it. */
export function clipOf(seconds = 5): Buffer {
  const box = (type: string, ...content: Buffer[]): Buffer => {
    const size = Buffer.alloc(4);
    size.writeUInt32BE(8 + content.reduce((sum, each) => sum + each.length, 0));
    return Buffer.concat([size, Buffer.from(type, "latin1"), ...content]);
  };
  const header = Buffer.alloc(100);
  header.writeUInt32BE(1000, 12);
  header.writeUInt32BE(Math.round(seconds * 1000), 16);
  const place = box("udta", box("\u00a9xyz", Buffer.from("\0\u0012\u0015\u00c7+48.0378-122.6049/", "latin1")));
  return Buffer.concat([
    box("ftyp", Buffer.from("isom\0\0\0\0isommp42", "latin1")),
    box("moov", box("mvhd", header), place),
    box("mdat", Buffer.alloc(400, 7)),
  ]);
}
