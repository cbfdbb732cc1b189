import {
  positionChoices,
  positionsFor,
  resolveOperation,
  showPositions,
  wordsOf,
  type CarFacts,
  type GuideOperation,
  type LaborGuide,
  type Position,
} from "@mechanon/core";

const MOST_SHOWN = 12;

/** An operation of the guide as it would be on this car. */
export interface GuideMatch {
  operation: GuideOperation;
  /** "1.2 h", or from-to while not all of the car is known; null: no hours, or nothing to do on this car. */
  hours: string | null;
  /** Where it can be done; empty: there is nothing to choose. */
  positions: { key: string; label: string; positions: Position[] }[];
}

/** Operations each typed word begins a word of: of their title, their part or their area. */
export function guideMatches(guide: LaborGuide | undefined, typed: string, facts: CarFacts): GuideMatch[] {
  const words = wordsOf(typed);
  if (!guide || words.length === 0) return [];
  return guide.operations
    .filter(({ title, part, area }) => {
      // The part is written in one word: brakePads.
      const written = wordsOf(`${title} ${part.replace(/([A-Z])/g, " $1")} ${area}`);
      return words.every((word) => written.some((each) => each.startsWith(word)));
    })
    .slice(0, MOST_SHOWN)
    .map((operation) => toMatch(guide, operation, facts));
}

function toMatch(guide: LaborGuide, operation: GuideOperation, facts: CarFacts): GuideMatch {
  const choices = positionChoices(positionsFor(operation.per));
  const one = choices.at(-1) ?? [];
  const resolved = resolveOperation(guide, operation.id, facts, one);
  const hours =
    resolved.kind !== "hours"
      ? null
      : resolved.hoursFrom < resolved.hours
        ? `${resolved.hoursFrom} to ${resolved.hours} h`
        : `${resolved.hours} h`;
  return {
    operation,
    hours: hours && one.length > 0 ? `${hours} each` : hours,
    positions: choices.map((positions) => ({ key: positions.join(), label: showPositions(positions), positions })),
  };
}
