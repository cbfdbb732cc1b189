import { routes, type Found } from "@mechanon/contract";
import { call } from "../api/call";
import { Unreachable } from "../api/problem";
import { searchHere } from "./searchHere";

export interface Answered extends Found {
  /** Without a signal: among what this device knows. */
  isFromHere: boolean;
}

/** Looks for customers and work orders: at the server, or where it cannot be asked on this device. */
export async function askSearch(typed: string): Promise<Answered> {
  try {
    return { ...(await call(routes.search, { query: { q: typed } })), isFromHere: false };
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    return { ...(await searchHere(typed)), isFromHere: true };
  }
}
