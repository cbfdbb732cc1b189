import { upgradeDetails } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import type { CustomerRow } from "./model";

/** What is kept of a customer; times as the database's JSON has them, or as Sequelize does. */
export interface CustomerColumns extends Pick<CustomerRow, "id" | "kind" | "name" | "details" | "version"> {
  createdAt: Date | string;
  erasedAt: Date | string | null;
}

/** A customer as the wire shows it. */
export function toCustomer({ id, kind, name, details, version, createdAt, erasedAt }: CustomerColumns): Customer {
  return {
    id,
    kind,
    name,
    ...upgradeDetails(details),
    version,
    createdAt: isoOf(createdAt),
    erasedAt: erasedAt && isoOf(erasedAt),
  };
}

function isoOf(moment: Date | string): string {
  return typeof moment === "string" ? moment : moment.toISOString();
}
