import type { Customer } from "@mechanon/contract";
import type { CustomerRow } from "../db/models";

/** A customer as the wire shows it. */
export function toCustomer({ id, kind, name, details, version, createdAt, erasedAt }: CustomerRow): Customer {
  return {
    id,
    kind,
    name,
    ...details,
    version,
    createdAt: createdAt.toISOString(),
    erasedAt: erasedAt?.toISOString() ?? null,
  };
}
