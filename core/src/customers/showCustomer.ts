/** Whose it is, by name; a work order may be opened before that is known. */
export function showCustomer(customer: { name: string } | null): string {
  return customer?.name ?? "No customer yet";
}
