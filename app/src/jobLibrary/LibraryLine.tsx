import type { JobFit, Offer } from "@mechanon/core";
import { ChoiceRow } from "./ChoiceRow";
import { doesNotApplyWords } from "./fitWords";
import { jobChoice, type Fitter } from "./jobChoice";

interface LibraryLineProps {
  offer: Offer;
  /** Why it is offered, or its area. */
  why: string;
  fitter: Fitter;
  onAdd: (offer: Offer, fit: JobFit) => void;
}

/** A job of the library as it is on this car: one tap puts it on the quote, where it is done or in which quality with it. */
export function LibraryLine({ offer, why, fitter, onAdd }: LibraryLineProps) {
  const { libraryJob } = offer;
  const { fitted, fit, price, positions, variants } = jobChoice(libraryJob, fitter);
  return (
    <ChoiceRow
      title={libraryJob.title}
      spoken={libraryJob.title}
      why={fitted.doesNotApply ? doesNotApplyWords(fitted.doesNotApply) : why}
      figure={fitted.doesNotApply ? null : price}
      isOffered={fitted.doesNotApply === null}
      onAdd={positions.length > 0 ? null : () => onAdd(offer, fit)}
      options={[...positions, ...variants]}
      onChoose={(option) => onAdd(offer, option.fit)}
    />
  );
}
