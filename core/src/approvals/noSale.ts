import type { QuoteSlice } from "../quoting/slice";
import type { ApprovalSlice } from "./slice";

/** Why a work order is closed without a sale; null: it is not, or a job was put on it since. */
export function closedWithoutSale({
  noSale,
  jobs,
}: Pick<ApprovalSlice, "noSale"> & Pick<QuoteSlice, "jobs">): NonNullable<ApprovalSlice["noSale"]> | null {
  return noSale && jobs.every(({ addedAt }) => addedAt <= noSale.at) ? noSale : null;
}
