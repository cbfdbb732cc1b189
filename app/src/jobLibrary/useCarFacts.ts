import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import { NO_FACTS, carFactsOf, specLines, type CarFacts } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { askSpecs } from "../cars/askSpecs";
import { useCarSheet } from "../cars/useCarSheet";
import { useToday } from "../day/useDay";

/**
 * What is known of the car of a work order, with what this device knows of its specs; the source is asked once by itself.
 * @param isKept - false: nobody keeps the car yet, and nothing is on record of it.
 */
export function useCarFacts({ vehicle }: Pick<WorkOrderView, "vehicle">, isKept = true): CarFacts {
  const queries = useQueryClient();
  const thisYear = Number(useToday().slice(0, 4));
  const { sheet } = useCarSheet(vehicle?.id ?? "", vehicle !== null && isKept);
  const isUnasked =
    isKept &&
    sheet?.specs === null &&
    vehicle !== null &&
    vehicle.year !== null &&
    vehicle.make !== null &&
    vehicle.model !== null;
  const vehicleId = vehicle?.id;
  useEffect(() => {
    // Without a signal, or where the source is down, the library's own amounts stand and say so.
    if (isUnasked && vehicleId !== undefined) void askSpecs(queries, vehicleId).catch(() => undefined);
  }, [isUnasked, vehicleId, queries]);
  return useMemo(
    () =>
      vehicle === null
        ? NO_FACTS
        : carFactsOf(vehicle, specLines(sheet?.specs ?? null, sheet?.corrections ?? []), thisYear),
    [vehicle, sheet, thisYear],
  );
}
