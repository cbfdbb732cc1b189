import type { NextAct } from "@mechanon/core";

/** Parts of the sheet, in the order of work. */
export const SHEET_PARTS = ["visits", "check", "quote", "parts", "work", "money"] as const;
export type SheetPart = (typeof SHEET_PARTS)[number];

/** The part of the sheet the next act belongs to; it stands open. */
export function partOf(next: NextAct): SheetPart | null {
  switch (next.act) {
    case "bookVisit":
    case "setOff":
    case "arrive":
      return "visits";
    case "inspect":
      return "check";
    case "addJob":
    case "showQuote":
      return "quote";
    case "orderParts":
    case "receiveParts":
      return "parts";
    case "finishJobs":
      return "work";
    case "takePayment":
    case "sendReceipt":
      return "money";
    case "nothing":
      return null;
  }
}
