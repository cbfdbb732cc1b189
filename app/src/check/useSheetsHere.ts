import { useMemo } from "react";
import {
  openPoints,
  pointPhotos,
  pointsAtHand,
  sheetsAtHand,
  type CarFacts,
  type InspectionPoint,
  type SheetAtHand,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import type { Business } from "../session/useSession";

/** The sheets of a work order, and what of them is open. */
export interface SheetsHere {
  sheets: SheetAtHand[];
  facts: CarFacts;
  /** Of all sheets that are not closed, each point once. */
  points: InspectionPoint[];
  /** Those that still miss something. */
  open: InspectionPoint[];
}

/** The sheets of a work order for its car: those begun, and those that come by the owner's rules. */
export function useSheetsHere(view: WorkOrderView, { settings }: Pick<Business, "settings">): SheetsHere {
  const facts = useCarFacts(view);
  return useMemo(() => sheetsHere(view, settings, facts), [view, settings, facts]);
}

/** The same, for where the car's facts are known already. */
export function sheetsHere(
  { state, carBefore }: Pick<WorkOrderView, "state" | "carBefore">,
  settings: Business["settings"],
  facts: CarFacts,
): SheetsHere {
  const sheets = sheetsAtHand(state, settings, carBefore);
  const points = pointsAtHand(sheets, facts);
  return { sheets, facts, points, open: openPoints(points, state.findings, pointPhotos(state)) };
}
