import type { QueryClient } from "@tanstack/react-query";
import { routes, type Customer } from "@mechanon/contract";
import { call } from "../api/call";
import { Unreachable } from "../api/problem";
import { keptAnswer } from "../offline/keptAnswers";
import { useSync } from "../sync/state";
import { withCustomerChanges } from "../sync/withKeptChanges";
import { customerHere } from "./customerHere";

/**
 * A customer as this device shows them: as the server says, or as this device knows them where it cannot be asked.
 * @throws what `call` throws, where nothing is known.
 */
export async function askCustomer(queries: QueryClient, id: string): Promise<Customer> {
  const { pending, refused } = useSync.getState();
  const here = customerHere(id, [...pending, ...refused]);
  if (here) return here.customer;
  const queryKey = ["customer", id];
  try {
    const sheet = await queries.fetchQuery({
      queryKey,
      queryFn: () => call(routes.getCustomer, { params: { id } }),
      networkMode: "always",
    });
    return withCustomerChanges(sheet.customer, pending);
  } catch (error) {
    const kept = error instanceof Unreachable ? await keptAnswer(queryKey, routes.getCustomer.answer) : null;
    if (!kept) throw error;
    return withCustomerChanges(kept.answer.customer, pending);
  }
}
