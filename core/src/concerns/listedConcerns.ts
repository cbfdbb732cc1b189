import type { InspectionSlice } from "../inspection/slice";
import type { QuoteSlice } from "../quoting/slice";
import { openConcerns } from "./standing";
import type { ConcernSlice } from "./slice";

/**
 * Why they called, as lists show it: once the car was looked at, what nobody answered says so.
 * @example
 * listedConcerns({ concerns: [{ id: "c", text: "Hums", kind: "fault" }], jobs: [], findings: [{}] }) //=> ["Hums (still open)"]
 */
export function listedConcerns({
  concerns,
  jobs,
  findings,
}: ConcernSlice & Pick<QuoteSlice, "jobs"> & Pick<InspectionSlice, "findings">): string[] {
  const open = new Set(findings.length === 0 ? [] : openConcerns(concerns, jobs).map(({ id }) => id));
  return concerns.map(({ id, text }) => (open.has(id) ? `${text} (still open)` : text));
}
