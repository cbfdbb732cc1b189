/** How the passenger plates of a state or province read today and some years back: A is a letter, 0 a digit. */
const PATTERNS: Readonly<Record<string, readonly string[]>> = {
  AK: ["AAA000"],
  AZ: ["AAA0A0A", "AAA0000"],
  BC: ["AA000A", "AAA00A", "000AAA", "AAA000"],
  CA: ["0AAA000", "0A00000"],
  CO: ["AAAA00", "AAA000", "000AAA"],
  FL: ["AAAA00", "AAAA000", "AA00AA", "000AAA"],
  ID: ["0A0000A", "0A00000", "0A000000", "A000000"],
  IL: ["AA00000", "A000000"],
  MT: ["000000A", "0000000", "00000AA"],
  NM: ["AAAA00", "000AAA", "AAA000"],
  NV: ["00A000", "000A00", "000AAA"],
  NY: ["AAA0000"],
  OR: ["000AAA", "AAA000"],
  TX: ["AAA0000", "AA0A000"],
  UT: ["A000AA", "A00AA", "0A0AA", "000AAA"],
  WA: ["AAA0000", "000AAA"],
  WY: ["000000", "00000AA"],
};

/** Each as it may be misread, and only where a plate needs the other kind of sign. */
const AS_DIGIT: Readonly<Record<string, string>> = { O: "0", Q: "0", D: "0", I: "1", L: "1", Z: "2", A: "4", S: "5", G: "6", T: "7", B: "8" }; // prettier-ignore
const AS_LETTER: Readonly<Record<string, string>> = { "0": "O", "1": "I", "2": "Z", "4": "A", "5": "S", "6": "G", "7": "T", "8": "B" }; // prettier-ignore

/** Whether a plate reads as the plates of its state do; null where how they read is not known here. */
export function fitsPlatePattern(plate: string, region: string): boolean | null {
  const patterns = PATTERNS[region];
  return patterns ? patterns.includes(shapeOf(plate)) : null;
}

/**
 * What a reading may be when a state's plates read otherwise: look-alike letters and digits put right.
 * @example
 * asPlatesOf("FRYS083", "WA") //=> ["FRY5083"]
 */
export function asPlatesOf(read: string, region: string): string[] {
  return (PATTERNS[region] ?? []).flatMap((pattern) => {
    if (pattern.length !== read.length) return [];
    const signs = [...read].map((sign, index) => {
      if (pattern[index] === "A") return /[A-Z]/.test(sign) ? sign : AS_LETTER[sign];
      return /\d/.test(sign) ? sign : AS_DIGIT[sign];
    });
    return signs.includes(undefined) || signs.join("") === read ? [] : [signs.join("")];
  });
}

/** Whether a state's plates may have so many signs; true where that is not known here. @param length - signs without gaps. */
export function hasPlateLength(length: number, region: string): boolean {
  const patterns = PATTERNS[region];
  return patterns === undefined || patterns.some((pattern) => pattern.length === length);
}

function shapeOf(plate: string): string {
  return [...plate].map((sign) => (/\d/.test(sign) ? "0" : "A")).join("");
}
