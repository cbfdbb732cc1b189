import type { ClientWorkOrderCommand, JobFit, LaborGuide, LibraryJob, Offer, Position } from "@mechanon/core";
import { derivedId } from "./derivedId";

/** A job a caller wants; its id is that of the job it becomes. */
export type WantedJob = { id: string } & (
  | {
      kind: "library";
      libraryJobId: string;
      positions: Position[];
      variantId: string | null;
      /** The words of the concern it answers. */
      answers: string | null;
    }
  | { kind: "operation"; operationId: string; positions: Position[] }
  | { kind: "own"; title: string }
);

/** A concern of the call, with the id it will have. */
export interface DraftConcern {
  id: string;
  text: string;
}

/** A job of the library as it was picked. */
export function wantedOf(
  id: string,
  { libraryJob, concernId }: Pick<Offer, "libraryJob" | "concernId">,
  { positions, variantId }: JobFit,
  concerns: readonly DraftConcern[],
): WantedJob {
  const answers = concerns.find((concern) => concern.id === concernId)?.text ?? null;
  return { id, kind: "library", libraryJobId: libraryJob.id, positions: [...positions], variantId, answers };
}

/** What jobs of a call are fitted with. */
export interface WantedAround {
  library: readonly LibraryJob[];
  guide: LaborGuide | undefined;
  facts: JobFit["facts"];
  isAfterHours: boolean;
  concerns: readonly DraftConcern[];
}

/** A command that puts a job on a work order. */
export type WantedCommand = Extract<ClientWorkOrderCommand, { type: "addJob" | "addOperation" | "addOwnJob" }>;

/** What puts a wanted job on the work order. @returns null where the library has it no more. */
export function wantedCommand(
  job: WantedJob,
  { library, facts, isAfterHours, concerns }: WantedAround,
): WantedCommand | null {
  const { id: jobId } = job;
  const idAt = (place: number): string => derivedId(jobId, place);
  switch (job.kind) {
    case "own":
      return { type: "addOwnJob", jobId, title: job.title, concernId: null, on: { facts, isAfterHours } };
    case "operation": {
      const { operationId, positions } = job;
      const lineId = idAt(1);
      return { type: "addOperation", jobId, lineId, operationId, positions, facts, isAfterHours, concernId: null };
    }
    case "library": {
      const { libraryJobId, positions, variantId, answers } = job;
      const template = library.find(({ id }) => id === libraryJobId);
      if (!template) return null;
      return {
        type: "addJob",
        jobId,
        libraryJobId,
        lineIds: template.lines.map((_, line) => idAt(1 + line)),
        concernId: concerns.find(({ text }) => text === answers)?.id ?? null,
        pointIds: [],
        fit: { facts, isAfterHours, positions, variantId },
      };
    }
  }
}
