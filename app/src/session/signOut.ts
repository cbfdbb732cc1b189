import type { QueryClient } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { Unreachable } from "../api/problem";
import { closeDevice, device } from "../device/device";
import { sealDevice } from "../device/seal";
import { forgetKept } from "../offline/orKept";
import { emptyLine } from "../sync/line";
import { flush, stopSending } from "../sync/sender";
import { useSync } from "../sync/state";
import { leaveTabs } from "../sync/tabs";
import { forgetViews } from "../sync/views";

/** Says that somebody signed out without a connection: the server is told as soon as it can be. */
const OWED = "mechanon-sign-out-owed";

/**
 * Signs out: what waits is sent first, where it can be; what is left stays sealed for its person, all else goes.
 * What no database keeps is not sealed: whoever signs out is asked before.
 *
 * @throws {ApiProblem} when the server says no; nothing was done then.
 */
export async function signOut(queries: QueryClient): Promise<void> {
  await flush();
  try {
    await call(routes.signOut, {});
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    localStorage.setItem(OWED, "yes");
  }
  await leave(queries);
}

/** Leaves this device as after a sign-out, whoever ended the session. */
export async function leave(queries: QueryClient): Promise<void> {
  stopSending();
  const database = device();
  if (database) await sealDevice(database);
  closeDevice();
  leaveTabs();
  emptyLine();
  forgetViews();
  forgetKept();
  useSync.setState({ personId: null, photos: [] });
  queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== "me" });
  queries.setQueryData(["me"], null);
}

/** Somebody signed in: the server ended the session before with it, so that nothing is owed any more. */
export function forgetOwedSignOut(): void {
  if (typeof localStorage !== "undefined") localStorage.removeItem(OWED);
}

/** Whether somebody signed out here and the server does not know it yet. @returns false once it does. */
export async function settleSignOut(): Promise<boolean> {
  if (typeof localStorage === "undefined" || localStorage.getItem(OWED) === null) return false;
  try {
    await call(routes.signOut, {});
    localStorage.removeItem(OWED);
    return false;
  } catch (error) {
    if (error instanceof Unreachable) return true;
    throw error;
  }
}
