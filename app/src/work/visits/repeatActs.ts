import type { VisitState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import type { Act } from "../../sync/pending";

/**
 * The further trips of a row: each opens a work order of its own for the same car and concerns, and books its visit; each
 * can be moved or called off by itself.
 */
export function repeatActs(
  visit: VisitState,
  { state, customer, vehicle }: WorkOrderView,
  rule: string,
  times: readonly { startsAt: string; endsAt: string }[],
): Act[] {
  const series = { id: visit.series?.id ?? uuid(), rule };
  return times.flatMap(({ startsAt, endsAt }): Act[] => {
    const workOrderId = uuid();
    return [
      {
        kind: "workOrder",
        target: workOrderId,
        command: {
          type: "openWorkOrder",
          customerId: state.customerId,
          vehicleId: state.vehicleId,
          concerns: state.concerns.map(({ text, kind, phraseId }) => ({ id: uuid(), text, kind, phraseId })),
        },
        parties: { customer, vehicle },
      },
      {
        kind: "visit",
        target: uuid(),
        workOrderId,
        command: {
          type: "bookVisit",
          workOrderIds: [workOrderId],
          mechanicId: visit.mechanicId,
          place: visit.place,
          startsAt,
          endsAt,
          note: visit.note,
          allowOverlap: false,
          arranged: visit.arranged,
          readyBy: null,
          anotherTripWhy: "",
          series,
        },
      },
    ];
  });
}
