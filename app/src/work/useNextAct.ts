import { useRouter } from "expo-router";
import { approvedJobs, nextAct, nextActLabel } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useNow } from "../day/useNow";
import { useSheetsHere } from "../check/useSheetsHere";
import type { Business } from "../session/useSession";
import { sendCommand, sendVisitCommand } from "../sync/give";
import { beingOrdered } from "./beingOrdered";
import { driveMinutesTo } from "./driveTo";
import { sectionOf } from "./sections";

/**
 * What comes next on a work order, and how it is done.
 *
 * @param open - unfolds a section of the sheet and brings it into sight.
 * @returns `section`: where it belongs to; `label`: what its button says, null where there is none.
 */
export function useNextAct(
  view: WorkOrderView,
  business: Business,
  open: (section: string) => void,
): { section: string | null; label: string | null; act: () => void } {
  const router = useRouter();
  const now = useNow();
  const { open: openPoints } = useSheetsHere(view, business);
  const next = nextAct(view.state, view.visits, openPoints.length, now, beingOrdered(view));
  const section = sectionOf(next);
  const act = (): void => {
    const { id } = view.state;
    switch (next.act) {
      case "setOff":
        return sendVisitCommand(next.visitId, id, {
          type: "setOff",
          driveMinutes: driveMinutesTo(view, next.visitId, business),
        });
      case "arrive":
        return sendVisitCommand(next.visitId, id, { type: "arrive" });
      case "showQuote":
        return router.navigate(`/show/${id}`);
      case "finishJobs": {
        const unfinished = approvedJobs(view.state).filter(({ finishedAt }) => finishedAt === null);
        return sendCommand(id, { type: "finishJobs", jobIds: unfinished.map((job) => job.id) });
      }
      case "inspect":
        return router.navigate(`/work/${id}/check`);
      case "sendReceipt":
        return router.navigate(`/work/${id}/receipt`);
      default:
        return section ? open(section) : undefined;
    }
  };
  return { section, label: nextActLabel(next), act };
}
