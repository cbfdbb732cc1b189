import { showDay, type PartLine } from "@mechanon/core";

/** Where a part comes from, as it is read below it; null: nobody said. @param today - an ISO calendar day. */
export function fromWords({ from }: PartLine, today: string): string | null {
  switch (from?.of) {
    case undefined:
      return null;
    case "van":
      return "From the van";
    case "offer":
      return `The supplier’s offer of ${showDay(from.at.slice(0, 10), today)}`;
    case "before":
      return from.day === null ? "Used before" : `Used before, ${showDay(from.day, today)}`;
    case "barcode":
      return `Barcode ${from.code}`;
  }
}
