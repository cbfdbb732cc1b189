import { useRouter } from "expo-router";
import { showMoment } from "@mechanon/core";
import type { CustomerVisit } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useBusiness } from "../session/useSession";
import { Press } from "../ui/Press";
import { Words } from "../ui/Words";

/** Visits, each leading to its work order. */
export function VisitList({ visits, empty }: { visits: readonly CustomerVisit[]; empty: string }) {
  const router = useRouter();
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  if (visits.length === 0) return <Words tone="muted">{empty}</Words>;
  return visits.map(({ id, workOrderId, startsAt, mechanicName, street, vehicleName, cancelled }) => (
    <Press
      key={`${id} ${workOrderId}`}
      role="link"
      label={`Visit ${showMoment(startsAt, zone, today)}, ${vehicleName}`}
      onPress={() => router.navigate(`/work/${workOrderId}`)}
    >
      <Words strong figures tone="petrol">
        {`${showMoment(startsAt, zone, today)}${cancelled ? ", cancelled" : ""}`}
      </Words>
      <Words size="small" tone="muted">
        {[vehicleName, street, mechanicName].filter(Boolean).join(" · ")}
      </Words>
    </Press>
  ));
}
