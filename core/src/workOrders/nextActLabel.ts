import type { NextAct } from "./nextAct";
import { countOf } from "../text/countOf";
import { showMoney } from "../money/money";

/** What the large button at the foot of a work order says; null when nothing is to be done now. */
export function nextActLabel(next: NextAct): string | null {
  switch (next.act) {
    case "bookVisit":
      return "Book a visit";
    case "setOff":
      return "Say I'm on my way";
    case "arrive":
      return "I'm here";
    case "inspect":
      return `Check ${countOf(next.points, "point")}`;
    case "addJob":
      return "Add a job";
    case "showQuote":
      return `Show quote, ${showMoney(next.totalCents)}`;
    case "orderParts":
      return `Order ${countOf(next.parts, "part")}`;
    case "receiveParts":
      return `Take in ${countOf(next.parts, "part")}`;
    case "finishJobs":
      return `Finish ${countOf(next.jobs, "job")}`;
    case "takePayment":
      return `Take ${showMoney(next.dueCents)}`;
    case "sendReceipt":
      return "Show receipt";
    case "nothing":
      return null;
  }
}
