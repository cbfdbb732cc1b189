import type { LaborGuide, LibraryJob } from "@mechanon/core";
import { specLabel } from "../jobLibrary/fitWords";

/** How a line of a library job fits itself to a car; null: it stays as it is written. */
export function fittedWords({ fits }: LibraryJob, lineId: string, guide: LaborGuide | undefined): string | null {
  const fit = fits.find((each) => each.lineId === lineId);
  if (!fit) return null;
  if (fit.operations.length > 0) {
    const titles = fit.operations.map((id) => guide?.operations.find((each) => each.id === id)?.title ?? id);
    return `The guide’s hours, where it has them for the car: ${titles.join(", ")}`;
  }
  const counted = {
    positions: "one for each position",
    cylinders: "one for each cylinder",
    spec: fit.count?.by === "spec" ? `as many as the car holds: ${specLabel(fit.count.key).toLowerCase()}` : "",
  };
  const words = [
    ...(fit.count ? [counted[fit.count.by]] : []),
    ...(fit.spec ? [`as the car’s ${specLabel(fit.spec).toLowerCase()} says`] : []),
  ];
  return words.length === 0 ? null : `Fits itself to the car: ${words.join("; ")}`;
}
