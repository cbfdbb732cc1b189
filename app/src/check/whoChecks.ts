import { showTime, type Finding, type InspectionPoint } from "@mechanon/core";
import type { Business } from "../session/useSession";

/** Who checks and how far they are: "Tomas Quill, last Brake fluid at 9:42 am"; empty: nobody began. */
export function whoChecks(
  points: readonly InspectionPoint[],
  findings: readonly Finding[],
  { people, timeZone }: Pick<Business, "people" | "timeZone">,
  today: string,
): string {
  const titles = new Map(points.map(({ id, title }) => [id, title]));
  const lastOf = new Map<string, Finding>();
  for (const finding of findings) {
    if (!titles.has(finding.pointId)) continue;
    const last = lastOf.get(finding.by);
    if (!last || last.at <= finding.at) lastOf.set(finding.by, finding);
  }
  return [...lastOf.values()]
    .sort((a, b) => (a.at > b.at ? -1 : 1))
    .map(({ by, at, pointId }) => {
      const name = people.find(({ id }) => id === by)?.name ?? "Somebody";
      const when = at.slice(0, 10) >= today ? showTime(at, timeZone) : at.slice(0, 10);
      return `${name}, last ${titles.get(pointId)?.toLowerCase() ?? ""} at ${when}`;
    })
    .join(" · ");
}
