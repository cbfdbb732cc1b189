import { showMoney } from "./money";
import type { Conflict } from "../workOrders/state";
import type { RefusalCode } from "../workOrders/refusal";

const WORDS: Readonly<Record<RefusalCode, string>> = {
  "work-order/not-found": "This work order is not there. Nothing was changed; open it again from the list.",
  "work-order/exists": "This work order was opened already. It was kept as it is.",
  "concern/not-found": "That concern was taken off by somebody else. The rest is unchanged.",
  "concern/answered": "A job on the quote answers this concern. Take the job off first.",
  "job/not-found": "That job was taken off the quote by somebody else. Your change was not made.",
  "job/exists": "That job is on the quote already.",
  "job/finished": "That job is finished, so it was left as it is. Add a new job for further work.",
  "job/not-in-library": "That job is no longer in the library. Pick another, or add a job of your own.",
  "job/lines-do-not-match": "The library has changed this job meanwhile. Load the page again and add it once more.",
  "line/not-found": "That line was taken off by somebody else. Your change was not made.",
  "line/exists": "That line is there already.",
  "line/ordered": "That part is on order, so the line stays. Cancel it with the supplier first.",
  "line/figure-does-not-fit": "That figure does not fit this line. The line was left as it is.",
  "point/not-found": "That point is not on the inspection list. Load the page again.",
  "photo/not-found": "That photo is gone already.",
  "conflict/not-found": "That mark was settled already.",
  "rights/change-prices": "You may not change prices. The price was left as it is; ask the owner.",
  "visit/not-found": "This visit is not there. Nothing was changed.",
  "visit/exists": "This visit was booked already. It was kept as it is.",
  "visit/over": "This visit is over. Book a new one.",
  "visit/ends-before-start": "The visit ends before it starts. Pick a later end.",
  "visit/overlaps": "The mechanic has another visit then. Pick another time, or book it anyway.",
};

/** What a person reads when an intention was refused: what happened, what was kept, what to do. */
export function refusalWords(code: RefusalCode): string {
  return WORDS[code];
}

/** What a person reads about a fact that no longer fit. */
export function conflictWords({ code, detail }: Pick<Conflict, "code" | "detail">): string {
  switch (code) {
    case "approval/price-changed":
      return `The price of ${detail} changed while the customer was signing. The signature is kept; ask again for the new price.`;
    case "approval/job-gone":
      return `${detail} was taken off the quote while the customer said yes. The answer is kept; put the job back or tell them.`;
    case "payment/more-than-owed":
      return `${showMoney(Number(detail))} more was taken than was owed. The payment is kept; give the difference back.`;
    case "part/line-gone":
      return `${detail} part arrived for a line that is no longer on the quote. Return it or put the line back.`;
    case "job/not-approved":
      return `${detail} was finished without a standing yes. Ask the customer to confirm it.`;
  }
}
