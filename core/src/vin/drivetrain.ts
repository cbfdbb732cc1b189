/** How series and trim names give a drive away, with the words the data itself uses for it. */
const DRIVE_MARKS: readonly (readonly [RegExp, string])[] = [
  [/\b(AWD|4MATIC\+?|XDRIVE\w*|QUATTRO|ALL[- ]WHEEL)/i, "AWD/All-Wheel Drive"],
  [/\b(4WD|4X4|FOUR[- ]WHEEL|4-WHEEL)\b/i, "4WD/4-Wheel Drive/4x4"],
  [/\b(FWD|FRONT[- ]WHEEL)\b/i, "FWD/Front-Wheel Drive"],
  [/\b(RWD|REAR[- ]WHEEL DRIVE)\b/i, "RWD/Rear-Wheel Drive"],
  [/\b(4X2|2WD)\b/i, "4x2"],
];
const TRANSMISSION_MARKS: readonly (readonly [RegExp, string])[] = [
  [/\bCVT\b/i, "Continuously Variable Transmission (CVT)"],
  [/\b(DCT|DUAL[- ]CLUTCH)\b/i, "Dual-Clutch Transmission (DCT)"],
  [/\b([5-7]MT|M\/T|MANUAL TRANS\w*)\b/i, "Manual/Standard"],
  [/\b([4-9]AT|10AT|A\/T|AUTOMATIC TRANS\w*)\b/i, "Automatic"],
];

/** The drive, where series or trim name exactly one; null where they name none or contradict. */
export function driveFromNames(...names: (string | null)[]): string | null {
  return only(DRIVE_MARKS, names);
}

/** The transmission, where series or trim name exactly one; null where they name none or contradict. */
export function transmissionFromNames(...names: (string | null)[]): string | null {
  return only(TRANSMISSION_MARKS, names);
}

function only(marks: readonly (readonly [RegExp, string])[], names: (string | null)[]): string | null {
  const text = names.filter((name) => name !== null).join(" ");
  const found = marks.filter(([mark]) => mark.test(text));
  return found.length === 1 ? (found[0]?.[1] ?? null) : null;
}
