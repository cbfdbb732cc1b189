import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { Unreachable } from "../api/problem";

/** Lets the times go that are held for a call, work order or visit that is given up. */
export function letTimesGo(heldFor: string): void {
  call(routes.letTimesGo, { params: { id: heldFor } }).catch((error: unknown) => {
    // Nobody was reached: they are let go by themselves after ten minutes.
    if (!(error instanceof Unreachable)) reportError(error);
  });
}
