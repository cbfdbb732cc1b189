const NEWLINE = 10;

/** Lines of text, found once and decoded only when asked for. */
export class LineTable {
  private readonly starts: Uint32Array;
  private readonly decoder = new TextDecoder();
  readonly length: number;

  constructor(private readonly bytes: Uint8Array) {
    let count = bytes.length === 0 ? 0 : 1;
    for (let index = 0; index < bytes.length; index++) if (bytes[index] === NEWLINE) count++;
    const starts = new Uint32Array(count + 1);
    let line = 1;
    for (let index = 0; index < bytes.length; index++) if (bytes[index] === NEWLINE) starts[line++] = index + 1;
    starts[count] = bytes.length + 1;
    this.starts = starts;
    this.length = count;
  }

  /** One line; undefined beyond the last. */
  get(line: number): string | undefined {
    const start = this.starts[line];
    const end = this.starts[line + 1];
    if (start === undefined || end === undefined) return undefined;
    return this.decoder.decode(this.bytes.subarray(start, end - 1));
  }
}
