import { RIGHT_REFUSALS } from "../access/refusals";
import { APPROVAL_CONFLICTS } from "../approvals/conflicts";
import { APPROVAL_REFUSALS } from "../approvals/refusals";
import { ARRIVAL_REFUSALS } from "../arrival/refusals";
import { CONCERN_REFUSALS } from "../concerns/refusals";
import { CONFLICT_REFUSALS } from "../conflicts/refusals";
import type { Conflict } from "../conflicts/slice";
import { INSPECTION_CONFLICTS } from "../inspection/conflicts";
import { INSPECTION_REFUSALS } from "../inspection/refusals";
import { PAYMENT_CONFLICTS } from "../payments/conflicts";
import { PICTURE_REFUSALS } from "../pictures/refusals";
import { QUOTING_REFUSALS } from "../quoting/refusals";
import { SOURCING_CONFLICTS } from "../sourcing/conflicts";
import { SOURCING_REFUSALS } from "../sourcing/refusals";
import { TROUBLE_CODE_REFUSALS } from "../troubleCodes/refusals";
import { VISIT_REFUSALS } from "../visits/refusals";
import { WORK_CONFLICTS } from "../work/conflicts";
import { WORK_REFUSALS } from "../work/refusals";

/** Refusals of the work order as a whole. */
export const WORK_ORDER_REFUSALS = {
  "work-order/not-found": "This work order is not there. Nothing was changed; open it again from the list.",
  "work-order/exists": "This work order was opened already. It was kept as it is.",
  "command/id-reused": "This was sent under the id of something else, so it was left out. Load the page again.",
  "customer/erased": "That customer was erased; only the bills are left. Nothing was changed; make a new customer.",
  "customer/not-found": "That customer is not kept here any more. Nothing was changed; pick another.",
  "vehicle/not-found": "That car is not kept here any more. Nothing was changed; pick another.",
  "command/unreadable":
    "The server could not read this. Nothing was changed; what you did after it was kept. Load the page again, then do it once more.",
  "command/cannot-be-stored":
    "This could not be stored, so it was left out. What you did after it was kept; do it again in another way.",
} as const;
export type WorkOrderRefusal = keyof typeof WORK_ORDER_REFUSALS;

const REFUSALS = {
  ...WORK_ORDER_REFUSALS,
  ...RIGHT_REFUSALS,
  ...APPROVAL_REFUSALS,
  ...CONCERN_REFUSALS,
  ...ARRIVAL_REFUSALS,
  ...INSPECTION_REFUSALS,
  ...PICTURE_REFUSALS,
  ...TROUBLE_CODE_REFUSALS,
  ...QUOTING_REFUSALS,
  ...SOURCING_REFUSALS,
  ...CONFLICT_REFUSALS,
  ...VISIT_REFUSALS,
  ...WORK_REFUSALS,
};
export type RefusalCode = keyof typeof REFUSALS;
export const REFUSAL_CODES = Object.keys(REFUSALS) as [RefusalCode, ...RefusalCode[]];

const CONFLICTS: Readonly<Record<string, (detail: string) => string>> = {
  ...APPROVAL_CONFLICTS,
  ...INSPECTION_CONFLICTS,
  ...SOURCING_CONFLICTS,
  ...WORK_CONFLICTS,
  ...PAYMENT_CONFLICTS,
};

/** What a person reads when an intention was refused: what happened, what was kept, what to do. */
export function refusalWords(code: RefusalCode): string {
  return REFUSALS[code];
}

/** Whether a refusal is one that people have words for; any other is a fault of the program. */
export function isRefusalCode(code: string): code is RefusalCode {
  return Object.hasOwn(REFUSALS, code);
}

/** What a person reads about a fact that no longer fit. */
export function conflictWords({ code, detail }: Pick<Conflict, "code" | "detail">): string {
  return CONFLICTS[code]?.(detail) ?? `${detail} no longer fit when it arrived. It is kept; look at it.`;
}
