import type { WorkOrderView } from "@mechanon/contract";
import type { LaborGuide } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import type { Fitter } from "../jobLibrary/jobChoice";
import { derivedId } from "../newWork/derivedId";
import { jobCommands } from "../newWork/jobCommands";
import type { Business } from "../session/useSession";
import { give } from "../sync/give";

/**
 * Opens another quote of the same customer and car with the same jobs, fitted anew at the prices of today.
 * @returns the id of the new work order.
 */
export async function copyQuote(
  { state, customer, vehicle }: WorkOrderView,
  { library, guide }: Pick<Business, "library"> & { guide: LaborGuide | undefined },
  { facts, isAfterHours }: Pick<Fitter, "facts" | "isAfterHours">,
): Promise<string> {
  const id = uuid();
  // This is another price for what the customer said: the jobs answer it there, too.
  const concerns = state.concerns.map(({ text, kind, phraseId }) => ({ id: uuid(), text, kind, phraseId }));
  const concernsHere = new Map(state.concerns.map((before, index) => [before.id, concerns[index]?.id ?? ""]));
  const commands = jobCommands(
    { wanted: [], copied: state.jobs, libraryJobIds: [], concernsHere },
    { library, guide, facts, isAfterHours, concerns: [] },
    (place) => derivedId(id, place),
  );
  await give([
    {
      kind: "workOrder",
      target: id,
      command: {
        type: "openWorkOrder",
        customerId: state.customerId,
        vehicleId: state.vehicleId,
        concerns,
      },
      parties: { customer, vehicle },
    },
    ...commands.map((command) => ({ kind: "workOrder" as const, target: id, command })),
  ]);
  return id;
}
