import { create } from "zustand";
import type { WorkOrderView } from "@mechanon/contract";
import type { PhotoPlace } from "../device/deviceDatabase";
import type { Pending } from "./pending";

/** A photo whose bytes are not at the server. */
export interface WaitingPhoto {
  id: string;
  /** Why the server does not take it, in its words; null: it waits for its turn. */
  refusal: string | null;
  /** Where it was taken; null: it is not known of one that yesterday's app kept. */
  place: PhotoPlace | null;
  /** How much of it is at the server, 0 to 1; absent: nothing yet. */
  sentShare?: number;
}

/** Whether what is done here outlives this page: `none`: the browser keeps nothing; `full`: it has no room left. */
export type Keeping = "kept" | "none" | "full";

interface SyncState {
  /** Whose work is sent from this device now. */
  personId: string | null;
  /** The server's copies, by work order, as far as they were looked at. */
  views: Readonly<Record<string, WorkOrderView>>;
  /** When the server said so. */
  asOf: Readonly<Record<string, string>>;
  /** What waits to be sent, oldest first. */
  pending: readonly Pending[];
  /** What the server did not take. */
  refused: readonly Pending[];
  photos: readonly WaitingPhoto[];
  keeping: Keeping;
  online: boolean;
  sending: boolean;
  /** Why nothing goes out now: nobody is signed in, the app is too old or newer than the server; in the server's words. */
  halted: string | null;
  failures: number;
}

export const useSync = create<SyncState>()(() => ({
  personId: null,
  views: {},
  asOf: {},
  pending: [],
  refused: [],
  photos: [],
  keeping: "kept",
  online: true,
  sending: false,
  halted: null,
  failures: 0,
}));
