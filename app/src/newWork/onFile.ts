import { noDetails } from "@mechanon/core";
import type { Customer } from "@mechanon/contract";
import type { CallerOnFile } from "./draft";

/** A customer of whom the call knows only what it needs. */
export function onFile(known: CallerOnFile, createdAt: string): Customer {
  return { ...noDetails(), kind: "person", version: 1, createdAt, erasedAt: null, ...known };
}
