import { markupFault, readMoney, showMoney, type PricingTable } from "@mechanon/core";
import { readAmount } from "../quote/readAmount";

/** A band as it is typed: the costs it stands for, from and up to; without an end it stands for all above. */
export interface TypedBand {
  from: string;
  upTo: string;
  times: string;
}

const money = (cents: number): string => (cents / 100).toFixed(2);

/** Bands as they would be typed: each begins a cent above the one before. */
export function typedBandsOf(bands: PricingTable["bands"]): TypedBand[] {
  return bands.map(({ upTo, times }, index) => {
    const before = bands[index - 1]?.upTo ?? null;
    return {
      from: money(index === 0 || before === null ? 0 : before + 1),
      upTo: (upTo ?? null) === null ? "" : money(upTo ?? 0),
      times: String(times),
    };
  });
}

/** Bands that fit, as they are stored. */
export function readBands(bands: readonly TypedBand[]): PricingTable["bands"] {
  return bands.map(({ upTo, times }) => ({
    upTo: upTo.trim() === "" ? null : readMoney(upTo),
    times: readAmount(times) ?? 0,
  }));
}

/** What does not fit of the bands of a table, with where; null: they fit. */
export function bandsFault({
  bands,
  neverCheaper,
  mayDip,
}: Pick<PricingTable, "neverCheaper" | "mayDip"> & { bands: readonly TypedBand[] }): string | null {
  let next = 0;
  for (const [index, { from, upTo, times }] of bands.entries()) {
    const begins = readMoney(from);
    const ends = upTo.trim() === "" ? null : readMoney(upTo);
    if (begins === null || (ends === null && upTo.trim() !== "")) return `band ${index + 1}: a cost looks like 84.50`;
    if (readAmount(times) === null) return `band ${index + 1}: times what, like 1.9`;
    if (begins > next) return `nothing stands for a cost from ${showMoney(next)} to ${showMoney(begins - 1)}`;
    if (begins < next) return `two bands stand for a cost of ${showMoney(begins)}`;
    next = ends === null ? Infinity : ends + 1;
  }
  return markupFault({ bands: readBands(bands), neverCheaper, mayDip });
}

/** One more band above the others; the one that had no end gets one. */
export function withBand(bands: readonly TypedBand[]): TypedBand[] {
  const last = bands.at(-1);
  if (!last) return [{ from: "0.00", upTo: "", times: "1.5" }];
  const begins = readMoney(last.from) ?? 0;
  const ends = last.upTo.trim() === "" ? begins + 10_000 : (readMoney(last.upTo) ?? begins);
  return [
    ...bands.slice(0, -1),
    { ...last, upTo: money(ends) },
    { from: money(ends + 1), upTo: "", times: last.times },
  ];
}
