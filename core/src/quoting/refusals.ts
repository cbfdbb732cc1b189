export const QUOTING_REFUSALS = {
  "job/not-found": "That job was taken off the quote by somebody else. Your change was not made.",
  "job/exists": "That job is on the quote already.",
  "job/ways-enough": "A job is offered in three ways at most. Nothing was added; take one off first.",
  "job/way-of-set-price":
    "One price for a whole job is for its own lines. Nothing was added; take the one price off first.",
  "job/no-such-way": "This way of the job was taken off by somebody else. Nothing was changed.",
  "job/finished": "That job is finished, so it was left as it is. Add a new job for further work.",
  "job/not-in-library": "That job is no longer in the library. Pick another, or add a job of your own.",
  "job/does-not-apply": "There is nothing to do for that job on this car. Nothing was added; pick another job.",
  "job/whole-order": "That is a whole order of jobs now. Nothing was added; load the page again and pick it once more.",
  "job/lines-do-not-match": "The library has changed this job meanwhile. Load the page again and add it once more.",
  "job/too-many": "This quote has as many jobs as it can hold. Nothing was added; open another work order.",
  "operation/no-hours": "The guide has no hours for that on this car. Nothing was added; type the hours.",
  "job/no-diagnosis":
    "That diagnosis is no longer on the quote. Its price was left where it was; look at the quote once more.",
  "fee/nothing": "The owner asks nothing for this. Nothing was added.",
  "fee/answered": "The customer answered this fee already. It was left as it is; take it off first if it changed.",
  "line/not-found": "That line was taken off by somebody else. Your change was not made.",
  "line/exists": "That line is there already.",
  "line/figure-does-not-fit": "That figure does not fit this line. The line was left as it is.",
  "rate/not-found": "That rate is not among those of this quote. The line was left as it is; choose another.",
  "line/not-kept": "That was taken off too long ago to be put back. Add it once more.",
  "part/not-on-van": "That part is on no van any more. Nothing was added; choose another.",
  "taxes/other-day":
    "The clock of this device is days off, so the taxes were left as they are. Set its date, then open the work order again.",
  "offer/unknown": "No discount goes by that code. Nothing was taken off; ask the owner, or type a discount.",
  "offer/ended": "That discount has ended. Nothing was taken off; choose another.",
  "offer/granted": "That discount is on the quote already.",
  "discount/exists": "That discount is on the quote already.",
  "discount/not-found": "That discount was taken back already.",
  "discount/too-many": "A quote has at most ten discounts. Nothing was taken off; take one back first.",
  "quote/agreed":
    "The customer agreed to a job at the price of then, so this quote keeps its rules. Nothing was changed; for prices of today, copy it to a new quote.",
  "line/too-many": "This job has as many lines as it can hold. Nothing was added; add another job.",
  "line/too-much": "That comes to more than ten million dollars. The line was left as it is; check the figures.",
} as const;
export type QuotingRefusal = keyof typeof QUOTING_REFUSALS;
