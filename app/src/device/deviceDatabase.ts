import Dexie, { type Table } from "dexie";
import type { WorkOrderView } from "@mechanon/contract";
import type { Pending } from "../sync/pending";

/** The server's copy of a work order, with what of it was not sent yet left out. */
export interface KeptView {
  id: string;
  view: WorkOrderView;
  /** When the server said so. */
  asOf: string;
  /** When it was last shown or taken along: the oldest goes first where room is needed. */
  usedAt: string;
}

/** What a photo was taken of: something of a work order, or a car to be told apart. */
export type PhotoPlace = { workOrderId: string } | { vehicleId: string };

/** A photo taken here, or one of the server's taken along. */
export interface KeptPhoto {
  id: string;
  blob: Blob;
  /** Of one taken here; none: the server's, or kept by yesterday's app. */
  place?: PhotoPlace;
  /** null: its bytes are not at the server yet. */
  sentAt: string | null;
  /** Why the server does not take it, in its words. */
  refusal: string | null;
  /** When it was taken, here or along. */
  usedAt: string;
}

/** What the server answered to a question, as it was asked last. */
export interface KeptAnswer {
  key: string;
  answer: unknown;
  asOf: string;
}

/** What could not be sent before its person signed out, readable by nobody else. */
export interface Sealed {
  id?: number;
  /** The photo whose bytes they are; null: they are acts. */
  photo: (Omit<KeptPhoto, "blob"> & { type: string }) | null;
  iv: Uint8Array<ArrayBuffer>;
  bytes: ArrayBuffer;
}

/** What one person's phone holds: what waits to be sent, and what was looked at and taken along. */
export class DeviceDatabase extends Dexie {
  outbox!: Table<Pending, number>;
  views!: Table<KeptView, string>;
  photos!: Table<KeptPhoto, string>;
  answers!: Table<KeptAnswer, string>;
  sealed!: Table<Sealed, number>;
  keys!: Table<{ id: string; key: CryptoKey }, string>;

  constructor(personId: string) {
    super(nameOf(personId));
    this.version(1).stores({
      outbox: "++seq, &id",
      views: "&id, usedAt",
      photos: "&id, usedAt",
      answers: "&key, asOf",
      sealed: "++id",
      keys: "&id",
    });
  }
}

const PREFIX = "mechanon-device-";

/** A database for each person: nobody finds what another one did on the same device. */
function nameOf(personId: string): string {
  return PREFIX + personId;
}
