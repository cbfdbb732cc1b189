import type { ReactNode } from "react";
import { BusinessSlot, useLoadedBusiness } from "./useSession";

/** Gives all below it the business: a list of a thousand rows asks for it once. */
export function BusinessProvider({ children }: { children: ReactNode }) {
  return <BusinessSlot.Provider value={useLoadedBusiness()}>{children}</BusinessSlot.Provider>;
}
