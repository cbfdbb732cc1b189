import type { StockItem } from "./stockItem";

const plain = (code: string): string => code.toLowerCase().replaceAll(/[^a-z0-9]/g, "");

/** The part of a van that a barcode is of: by its codes, or its part number; spaces and dashes do not count. */
export function stockByCode(stock: readonly StockItem[], code: string): StockItem | undefined {
  const wanted = plain(code);
  if (wanted === "") return undefined;
  return stock.find(({ codes, partNumber }) => [...codes, partNumber ?? ""].some((each) => plain(each) === wanted));
}

/** Whether two numbers of a part are the same, however they are written. */
export function isSameNumber(a: string | null, b: string | null): boolean {
  return a !== null && b !== null && plain(a) !== "" && plain(a) === plain(b);
}
