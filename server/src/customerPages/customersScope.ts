import { NOBODY } from "../access/nobody";
import type { Deps, Scope } from "../scope";
import type { FoundPage } from "./findPage";

/** As whom a customer's own acts are done and kept: nobody of ours. */
export async function customersScope(
  { rules }: Pick<Deps, "rules">,
  { businessId }: Pick<FoundPage, "businessId">,
): Promise<Scope> {
  const { name: businessName, timeZone } = await rules.now(businessId);
  return { businessId, businessName, timeZone, actor: { id: NOBODY, name: businessName, rights: [] } };
}
