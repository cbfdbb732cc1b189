import type { z } from "zod";
import { Refusal } from "../commands/refusal";
import { showPositions } from "../laborGuide/position";
import { resolveOperation } from "../laborGuide/resolveOperation";
import type { addOperationSchema } from "./commandSchemas";
import { toLineStep } from "./fitJob";
import { addLine, addOwnJob, type QuotingContext } from "./quoteChanges";
import type { QuotingRefusal } from "./refusals";
import type { LaborLine } from "./quoteLine";
import type { QuoteSlice } from "./slice";

const refuse = (code: QuotingRefusal): Refusal<QuotingRefusal> => new Refusal(code);

/**
 * Puts an operation of the labor guide on the quote, at the house's rate, as a line of the job of that id; a new job is
 * called as the operation is.
 * @throws {Refusal} when the guide has no hours for it on this car, or the ids are taken.
 */
export function addOperation(
  state: QuoteSlice,
  command: z.output<typeof addOperationSchema>,
  context: QuotingContext,
): Pick<QuoteSlice, "jobs"> {
  const { jobId, lineId: id, operationId, facts, positions, concernId } = command;
  const resolved = context.guide && resolveOperation(context.guide, operationId, facts, positions);
  if (resolved?.kind === "doesNotApply") throw refuse("job/does-not-apply");
  if (resolved?.kind !== "hours" || resolved.steps.length === 0) throw refuse("operation/no-hours");
  const { operation, steps, hours, hoursFrom } = resolved;
  const title = positions.length === 0 ? operation.title : `${operation.title}, ${showPositions(positions)}`;
  const line: LaborLine = {
    id,
    kind: "labor",
    description: title,
    hours,
    rateCents: state.rules.laborRateCents,
    wageCents: state.rules.wageCents,
    paidHours: null,
    operations: [operationId],
    steps: steps.map(toLineStep),
    sources: [{ of: "hours", from: "guide" }],
    ...(hoursFrom < hours ? { hoursFrom } : {}),
  };
  const isNew = !state.jobs.some((job) => job.id === jobId);
  const { jobs } = isNew
    ? addOwnJob(
        state,
        { type: "addOwnJob", jobId, title, concernId, on: { facts, isAfterHours: command.isAfterHours ?? false } },
        context,
      )
    : state;
  return addLine({ ...state, jobs }, jobId, line, "fromGuide");
}
