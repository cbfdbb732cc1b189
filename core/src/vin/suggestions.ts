import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "./checkDigit";
import { VIN_CHARACTERS } from "./table/keyMatcher";

export interface VinChange {
  /** 1-based place in the VIN. */
  position: number;
  from: string;
  to: string;
}
export interface VinSuggestion {
  vin: string;
  changes: VinChange[];
}

/** Characters read for one another, the likeliest mix-ups first. */
const LOOK_ALIKES = ["1I", "0OQ", "S5", "B8", "Z2", "G6", "0D", "UV"] as const;
const MOST_SUGGESTIONS = 8;

interface Candidate extends VinSuggestion {
  /** Lower is likelier. */
  rank: number;
}

/**
 * VINs that were probably meant, likeliest first: look-alike characters and swapped neighbors put right. Characters no
 * VIN has are always replaced; after that one more slip is tried, and two only where one explains nothing.
 *
 * @param vin - cleaned; only one of 17 characters gets suggestions.
 * @param judge - how well a candidate decodes: null when its maker is unknown, else a number, higher is better.
 */
export function suggestVins(vin: string, judge: (candidate: string) => number | null): VinSuggestion[] {
  if (vin.length !== 17) return [];
  const starts = replaceIllegal({ vin, changes: [], rank: 0 });
  const sound = (candidates: Candidate[]): Candidate[] => {
    const seen = new Map<string, Candidate>();
    for (const candidate of candidates) {
      if (candidate.vin === vin || candidate.vin.charAt(CHECK_DIGIT_INDEX) !== expectedCheckDigit(candidate.vin))
        continue;
      const known = seen.get(candidate.vin);
      if (!known || candidate.rank < known.rank) seen.set(candidate.vin, candidate);
    }
    return [...seen.values()].flatMap((candidate) => {
      const quality = judge(candidate.vin);
      return quality === null ? [] : [{ ...candidate, rank: candidate.rank - quality * QUALITY_STEP }];
    });
  };
  const once = starts.flatMap(oneSlip);
  let found = sound([...starts, ...once]);
  if (found.length === 0) found = sound(once.flatMap(oneSlip));
  return found
    .sort((a, b) => a.rank - b.rank || (a.vin < b.vin ? -1 : 1))
    .slice(0, MOST_SUGGESTIONS)
    .map(({ vin: meant, changes }) => ({ vin: meant, changes }));
}

const CHANGE_STEP = 1000;
const QUALITY_STEP = 300;
const SWAP_RANK = 50;

function replaceIllegal(start: Candidate): Candidate[] {
  let candidates = [start];
  for (let index = 0; index < 17; index++) {
    const character = start.vin.charAt(index);
    if (VIN_CHARACTERS.includes(character)) continue;
    candidates = candidates.flatMap((candidate) => substitutions(candidate, index, character));
    if (candidates.length === 0 || candidates.length > 512) return [];
  }
  return candidates;
}

function oneSlip(candidate: Candidate): Candidate[] {
  const slips: Candidate[] = [];
  for (let index = 0; index < 17; index++) {
    if (candidate.changes.some(({ position }) => position === index + 1)) continue;
    const character = candidate.vin.charAt(index);
    slips.push(...substitutions(candidate, index, character));
    const next = candidate.vin.charAt(index + 1);
    if (next !== "" && next !== character) {
      slips.push({
        vin: candidate.vin.slice(0, index) + next + character + candidate.vin.slice(index + 2),
        changes: [
          ...candidate.changes,
          { position: index + 1, from: character, to: next },
          { position: index + 2, from: next, to: character },
        ],
        rank: candidate.rank + CHANGE_STEP + SWAP_RANK,
      });
    }
  }
  return slips;
}

function substitutions(candidate: Candidate, index: number, character: string): Candidate[] {
  return LOOK_ALIKES.flatMap((group, likelihood) =>
    !group.includes(character) && !(character === "O" && group === "0D") && !(character === "Q" && group === "0D")
      ? []
      : [...group]
          .filter((other) => other !== character && VIN_CHARACTERS.includes(other))
          .map((other) => ({
            vin: candidate.vin.slice(0, index) + other + candidate.vin.slice(index + 1),
            changes: [...candidate.changes, { position: index + 1, from: character, to: other }],
            rank: candidate.rank + CHANGE_STEP + likelihood,
          })),
  );
}
