import { countOf } from "@mechanon/core";
import type { Keeping } from "./state";

/** What there is to say of the work done on this device. */
export interface Standing {
  waiting: number;
  refused: number;
  online: boolean;
  keeping: Keeping;
  /** Why nothing goes out until somebody signs in again. */
  halted: string | null;
  /** The time at which the server last said how what is shown is; null: it says so itself, or never did. */
  asOf?: string | null;
}

/** The one line that says whether work is safe. */
export function syncWords({ waiting, refused, online, keeping, halted, asOf = null }: Standing): string {
  const changes = countOf(waiting, "change");
  const parts = [
    halted === null ? savedWords(waiting, online, changes) : `${halted} ${changes} kept here.`,
    !online && asOf !== null ? `As of ${asOf}` : "",
    refused > 0 ? `${countOf(refused, "change")} not taken` : "",
    waiting > 0 ? UNKEPT[keeping] : "",
  ];
  return parts.filter(Boolean).join(". ");
}

function savedWords(waiting: number, online: boolean, changes: string): string {
  if (waiting === 0) return online ? "Saved" : "No connection; everything so far is saved";
  return online ? `Saving ${changes}` : `No connection; ${changes} kept here, sent when there is signal`;
}

const UNKEPT: Record<Keeping, string> = {
  kept: "",
  none: "This browser keeps nothing: leave this page open until it is sent",
  full: "This phone is full: leave this page open until it is sent, and make room",
};
