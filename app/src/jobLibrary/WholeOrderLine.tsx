import type { JobFit, LibraryJob, Offer } from "@mechanon/core";
import { ChoiceRow } from "./ChoiceRow";
import { wholeOrderChoice, type Fitter } from "./jobChoice";
import { broughtWords } from "./broughtWords";

interface WholeOrderLineProps {
  order: LibraryJob;
  library: readonly LibraryJob[];
  fitter: Fitter;
  onAdd: (picked: { offer: Offer; fit: JobFit }[]) => void;
}

/** A whole order kept ready: one tap puts all its jobs on the quote. */
export function WholeOrderLine({ order, library, fitter, onAdd }: WholeOrderLineProps) {
  const choice = wholeOrderChoice(order, library, fitter);
  const { jobs, price } = choice;
  return (
    <ChoiceRow
      title={order.title}
      spoken={`all of ${order.title}`}
      why={broughtWords(choice)}
      figure={jobs.length === 0 ? null : price}
      isOffered={jobs.length > 0}
      onAdd={() =>
        onAdd(jobs.map(({ job: libraryJob, fit }) => ({ offer: { libraryJob, pointIds: [], concernId: null }, fit })))
      }
      options={[]}
      onChoose={nothing}
    />
  );
}

const nothing = (): void => undefined;
