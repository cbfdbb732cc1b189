import { approvedJobs } from "../approvals/standing";
import { exact, fromTenThousandths } from "../exact/decimal";
import type { PartLine } from "../quoting/quoteLine";
import type { Job, QuoteSlice } from "../quoting/slice";
import { orderedQuantity, receivedQuantity } from "./ordered";
import type { SourcingSlice } from "./slice";

/** Where a part is on its way: wanted but not (all) bought, on order, in hand, on the car. */
export type PartStatus = "needed" | "ordered" | "inHand" | "fitted";

type WantedPart = Pick<PartLine, "id" | "quantity" | "isCustomers" | "from">;

/** What the customer brings, or is on the van, is not bought. */
function isHere({ isCustomers, from }: Pick<PartLine, "isCustomers" | "from">): boolean {
  return isCustomers === true || from?.of === "van";
}

/** Where a line of a job is on its way; one of which a part is still to be bought is needed. What is here is never bought. */
export function partStatus(state: SourcingSlice, job: Pick<Job, "finishedAt">, line: WantedPart): PartStatus {
  if (isHere(line)) return job.finishedAt ? "fitted" : "inHand";
  if (receivedQuantity(state, line.id) >= line.quantity) return job.finishedAt ? "fitted" : "inHand";
  if (orderedQuantity(state, line.id) >= line.quantity) return "ordered";
  return job.finishedAt ? "fitted" : "needed";
}

/** How much of a line is still to be bought: neither ordered nor in hand. @returns In the unit of its quantity. */
export function quantityToBuy(state: SourcingSlice, line: WantedPart): number {
  if (isHere(line)) return 0;
  const { id, quantity } = line;
  const bought = Math.max(orderedQuantity(state, id), receivedQuantity(state, id));
  return bought >= quantity ? 0 : fromTenThousandths(exact(quantity) - exact(bought));
}

/**
 * How much of a line is still to come: ordered (or, where nothing was, wanted) and not in hand.
 *
 * @returns In the unit of its quantity.
 */
export function quantityToCome(state: SourcingSlice, line: WantedPart): number {
  if (isHere(line)) return 0;
  const { id, quantity } = line;
  const expected = orderedQuantity(state, id) || quantity;
  const inHand = receivedQuantity(state, id);
  return inHand >= expected ? 0 : fromTenThousandths(exact(expected) - exact(inHand));
}

/** Part lines of approved jobs that are at one point of their way. */
export function approvedParts(state: QuoteSlice & SourcingSlice, status: PartStatus): PartLine[] {
  return approvedJobs(state).flatMap((job) =>
    job.lines.filter(
      (line): line is PartLine => line.kind === "part" && line.quantity > 0 && partStatus(state, job, line) === status,
    ),
  );
}
