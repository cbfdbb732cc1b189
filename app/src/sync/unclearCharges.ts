import type { WorkOrderView } from "@mechanon/contract";

/** What the terminal was asked to charge and has not said whether it did, in cents. */
export function unclearCharges(requests: WorkOrderView["requests"]): number {
  return requests.reduce(
    (sum, { kind, status, amountCents }) =>
      kind === "cardCharge" && status === "asked" ? sum + (amountCents ?? 0) : sum,
    0,
  );
}
