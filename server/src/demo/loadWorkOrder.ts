import { LIBRARY, SETTINGS, type DemoWorkOrder } from "@mechanon/demo";
import { ONLY_KEY, fillGaps } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { findWorkOrder, runWorkOrderCommands } from "../workOrders/service";
import type { DemoRun } from "./demoRun";
import { loadAnswers } from "./loadAnswers";
import type { LoadingOrder } from "./loadingOrder";
import { loadVisit } from "./loadVisit";

interface LoadedConcern {
  id: string;
  text: string;
  kind: "fault" | "wish";
  phraseId: string | null;
}

/** A work order with its visits, by the commands that would have made it. */
export async function loadWorkOrder(run: DemoRun, order: DemoWorkOrder): Promise<void> {
  const car = run.cars.get(order.car);
  if (!car) throw new Error(`the demo names a car that is not there: ${order.car}`);
  const { businessId } = run;
  const id = uuid();
  const openedAt = run.at(-order.openedDaysAgo, "08:15");
  const lastVisit = order.visits.at(-1);
  const loading: LoadingOrder = {
    order,
    customerName: car.customerName,
    onSiteAt: lastVisit ? run.startOf(lastVisit) : openedAt,
    state: async () => (await findWorkOrder({ businessId }, id)).state,
    send: (command, at) =>
      runWorkOrderCommands(run.deps, run.scope(lastVisit?.mechanic), id, [{ id: uuid(), at, command }]),
  };
  const concerns = concernsOf(order);
  const { customerId, vehicleId, place } = car;
  await loading.send({ type: "openWorkOrder", customerId, vehicleId, concerns }, openedAt);
  for (const visit of order.visits) await loadVisit(run, visit, { workOrderId: id, place, bookedAt: openedAt });
  await inspect(loading);
  await quote(loading, concerns);
  if (order.answers) await loadAnswers(loading);
}

function concernsOf({ concerns, ownWords }: DemoWorkOrder): LoadedConcern[] {
  const picked = concerns.map((phraseId): LoadedConcern => {
    const phrase = SETTINGS.concerns.find((candidate) => candidate.id === phraseId);
    if (!phrase) throw new Error(`the demo names a concern that is not there: ${phraseId}`);
    return { id: uuid(), text: fillGaps(phrase.text, {}), kind: phrase.kind, phraseId };
  });
  return ownWords === undefined ? picked : [...picked, { id: uuid(), text: ownWords, kind: "fault", phraseId: null }];
}

async function inspect({ order, onSiteAt, send }: LoadingOrder): Promise<void> {
  const { odometer, pressures, findings = {} } = order;
  if (odometer !== undefined) await send({ type: "recordOdometer", miles: odometer }, onSiteAt);
  if (pressures) {
    const [frontPsi, rearPsi] = pressures;
    await send({ type: "recordPressures", frontPsi, rearPsi }, onSiteAt);
  }
  for (const [pointId, { grade, measured = null, note = "" }] of Object.entries(findings))
    await send(
      { type: "gradePoint", pointId, grade, measures: measured === null ? {} : { [ONLY_KEY]: measured }, note },
      onSiteAt,
    );
}

async function quote({ order, onSiteAt, send }: LoadingOrder, concerns: readonly LoadedConcern[]): Promise<void> {
  for (const libraryJobId of order.jobs ?? []) {
    const job = LIBRARY.find((candidate) => candidate.id === libraryJobId);
    const answered = concerns.find(({ phraseId }) => phraseId !== null && job?.answersConcerns.includes(phraseId));
    await send(
      {
        type: "addJob",
        jobId: uuid(),
        libraryJobId,
        lineIds: (job?.lines ?? []).map(() => uuid()),
        concernId: answered?.id ?? null,
        pointIds: [],
      },
      onSiteAt,
    );
  }
}
