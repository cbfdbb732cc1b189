import { countOf, type Approval, type WorkOrderState } from "@mechanon/core";

/** How an answer was given. */
export const WAY_WORDS: Readonly<Record<Approval["way"], string>> = {
  signed: "signed here",
  spoken: "told us",
  page: "on their page",
};
const ANSWER_WORDS = { yes: "Yes", later: "Later", no: "No" } as const;

/** One answer to one job. @example givenWords({ title: "Brakes", answer: "no", reason: "too dear", ... }) //=> "No: Brakes (too dear)" */
export function givenWords({ title, answer, reason, askOn, wayTitle }: Approval["answers"][number]): string {
  const more = [wayTitle, reason, askOn ? `ask again ${askOn}` : ""].filter(Boolean).join(", ");
  return `${ANSWER_WORDS[answer]}: ${title}${more === "" ? "" : ` (${more})`}`;
}

/** The line of all answers, folded. */
export function agreedWords({ approvals, takenBack = [] }: Pick<WorkOrderState, "approvals" | "takenBack">): string {
  const back = takenBack.length === 0 ? "" : `, ${countOf(takenBack.length, "yes", "yeses")} taken back`;
  return `${countOf(approvals.length, "answer")}${back}`;
}
