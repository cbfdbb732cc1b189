import { useQuery } from "@tanstack/react-query";
import { routes, type VehicleSheet } from "@mechanon/contract";
import { call } from "../api/call";

export const carSheetKey = (id: string): string[] => ["car", id];

/** A car with all that hangs on it. */
export function useCarSheet(id: string): { sheet: VehicleSheet | undefined; error: unknown; reload: () => void } {
  const { data, error, refetch } = useQuery({
    queryKey: carSheetKey(id),
    queryFn: () => call(routes.vehicleSheet, { params: { id } }),
  });
  return { sheet: data, error: data ? null : error, reload: () => void refetch() };
}
