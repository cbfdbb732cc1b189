import { isSameNumber, type Job, type PartLine, type StockItem } from "@mechanon/core";

/** A line of a quote with the part of the van it could be. */
export interface VanPart {
  line: PartLine;
  item: StockItem;
}

/** Parts of jobs nobody answered that could come from the van: of the same number, and enough of them there. */
export function vanPartsFor(jobs: readonly Job[], stock: readonly StockItem[], personId: string | null): VanPart[] {
  const left = new Map(stock.map(({ id, count }) => [id, count]));
  const lines = openParts(jobs);
  for (const { from, quantity } of lines)
    if (from?.of === "van") left.set(from.itemId, (left.get(from.itemId) ?? 0) - quantity);
  // One's own van first.
  const own = [...stock].sort((a, b) => Number(b.personId === personId) - Number(a.personId === personId));
  return lines.flatMap((line) => {
    if (line.from?.of === "van") return [];
    const item = own.find(
      ({ id, partNumber }) => isSameNumber(partNumber, line.partNumber) && (left.get(id) ?? 0) >= line.quantity,
    );
    if (!item) return [];
    left.set(item.id, (left.get(item.id) ?? 0) - line.quantity);
    return [{ line, item }];
  });
}

/** Parts with a number that a supplier can be asked for. */
export function askableParts(jobs: readonly Job[]): PartLine[] {
  return openParts(jobs).filter(
    ({ partNumber, from }) => partNumber !== null && from?.of !== "van" && from?.of !== "offer",
  );
}

function openParts(jobs: readonly Job[]): PartLine[] {
  return jobs
    .filter(({ answer, finishedAt }) => answer === null && finishedAt === null)
    .flatMap(({ lines }) => lines)
    .filter((line): line is PartLine => line.kind === "part" && !line.isCustomers && line.quantity > 0);
}
