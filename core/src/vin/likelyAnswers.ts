/** Drives and transmissions, in the words of the vPIC data. */
export const DRIVES = [
  "FWD/Front-Wheel Drive",
  "AWD/All-Wheel Drive",
  "RWD/Rear-Wheel Drive",
  "4WD/4-Wheel Drive/4x4",
  "4x2",
] as const;
export const TRANSMISSIONS = [
  "Automatic",
  "Continuously Variable Transmission (CVT)",
  "Manual/Standard",
  "Dual-Clutch Transmission (DCT)",
] as const;

/** What is asked of a person about a car, the likely answers first. */
export interface LikelyAnswers {
  drives: string[];
  transmissions: string[];
}

interface Asked {
  bodyClass: string | null;
  year: number | null;
  /** Drives the data names for the model. */
  known: readonly string[];
}

/** The answers to "which drive, which transmission?", those first that a car of this body and year most often has. */
export function likelyAnswers({ bodyClass, year, known }: Asked): LikelyAnswers {
  const body = bodyClass?.toLowerCase() ?? "";
  const drives = /motorcycle|scooter|moped/.test(body)
    ? []
    : /pickup|truck|van|chassis|cutaway/.test(body)
      ? first(DRIVES, [...known, "4WD/4-Wheel Drive/4x4", "RWD/Rear-Wheel Drive", "4x2"])
      : /sport utility|multi-purpose|crossover/.test(body)
        ? first(DRIVES, [...known, "AWD/All-Wheel Drive", "FWD/Front-Wheel Drive"])
        : first(DRIVES, known);
  const transmissions = /motorcycle|scooter|moped/.test(body)
    ? first(TRANSMISSIONS, ["Manual/Standard"])
    : first(TRANSMISSIONS, year !== null && year < 1995 ? ["Automatic", "Manual/Standard"] : ["Automatic"]);
  return { drives, transmissions };
}

function first(all: readonly string[], likely: readonly string[]): string[] {
  return [...new Set([...likely, ...all])];
}
