import type { Job } from "@mechanon/core";
import type { Customer, Vehicle } from "@mechanon/contract";
import { carActs } from "../carFinder/carActs";
import { give } from "../sync/give";
import { customerFromAct, vehicleOf } from "../sync/madeHere";
import type { Act } from "../sync/pending";
import { useSync } from "../sync/state";
import { loadWorkOrder, showKept } from "../sync/views";
import { nowhere } from "../work/nowhere";
import { derivedId } from "./derivedId";
import type { Draft } from "./draft";
import { draftConcerns } from "./draftConcerns";
import { jobCommands, type WorkBegun } from "./jobCommands";
import { onFile } from "./onFile";
import type { DraftBodies } from "./readDraft";
import type { WantedAround } from "./wantedJob";

type CopiedJobs = WorkBegun["copied"];

/**
 * Saves a call: customer, car, work order, its jobs and visit, all of it at once on this device; each goes to the server
 * when it can, in this order.
 *
 * @throws what `call` throws, where a quote is to be copied that is not on this device; nothing is saved then.
 */
export async function saveDraft(draft: Draft, bodies: DraftBodies, around: WantedAround): Promise<void> {
  const { openQuote, copiesFrom } = draft;
  const from = [
    ...(openQuote?.way === "copy" ? [openQuote.workOrderId] : []),
    ...(copiesFrom ? [copiesFrom.workOrderId] : []),
  ];
  const copied: Job[] = [];
  for (const id of new Set(from)) copied.push(...(await jobsOf(id)));
  await give(actsOf(draft, bodies, copied, around));
}

/** What saving a call does, in the order in which each names the one before. */
export function actsOf(draft: Draft, bodies: DraftBodies, copied: CopiedJobs, around: WantedAround): Act[] {
  const { workOrderId, visitId, vehicleId: newCarId, openCommandId, slot } = draft;
  const { customerId, vehicleId, car } = bodies;
  const acts: Act[] = [];
  if (bodies.customer) {
    const { id, ...body } = bodies.customer;
    // Whoever is kept twice is found by the server, and made one when somebody has looked.
    acts.push({ kind: "customer", target: id, id, body: { ...body, keepTwice: true } });
  }
  if (car) acts.push(...carActs(car, newCarId, customerId));
  acts.push({
    kind: "workOrder",
    target: workOrderId,
    id: openCommandId,
    command: {
      type: "openWorkOrder",
      customerId,
      vehicleId,
      concerns: draftConcerns(draft),
    },
    parties: partiesOf(draft, bodies),
  });
  const jobs = jobCommands({ wanted: draft.jobs, copied, libraryJobIds: draft.takeAlong }, around, (place) =>
    derivedId(workOrderId, place),
  );
  jobs.forEach((command, index) =>
    acts.push({ kind: "workOrder", target: workOrderId, id: derivedId(openCommandId, 1 + index), command }),
  );
  if (slot)
    acts.push({
      kind: "visit",
      target: visitId,
      id: draft.bookCommandId,
      workOrderId,
      command: {
        type: "bookVisit",
        workOrderIds: [workOrderId],
        mechanicId: slot.mechanicId,
        place: bodies.place ?? nowhere(),
        startsAt: slot.startsAt,
        endsAt: slot.endsAt,
        note: "",
        allowOverlap: false,
        arranged: draft.arranged,
        readyBy: null,
        anotherTripWhy: "",
        series: null,
      },
    });
  return acts;
}

/** Whose the work order is and for which car, as it shows before the server knows of it. */
function partiesOf(
  { known, vehicleId: newCarId }: Draft,
  { customer, customerId, car }: DraftBodies,
): { customer: Customer | null; vehicle: Vehicle | null } {
  const at = new Date().toISOString();
  return {
    customer: known ? onFile(known, at) : customer && customerFromAct({ target: customer.id, body: customer, at }),
    vehicle: car && vehicleOf(car, newCarId, customerId),
  };
}

/** The jobs of a quote that is taken over: of this device's copy, or the server's. */
async function jobsOf(workOrderId: string): Promise<CopiedJobs> {
  const kept = (await showKept(workOrderId)) ? useSync.getState().views[workOrderId] : undefined;
  return (kept ?? (await loadWorkOrder(workOrderId))).state.jobs;
}
