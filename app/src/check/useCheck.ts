import { useEffect, useRef, useState } from "react";
import { restThatCanBeSound, type Finding, type InspectionPoint, type SheetAtHand } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { gradePoint, gradeRest, putBack, type Given } from "./checkActs";

/** What can be taken back: points as they stood before. */
interface Step {
  before: readonly (readonly [pointId: string, finding: Finding | undefined])[];
}
const MOST_STEPS = 50;

/** The check as one person runs it here: which point is under the thumb, and what to take back. */
export interface Check {
  /** null: all is done, and none was picked. */
  active: InspectionPoint | null;
  pick: (pointId: string | null) => void;
  /** It was picked, or stays after it was graded. */
  isPicked: boolean;
  /** @param moves - goes on to the next open point. */
  grade: (point: InspectionPoint, given: Given, moves: boolean) => void;
  /** Makes the rest of these sound. */
  rest: (points: readonly InspectionPoint[]) => void;
  next: () => void;
  /** undefined: nothing to take back. */
  undo: (() => void) | undefined;
}

/**
 * @param points - of the sheet that is shown, in its order.
 * @param open - those that still miss something.
 */
export function useCheck(
  { state }: Pick<WorkOrderView, "state">,
  sheet: SheetAtHand | undefined,
  points: readonly InspectionPoint[],
  open: readonly InspectionPoint[],
): Check {
  const [picked, setPicked] = useState<string | null>(null);
  const [steps, setSteps] = useState<readonly Step[]>([]);
  const workOrderId = state.id;
  const findingOf = (pointId: string): Finding | undefined => state.findings.find((each) => each.pointId === pointId);
  const active = points.find(({ id }) => id === picked) ?? open[0] ?? null;
  const latest = useRef({ points, open });
  useEffect(() => {
    latest.current = { points, open };
  });
  /** The next open point behind one, round the sheet; `done`: those graded by this very tap. */
  const nextBehind = (from: string, done: readonly string[]): string | null => {
    const order = latest.current.points;
    const openIds = new Set(latest.current.open.map(({ id }) => id));
    const place = order.findIndex(({ id }) => id === from);
    const behind = [...order.slice(place + 1), ...order.slice(0, place)];
    return behind.find(({ id }) => openIds.has(id) && !done.includes(id))?.id ?? null;
  };
  const keep = (before: Step["before"]): void => setSteps((all) => [...all, { before }].slice(-MOST_STEPS));
  return {
    active,
    pick: setPicked,
    isPicked: picked !== null && points.some(({ id }) => id === picked),
    grade: (point, given, moves) => {
      const before = findingOf(point.id);
      keep([[point.id, before]]);
      gradePoint(workOrderId, sheet, point.id, before, given);
      setPicked(moves ? nextBehind(point.id, [point.id]) : point.id);
    },
    rest: (some) => {
      const rest = restThatCanBeSound(some, state.findings).map(({ id }) => id);
      if (rest.length === 0) return;
      keep(rest.map((id) => [id, undefined]));
      gradeRest(workOrderId, sheet, rest);
      // Two taps may come before this screen is drawn once more: what is at hand is asked then.
      setPicked((now) => {
        const atHand = now ?? latest.current.open[0]?.id ?? "";
        return rest.includes(atHand) ? nextBehind(rest.at(-1) ?? atHand, rest) : now;
      });
    },
    next: () => active && setPicked(nextBehind(active.id, [])),
    undo:
      steps.length === 0
        ? undefined
        : () => {
            const last = steps.at(-1);
            setSteps(steps.slice(0, -1));
            for (const [pointId, before] of last?.before ?? [])
              putBack(workOrderId, pointId, before, findingOf(pointId));
            setPicked(last?.before[0]?.[0] ?? null);
          },
  };
}
