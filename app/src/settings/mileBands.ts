import { readMoney, type VisitSettings } from "@mechanon/core";

type Bands = NonNullable<VisitSettings["callOutByMiles"]>;

/** What a call-out costs by miles, as it would be typed: `10: 35.00, 25: 60.00, any: 90.00`. */
export function typedMileBands(bands: Bands = []): string {
  return bands.map(({ upToMiles, cents }) => `${upToMiles ?? "any"}: ${(cents / 100).toFixed(2)}`).join(", ");
}

/** Bands from what was typed. @returns null where it is none; empty for nothing. */
export function readMileBands(typed: string): Bands | null {
  const parts = typed
    .split(/[,;\n]+/)
    .map((part) => part.trim())
    .filter(Boolean);
  const bands: Bands = [];
  for (const part of parts) {
    const [, miles = "", price = ""] = /^(\d+|any)\s*[:=]\s*(.+)$/i.exec(part) ?? [];
    const cents = readMoney(price);
    const upToMiles = miles.toLowerCase() === "any" ? null : Number(miles);
    const last = bands.at(-1);
    if (miles === "" || cents === null || upToMiles === 0) return null;
    if (last && (last.upToMiles === null || (upToMiles !== null && upToMiles <= last.upToMiles))) return null;
    bands.push({ upToMiles, cents });
  }
  return bands;
}
