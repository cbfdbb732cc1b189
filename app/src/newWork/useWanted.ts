import { isAfterHours, type LibraryJob } from "@mechanon/core";
import { doesNotApplyWords } from "../jobLibrary/fitWords";
import { fromToPrice, jobChoice, type Fitter } from "../jobLibrary/jobChoice";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import { useMe, type Business } from "../session/useSession";
import { vehicleOf } from "../sync/madeHere";
import type { Draft } from "./draft";
import { draftConcerns } from "./draftConcerns";
import { tryWanted } from "./tryWanted";
import { wantedCommand, type WantedAround, type WantedJob } from "./wantedJob";

/** A wanted job as it would be on the work order. */
export interface WantedRow {
  job: WantedJob;
  title: string;
  /** From-to until the car is known; null: it does not fit. */
  price: string | null;
  /** Why it does not fit. */
  fault: string | null;
  /** Undefined: it is not of the library. */
  template: LibraryJob | undefined;
}

export interface Wanted {
  around: WantedAround;
  fitter: Fitter;
  rows: WantedRow[];
  /** All of them together, before taxes; null: none. */
  price: string | null;
}

/** The work a caller wants, fitted to the car as far as that is known, and priced. */
export function useWanted(draft: Draft, business: Business): Wanted {
  const { me } = useMe();
  const { library, guide, settings, timeZone } = business;
  const { car, slot } = draft;
  const vehicle = car && vehicleOf(car, draft.vehicleId, draft.customerId);
  const facts = useCarFacts({ vehicle }, car?.kind === "kept");
  const isLate = slot !== null && isAfterHours(slot.startsAt, timeZone, settings.rules.workHours);
  const around: WantedAround = { library, facts, isAfterHours: isLate, concerns: draftConcerns(draft), guide };
  const commands = draft.jobs.flatMap((job) => wantedCommand(job, around) ?? []);
  const actor = me ?? NOBODY;
  const { state, refused } = tryWanted(draft.workOrderId, commands, { actor, settings, library, guide });
  const fitter: Fitter = { quote: state, facts, guide, isAfterHours: isLate };
  const rowOf = (job: WantedJob): WantedRow => {
    const tried = state.jobs.find(({ id }) => id === job.id);
    const template = job.kind === "library" ? library.find(({ id }) => id === job.libraryJobId) : undefined;
    const title = tried?.title ?? template?.title ?? (job.kind === "own" ? job.title : "Work that was picked");
    if (tried) return { job, title, price: fromToPrice([tried], state), fault: null, template };
    const not = template && jobChoice(template, fitter).fitted.doesNotApply;
    const fault = not ? doesNotApplyWords(not) : (refused.get(job.id) ?? "It is not in the library any more.");
    return { job, title, price: null, fault, template };
  };
  const rows = draft.jobs.map(rowOf);
  return { around, fitter, rows, price: state.jobs.length > 0 ? fromToPrice(state.jobs, state) : null };
}

const NOBODY = { id: "", name: "", rights: [] };
