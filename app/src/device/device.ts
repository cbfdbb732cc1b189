import { bringForward } from "./bringForward";
import { DeviceDatabase } from "./deviceDatabase";

interface Opened {
  personId: string;
  database: DeviceDatabase | null;
}

/** Where what is done on this device is kept; a database of null: nowhere but in this page. */
let current: Opened | null = null;
let opening: Promise<DeviceDatabase | null> | null = null;
const waiting = new Set<(database: DeviceDatabase | null) => void>();

/** @returns the database of the person signed in; null where the browser keeps nothing, as in a private window. */
export function device(): DeviceDatabase | null {
  return current?.database ?? null;
}

/** @returns the same, once it is known who is signed in and what is kept for them is open. */
export function whenOpen(): Promise<DeviceDatabase | null> {
  if (opening) return opening;
  return new Promise((opened) => waiting.add(opened));
}

/**
 * Opens what is kept for a person, and brings along what yesterday's app kept of theirs.
 * @returns null where the browser keeps nothing.
 */
export function openDevice(personId: string): Promise<DeviceDatabase | null> {
  if (opening && current?.personId === personId) return opening;
  current?.database?.close();
  current = { personId, database: null };
  opening = open(personId).then((database) => {
    if (current?.personId === personId) current = { personId, database };
    for (const opened of waiting) opened(database);
    waiting.clear();
    return database;
  });
  return opening;
}

async function open(personId: string): Promise<DeviceDatabase | null> {
  if (typeof indexedDB === "undefined") return null;
  const database = new DeviceDatabase(personId);
  try {
    await database.open();
    await bringForward(database, personId);
  } catch (error) {
    // A private window, or storage that was taken away: the app works, and says that nothing is kept.
    reportError(error);
    return null;
  }
  void askToStay();
  // Another tab opens one of a newer version: this one lets go of it, and says that it keeps nothing any more.
  database.on("versionchange", () => database.close());
  return database;
}

/** Closes what is open; nobody is signed in. */
export function closeDevice(): void {
  current?.database?.close();
  current = null;
  opening = null;
}

/** Asks the browser to let go of nothing of its own accord; it may say no without asking anybody. */
async function askToStay(): Promise<void> {
  if (typeof navigator === "undefined" || !("storage" in navigator)) return;
  try {
    await navigator.storage.persist();
  } catch (error) {
    reportError(error);
  }
}
