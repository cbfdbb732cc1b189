import { saidConcerns, type PickedConcern } from "../concerns/pickedConcern";
import { derivedId } from "./derivedId";
import type { Draft } from "./draft";

/** What was said of concerns on a call, each with the id it is kept under. */
export function draftConcerns({
  workOrderId,
  concerns: picked,
  concernTyped: typed,
}: Pick<Draft, "workOrderId" | "concerns" | "concernTyped">): (PickedConcern & { id: string })[] {
  return saidConcerns({ picked, typed }).map((concern, index) => ({
    ...concern,
    id: derivedId(workOrderId, 1 + index),
  }));
}
