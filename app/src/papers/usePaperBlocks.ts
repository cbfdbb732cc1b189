import {
  mechanicsSheet,
  quotePaper,
  showVehicle,
  specLines,
  type Language,
  type Paper,
  type PaperBlock,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useShownHere } from "../answer/useShownHere";
import { useCarSheet } from "../cars/useCarSheet";
import type { Business } from "../session/useSession";

/** A paper of a work order as it stands on this phone, without a signal too. */
export function usePaperBlocks(
  view: WorkOrderView,
  business: Business,
  paper: Paper,
  language: Language,
): PaperBlock[] {
  const { state, number, customer, vehicle, visits } = view;
  const { shown } = useShownHere(view, business, language);
  const { sheet } = useCarSheet(vehicle?.id ?? "", vehicle !== null);
  const { name: businessName, settings, timeZone, people } = business;
  const { papers, phone: businessPhone, inspection: points } = settings;
  if (paper === "quote")
    return quotePaper(
      shown,
      { businessName, businessPhone, car: vehicle ? showVehicle(vehicle) : "", number },
      language,
    );
  return mechanicsSheet(state, {
    ...{ businessName, number, customer, vehicle, visits, points, papers, timeZone },
    people: new Map(people.map(({ id, name }) => [id, name])),
    specs: specLines(sheet?.specs ?? null, sheet?.corrections ?? []),
  });
}
