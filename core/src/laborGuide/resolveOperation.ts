import { exact, fromTenThousandths } from "../exact/decimal";
import { factOf, holds, type CarFacts, type FactName } from "./carFacts";
import type { Condition, GuideOperation, GuideStep, LaborGuide } from "./guide";
import { VEHICLE_CLASSES, type VehicleClass } from "../vehicles/build";
import { POSITIONS, axleOf, positionsFor, type Position } from "./position";

/** A step as it is done on one car, at one position; done together with another operation that has it, it is paid once. */
export interface ResolvedStep {
  /** The step and where it is done: the same key is the same piece of work. */
  key: string;
  title: string;
  /** The most it can be while not all of the car is known. */
  hours: number;
  /** The least it can be. */
  hoursFrom: number;
}

/** What a guide says of an operation on a car. */
export type ResolvedOperation =
  | {
      kind: "hours";
      operation: GuideOperation;
      steps: ResolvedStep[];
      /** By itself; the most it can be while not all is known. */
      hours: number;
      /** The least it can be. */
      hoursFrom: number;
      /** What would make it exact. */
      unknown: FactName[];
    }
  /** There is nothing to do on this car. */
  | { kind: "doesNotApply"; operation: GuideOperation; because: Condition }
  /** The guide has no hours for vehicles of this class. */
  | { kind: "noHours"; operation: GuideOperation; vehicleClass: VehicleClass }
  | { kind: "notInGuide" };

/**
 * The steps and hours of an operation on a car, from-to until all that decides them is known.
 *
 * @param positions - which of those it can be done at; all others are of no account. One done at positions with none given is
 * not done anywhere: no hours.
 */
export function resolveOperation(
  guide: LaborGuide,
  operationId: string,
  facts: CarFacts,
  positions: readonly Position[],
): ResolvedOperation {
  const { operations, steps } = indexOf(guide);
  const operation = operations.get(operationId);
  if (!operation) return { kind: "notInGuide" };
  const because = operation.only.find((condition) => holds(condition, facts) === false);
  if (because) return { kind: "doesNotApply", operation, because };
  const unknown = new Set(operation.only.filter((each) => holds(each, facts) === null).map(factOf));
  const at = positionsOf(operation, positions);
  const times = operation.per === "cylinder" ? (facts.cylinders?.value ?? null) : 1;
  if (times === null) unknown.add("cylinders");
  const resolved: ResolvedStep[] = [];
  let most = 0n;
  let least = 0n;
  for (const id of operation.steps) {
    const step = steps.get(id);
    if (!step) continue;
    const one = hoursOnce(step, facts, unknown);
    if (one === null && facts.vehicleClass)
      return { kind: "noHours", operation, vehicleClass: facts.vehicleClass.value };
    const { from, to } = one ?? { from: 0n, to: 0n };
    const [fewest, mostTimes] = step.per === "count" ? [BigInt(times ?? FEWEST_CYLINDERS), BigInt(times ?? MOST_CYLINDERS)] : [1n, 1n]; // prettier-ignore
    for (const key of keysOf(step, at)) {
      least += from * fewest;
      most += to * mostTimes;
      resolved.push({
        key,
        title: step.title,
        hours: fromTenThousandths(to * mostTimes),
        hoursFrom: fromTenThousandths(from * fewest),
      });
    }
  }
  return {
    kind: "hours",
    operation,
    steps: resolved,
    hours: fromTenThousandths(most),
    hoursFrom: fromTenThousandths(least),
    unknown: [...unknown],
  };
}

/** What engines on the road have while this one's count is not known. */
const FEWEST_CYLINDERS = 3;
const MOST_CYLINDERS = 8;

/** Where an operation is done: where it was said, at both wheels of its axle, in front for what has no position of its own. */
function positionsOf({ per }: GuideOperation, positions: readonly Position[]): readonly Position[] {
  switch (per) {
    case "axle:rear":
      return ["leftRear", "rightRear"];
    case "axle:front":
    case "job":
    case "cylinder":
      return ["leftFront", "rightFront"];
    default:
      return positions.filter((position) => positionsFor(per).includes(position));
  }
}

/** Where work is done, by the keys of its steps; empty: nowhere in particular. */
export function positionsOfKeys(keys: readonly string[]): Position[] {
  return POSITIONS.filter((position) => keys.some((key) => key.endsWith(`@${position}`)));
}

function keysOf(step: GuideStep, positions: readonly Position[]): string[] {
  switch (step.per) {
    case "once":
    case "count":
      return positions.length === 0 ? [] : [step.id];
    case "axle":
      return [...new Set(positions.map(axleOf))].map((axle) => `${step.id}@${axle}`);
    case "position":
      return positions.map((position) => `${step.id}@${position}`);
  }
}

/** For one time, in ten-thousandths of an hour; null: the guide has none for this class. */
function hoursOnce(step: GuideStep, facts: CarFacts, unknown: Set<FactName>): { from: bigint; to: bigint } | null {
  const classes = facts.vehicleClass ? [facts.vehicleClass.value] : VEHICLE_CLASSES;
  const base = classes.flatMap((each) => {
    const hours = step.hours[each];
    return hours === null ? [] : [exact(hours)];
  });
  const [first, ...others] = base;
  if (first === undefined) return null;
  let from = others.reduce((least, each) => (each < least ? each : least), first);
  let to = others.reduce((most, each) => (each > most ? each : most), first);
  if (from !== to) unknown.add("vehicleClass");
  for (const { when, hours } of step.more) {
    const does = holds(when, facts);
    if (does === false) continue;
    to += exact(hours);
    if (does === true) from += exact(hours);
    else unknown.add(factOf(when));
  }
  return { from, to };
}

const INDEXES = new WeakMap<LaborGuide, Index>();

interface Index {
  operations: ReadonlyMap<string, GuideOperation>;
  steps: ReadonlyMap<string, GuideStep>;
}

/** By id; made once for a guide, which is never changed in position. */
function indexOf(guide: LaborGuide): Index {
  const kept = INDEXES.get(guide);
  if (kept) return kept;
  const index = {
    operations: new Map(guide.operations.map((each) => [each.id, each])),
    steps: new Map(guide.steps.map((each) => [each.id, each])),
  };
  INDEXES.set(guide, index);
  return index;
}
