/** A JPEG as far as its header tells: so many pixels wide and high, and nothing to see. */
export function jpegOf(width = 4, height = 3): Buffer {
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
export function pngOf(width = 4, height = 3): Buffer {
  const size = Buffer.alloc(8);
  size.writeUInt32BE(width, 0);
  size.writeUInt32BE(height, 4);
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a0000000d49484452", "hex"),
    size,
    Buffer.from("0806000000000000000000000049454e44ae426082", "hex"),
  ]);
}
