import { z } from "zod";
import { approvedJobs } from "../approvals/standing";
import { uuid } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import type { QuoteSlice } from "../quoting/slice";
import type { ApprovalSlice } from "../approvals/slice";
import type { ArrivalSlice } from "../arrival/slice";
import type { SourcingSlice } from "../sourcing/slice";
import { takeBack, takeBackOnPageSchema } from "./takeBack";
import type { WorkConflict } from "./conflicts";

const finishJobs = z.strictObject({ type: z.literal("finishJobs"), jobIds: z.array(uuid).min(1).max(100) });

const rule = ruleFor<QuoteSlice & ConflictSlice, Pick<QuoteSlice, "jobs"> & ConflictSlice>();

const takeBackRule = ruleFor<
  QuoteSlice & SourcingSlice & Pick<ApprovalSlice, "takenBack"> & Pick<ArrivalSlice, "apart">,
  Pick<QuoteSlice, "jobs"> & Pick<ApprovalSlice, "takenBack">
>();

export const workRules = {
  takeBackOnPage: takeBackRule({
    schema: takeBackOnPageSchema,
    kind: "intention",
    source: "server",
    apply: takeBack,
  }),
  finishJobs: rule({
    schema: finishJobs,
    kind: "fact",
    apply(state, { jobIds }, context) {
      const standing = new Set(approvedJobs(state).map(({ id }) => id));
      const unapproved = state.jobs.filter(({ id }) => jobIds.includes(id) && !standing.has(id));
      const titles = unapproved.map(({ title }) => title).join(", ");
      const code: WorkConflict = "job/not-approved";
      return {
        jobs: state.jobs.map((job) =>
          jobIds.includes(job.id) ? { ...job, finishedAt: job.finishedAt ?? context.at } : job,
        ),
        conflicts: unapproved.length === 0 ? state.conflicts : markConflict(state.conflicts, code, titles, context),
      };
    },
  }),
};
