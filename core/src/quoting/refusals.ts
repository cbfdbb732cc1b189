export const QUOTING_REFUSALS = {
  "job/not-found": "That job was taken off the quote by somebody else. Your change was not made.",
  "job/exists": "That job is on the quote already.",
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
  "line/too-many": "This job has as many lines as it can hold. Nothing was added; add another job.",
  "line/too-much": "That comes to more than ten million dollars. The line was left as it is; check the figures.",
} as const;
export type QuotingRefusal = keyof typeof QUOTING_REFUSALS;
