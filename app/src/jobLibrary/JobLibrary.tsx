import { v7 as uuid } from "uuid";
import { offersForConcerns, offersForFindings } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { addFromGuide } from "./addFromGuide";
import { addFromLibrary } from "./addFromLibrary";
import { JobFinder } from "./JobFinder";
import { useFitter } from "./useFitter";

interface JobLibraryProps {
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}

/** The jobs kept ready, for the quote of a work order. */
export function JobLibrary({ view, business, onDone }: JobLibraryProps) {
  const { state } = view;
  const fitter = useFitter(view, business);
  const { facts, isAfterHours } = fitter;
  return (
    <JobFinder
      business={business}
      fitter={fitter}
      offers={[...offersForFindings(state, business.library), ...offersForConcerns(state, business.library)]}
      concerns={state.concerns}
      onAdd={(picked) => {
        for (const { offer, fit } of picked) addFromLibrary(state.id, offer.libraryJob, offer, fit);
        onDone();
      }}
      onOperation={(operationId, positions) => {
        addFromGuide(state.id, { operationId, positions }, fitter);
        onDone();
      }}
      onOwn={(title) => {
        const on = { facts, isAfterHours };
        sendCommand(state.id, { type: "addOwnJob", jobId: uuid(), title, concernId: null, on });
        onDone();
      }}
      onClose={state.jobs.length > 0 ? onDone : undefined}
    />
  );
}
