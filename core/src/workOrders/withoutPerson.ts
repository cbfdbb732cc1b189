import type { VisitState } from "../visits/state";
import type { WorkOrderState } from "./state";

/** What stands where something told who it was. */
export const ERASED = "Erased";

/**
 * A work order as its bill has to be kept when the customer is erased: what was done and paid, without names,
 * signatures, their own words, notes and photos.
 */
export function workOrderWithoutPerson(state: WorkOrderState): WorkOrderState {
  return {
    ...state,
    concerns: state.concerns.map((concern) => (concern.phraseId === null ? { ...concern, text: ERASED } : concern)),
    findings: state.findings.map((finding) => ({ ...finding, note: "", photoIds: [] })),
    approvals: state.approvals.map((approval) => ({ ...approval, name: ERASED, signature: [] })),
  };
}

/** A visit without the house it went to and what was agreed there; the town stays, since taxes hang on it. */
export function visitWithoutPerson(state: VisitState): VisitState {
  const { arranged, calledOff } = state;
  return {
    ...state,
    place: { ...state.place, street: "", latitude: null, longitude: null },
    note: "",
    arranged: { ...arranged, whoIsThere: "", keyLies: "", maySayYes: "" },
    anotherTripWhy: "",
    calledOff: calledOff && { ...calledOff, words: "" },
  };
}
