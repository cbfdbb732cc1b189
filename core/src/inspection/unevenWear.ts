import type { Measure } from "./measure";
import { treadIn } from "./measure";

/** How a tire wears unevenly, by its inner, middle and outer tread. */
export type UnevenWear = "middle" | "edges" | "inner" | "outer";

/** Tread this much apart is no accident of measuring, in 32nds of an inch. */
const UNEVEN_32NDS = 3;

/**
 * What a tire's tread across its width tells; null: it wears evenly, or was not measured across.
 *
 * @param measured - by the keys `inner`, `middle` and `outer`.
 * @example
 * unevenWear(["inner", "middle", "outer"].map((key) => ({ key, kind: "tread", unit: "/32 in" })), { inner: 7, middle: 3, outer: 7 })
 * //=> "middle"
 */
export function unevenWear(
  measures: readonly Pick<Measure, "key" | "kind" | "unit">[],
  measured: Readonly<Record<string, number>>,
): UnevenWear | null {
  const depth = (key: string): number | null => {
    const measure = measures.find((each) => each.key === key && each.kind === "tread");
    const value = measured[key];
    if (!measure || value === undefined) return null;
    return measure.unit === "mm" ? treadIn("/32 in", value) : value;
  };
  const [inner, middle, outer] = [depth("inner"), depth("middle"), depth("outer")];
  if (inner === null || outer === null) return null;
  if (Math.abs(inner - outer) >= UNEVEN_32NDS) return inner < outer ? "inner" : "outer";
  if (middle === null) return null;
  if (Math.min(inner, outer) - middle >= UNEVEN_32NDS) return "middle";
  return middle - Math.max(inner, outer) >= UNEVEN_32NDS ? "edges" : null;
}
