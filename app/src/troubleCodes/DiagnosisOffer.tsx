import type { WorkOrderView } from "@mechanon/contract";
import { addFromLibrary } from "../jobLibrary/addFromLibrary";
import { jobChoice } from "../jobLibrary/jobChoice";
import { useFitter } from "../jobLibrary/useFitter";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Plus } from "../ui/icons";

/** Finding out what a code means is work: the diagnosis is one tap away, for the concern the code may explain. */
export function DiagnosisOffer({ view, business }: { view: WorkOrderView; business: Business }) {
  const { state } = view;
  const fitter = useFitter(view, business);
  const job = business.library.find(({ isDiagnosis }) => isDiagnosis);
  if (!job || state.jobs.some(({ isDiagnosis }) => isDiagnosis)) return null;
  const { fit, price } = jobChoice(job, fitter);
  const concernId = state.codes.find((code) => code.concernId !== null)?.concernId ?? null;
  return (
    <Button
      icon={Plus}
      label={`${job.title} · ${price}`}
      spoken={`${job.title} · ${price} to the quote`}
      onPress={() => addFromLibrary(state.id, job, { pointIds: [], concernId }, fit)}
      testID="offer-diagnosis"
    />
  );
}
