import type { Customer } from "@mechanon/contract";

/** Whose it is; a work order may be opened before that is known. */
export function customerName(customer: Pick<Customer, "name"> | null): string {
  return customer?.name ?? "No customer yet";
}
