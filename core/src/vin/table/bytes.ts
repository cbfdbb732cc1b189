/** Appends numbers as LEB128 varints and text as sections; the counterpart of {@link ByteReader}. */
export class ByteWriter {
  private readonly bytes: number[] = [];

  varint(value: number): void {
    if (!Number.isInteger(value) || value < 0)
      throw new RangeError(`varint must be a whole number from 0, got ${value}`);
    let rest = value;
    while (rest > 127) {
      this.bytes.push((rest & 127) | 128);
      rest >>>= 7;
    }
    this.bytes.push(rest);
  }

  section(bytes: Uint8Array): void {
    this.varint(bytes.length);
    for (const byte of bytes) this.bytes.push(byte);
  }

  text(lines: readonly string[]): void {
    this.section(new TextEncoder().encode(lines.join("\n")));
  }

  toBytes(): Uint8Array {
    return Uint8Array.from(this.bytes);
  }
}

/** Reads what {@link ByteWriter} wrote, in the same order. */
export class ByteReader {
  private offset = 0;

  constructor(private readonly bytes: Uint8Array) {}

  varint(): number {
    let value = 0;
    let shift = 0;
    for (;;) {
      const byte = this.bytes[this.offset++];
      if (byte === undefined) throw new RangeError("VIN table ends in the middle of a number");
      value |= (byte & 127) << shift;
      if (byte < 128) return value >>> 0;
      shift += 7;
    }
  }

  section(): Uint8Array {
    const length = this.varint();
    const end = this.offset + length;
    if (end > this.bytes.length) throw new RangeError("VIN table ends in the middle of a section");
    const part = this.bytes.subarray(this.offset, end);
    this.offset = end;
    return part;
  }
}
