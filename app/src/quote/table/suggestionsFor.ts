import { isWholeOrder, offersForConcerns, offersForFindings, type Job, type JobFit, type Offer } from "@mechanon/core";
import type { UsedPart, WorkOrderView } from "@mechanon/contract";
import { jobChoice, type Fitter } from "../../jobLibrary/jobChoice";
import { shownOffers } from "../../jobLibrary/shownOffers";
import type { Business } from "../../session/useSession";
import { partChoices, type PartChoice } from "../partChoices";

const MOST = 6;

/** What can be put where one is typing, besides what is typed itself. */
export type Suggestion = { key: string; label: string } & (
  { what: "part"; job: Job; choice: PartChoice } | { what: "job"; offer: Offer; fit: JobFit }
);

/** Parts for a line of a job, by what is typed. */
export function partSuggestions(
  typed: string,
  job: Job,
  { business, view, used }: { business: Business; view: WorkOrderView; used: readonly UsedPart[] },
): Suggestion[] {
  // The amount in front is no word of its name.
  const words = typed.replace(/^\s*\d+(\.\d+)?\s*(x|×)?\s+/i, "");
  return partChoices(words, business.settings.stock, business.library, used, view.state.rules)
    .slice(0, MOST)
    .map((choice) => ({ what: "part", job, choice, key: choice.key, label: `${choice.title}: ${choice.why}` }));
}

/** Jobs kept ready, by what is typed; what fits findings and concerns first. */
export function jobSuggestions(typed: string, view: WorkOrderView, business: Business, fitter: Fitter): Suggestion[] {
  if (typed.trim() === "") return [];
  const fitting = [
    ...offersForFindings(view.state, business.library),
    ...offersForConcerns(view.state, business.library),
  ];
  return shownOffers(fitting, business.library, typed, "")
    .filter(({ libraryJob }) => !isWholeOrder(libraryJob))
    .slice(0, MOST)
    .flatMap((offer): Suggestion[] => {
      const { fitted, fit, price } = jobChoice(offer.libraryJob, fitter);
      const { id, title } = offer.libraryJob;
      return fitted.doesNotApply ? [] : [{ what: "job", offer, fit, key: id, label: `${title}, ${price}` }];
    });
}
