import type { Approval } from "../approvals/slice";
import type { JobAnswer } from "../quoting/slice";
import type { Concern } from "../concerns/slice";
import type { VisitState } from "../visits/state";
import type { WorkOrderState } from "./state";

/** What stands where something told who it was. */
export const ERASED = "Erased";

/**
 * A work order as its bill has to be kept when the customer is erased: what was done and paid, without names,
 * signatures, their own words, notes and photos.
 */
export function workOrderWithoutPerson({ paperWordings: _theirs, ...state }: WorkOrderState): WorkOrderState {
  return {
    ...state,
    concerns: state.concerns.map(withoutWords),
    findings: state.findings.map((finding) => ({ ...finding, note: "" })),
    pictures: [],
    marks: state.marks.map((mark) => ({ ...mark, note: "" })),
    walkRound: state.walkRound && { ...state.walkRound, signed: null },
    apart: state.apart && { ...state.apart, partsLie: "", toldTo: ERASED },
    placesJudged: state.placesJudged.map((judged) => ({ ...judged, reason: "" })),
    unsafeTold: state.unsafeTold.map((told) => ({ ...told, name: ERASED, witness: "", signature: [] })),
    recallsTold: state.recallsTold.map((told) => ({ ...told, name: ERASED })),
    approvals: state.approvals.map(approvalWithoutPerson),
    jobs: state.jobs.map(({ answer, ...job }) => ({ ...job, answer: answer && withoutReason(answer) })),
    ...(state.takenBack ? { takenBack: state.takenBack.map((taken) => ({ ...taken, name: ERASED })) } : {}),
    ...(state.noSale ? { noSale: { ...state.noSale, words: "" } } : {}),
  };
}

function approvalWithoutPerson({ phone: _phone, needsAlso, shown, answers, ...approval }: Approval): Approval {
  return {
    ...{ ...approval, name: ERASED, signature: [] },
    ...(needsAlso === undefined ? {} : { needsAlso: ERASED }),
    // A digest without a salt would let what was found be tried out; that there was one stays.
    ...(shown === undefined ? {} : { shown: ERASED }),
    answers: answers.map(({ reason: _why, ...answer }) => answer),
  };
}

function withoutReason({ reason: _why, needsAlso, ...answer }: JobAnswer): JobAnswer {
  return needsAlso === undefined ? answer : { ...answer, needsAlso: ERASED };
}

function withoutWords({ answer, ...concern }: Concern): Concern {
  const said = concern.phraseId === null ? { ...concern, text: ERASED } : concern;
  return answer ? { ...said, answer: { ...answer, reason: "" } } : said;
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
