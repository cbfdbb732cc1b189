import type { QueryClient } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { carSheetKey } from "./useCarSheet";

/** Has the source asked what a car needs, and shows it. @throws what `call` throws; what was known stays. */
export async function askSpecs(queries: QueryClient, vehicleId: string): Promise<void> {
  const changed = await call(routes.refreshSpecs, { params: { id: vehicleId } });
  const queryKey = carSheetKey(vehicleId);
  // An answer that is on its way still would tell of before.
  await queries.cancelQueries({ queryKey, exact: true }, { silent: true });
  queries.setQueryData(queryKey, changed);
}
