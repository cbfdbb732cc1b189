import type { NewLine } from "./commandSchemas";
import type { QuoteLine } from "./quoteLine";

/** A line as it is put on another quote, under an id of its own. Work bought in whose cost is not seen goes at its price. */
export function lineAnew(line: QuoteLine, id: string): NewLine {
  if (line.kind === "part") {
    const { from, ...kept } = line;
    // What a supplier asked, or what was on the van, is looked up anew.
    return { ...kept, id, ...(from?.of === "before" || from?.of === "barcode" ? { from } : {}) };
  }
  if (line.kind !== "sublet") return { ...line, id };
  const { costCents, percent, priceCents, description } = line;
  if (costCents === null) return { id, kind: "fee", description, quantity: 1, priceCents: priceCents ?? 0 };
  return { id, kind: "sublet", description, costCents, percent, priceCents: null };
}
