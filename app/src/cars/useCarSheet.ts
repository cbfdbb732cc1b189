import { useQueryClient } from "@tanstack/react-query";
import { routes, type CustomerSheetView, type VehicleSheetView } from "@mechanon/contract";
import { call } from "../api/call";
import { useMemo } from "react";
import { useAnswer } from "../offline/useAnswer";
import { useSync } from "../sync/state";
import { useStaying } from "../sync/useStaying";
import { useMe } from "../session/useSession";
import { withCarSheetChanges } from "../sync/withKeptChanges";
import { carHere } from "./carHere";

export const carSheetKey = (id: string): string[] => ["car", id];

/** A car with all that hangs on it; one that was taken down here is there before the server knows of it. */
export function useCarSheet(
  id: string,
  enabled = true,
): {
  sheet: VehicleSheetView | undefined;
  error: unknown;
  reload: () => void;
  answeredAt: number;
} {
  const queries = useQueryClient();
  const pending = useSync((state) => state.pending);
  const refused = useSync((state) => state.refused);
  const { data, error, refetch, dataUpdatedAt } = useAnswer({
    key: carSheetKey(id),
    schema: routes.vehicleSheet.answer,
    load: () => call(routes.vehicleSheet, { params: { id } }),
    enabled,
  });
  const here = useMemo(() => {
    const ownerOf = (customerId: string): string | undefined =>
      queries.getQueryData<CustomerSheetView>(["customer", customerId])?.customer.name;
    return data ? undefined : carHere(id, [...pending, ...refused], ownerOf);
  }, [id, data, pending, refused, queries]);
  const staying = useStaying(id, here);
  const known = data ?? staying;
  const { me } = useMe();
  const sheet = useMemo(
    () => known && withCarSheetChanges(known, pending, (id) => (id === me?.id ? me.name : "somebody")),
    [known, pending, me],
  );
  return { sheet, error: sheet ? null : error, reload: () => void refetch(), answeredAt: dataUpdatedAt };
}
