import { routes, type CustomerSheetView } from "@mechanon/contract";
import type { UseQueryResult } from "@tanstack/react-query";
import { call } from "../api/call";
import { useMemo } from "react";
import { useAnswer } from "../offline/useAnswer";
import { useSync } from "../sync/state";
import { useStaying } from "../sync/useStaying";
import { withSheetChanges } from "../sync/withKeptChanges";
import { customerHere } from "./customerHere";

/**
 * A customer with all that hangs on it; one that was taken down here is there before the server knows of it.
 * @param id - null: of nobody known yet.
 */
export function useCustomerSheet(
  id: string | null | undefined,
): Pick<UseQueryResult<CustomerSheetView>, "data" | "error" | "refetch" | "dataUpdatedAt"> {
  const pending = useSync((state) => state.pending);
  const refused = useSync((state) => state.refused);
  const { data, error, refetch, dataUpdatedAt } = useAnswer({
    key: ["customer", id],
    schema: routes.getCustomer.answer,
    load: () => call(routes.getCustomer, { params: { id: id ?? "" } }),
    enabled: typeof id === "string",
  });
  const here = useMemo(
    () => (typeof id === "string" && !data ? customerHere(id, [...pending, ...refused]) : undefined),
    [id, data, pending, refused],
  );
  const staying = useStaying(id, here);
  const known = data ?? staying;
  const sheet = useMemo(() => known && withSheetChanges(known, pending), [known, pending]);
  return { data: sheet, error: sheet ? null : error, refetch, dataUpdatedAt };
}
