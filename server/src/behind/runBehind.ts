import type { JobHelpers } from "graphile-worker";
import type { Logger } from "pino";
import { movePhotos } from "./movePhotos";
import type { PhotoStore } from "../photoStore/photoStore";
import { fillLedger } from "./fillLedger";
import { addConstraints, makeIndexes } from "./indexes";
import { fillVisitTimes, moveHistory, moveRequests } from "./moves";
import type { BehindStep, Progress } from "./step";

export const BEHIND_TASK = "behind";

/** Everything left to be done behind the server, in this order. A landed step is never changed; a new one follows it. */
export const behindSteps = (photos: PhotoStore): readonly BehindStep[] => [
  makeIndexes,
  moveHistory,
  moveRequests,
  fillVisitTimes,
  fillLedger,
  addConstraints,
  movePhotos(photos),
];

/** How long one job of the queue goes on before it makes way for others. */
const TURN_MS = 5_000;

/** Does the next parts of what is left; says whether all of it is done. */
export async function runBehind(
  withClient: JobHelpers["withPgClient"],
  log: Pick<Logger, "info">,
  steps: readonly BehindStep[],
): Promise<"done" | "more"> {
  const until = Date.now() + TURN_MS;
  for (const step of steps) {
    let at = await progressOf(withClient, step.name);
    while (at !== null) {
      const from: Progress = at;
      at = await withClient(async (client) => {
        const reached = await step.run(client, from);
        await client.query(
          "update behind set at = coalesce($2, at), done_at = case when $2 is null then now() end where name = $1",
          [step.name, reached === null ? null : JSON.stringify(reached)],
        );
        return reached;
      });
      if (at === null) log.info({ step: step.name }, "done behind the server");
      else if (Date.now() > until) return "more";
    }
  }
  return "done";
}

/** How far a step got; null: it is done. */
async function progressOf(withClient: JobHelpers["withPgClient"], name: string): Promise<Progress | null> {
  return withClient(async (client) => {
    const { rows } = await client.query<{ at: Progress; done: boolean }>(
      `insert into behind (name) values ($1) on conflict (name) do update set name = excluded.name
       returning at, done_at is not null as done`,
      [name],
    );
    return rows[0] && !rows[0].done ? rows[0].at : null;
  });
}
