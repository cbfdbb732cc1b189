import { countOf } from "@mechanon/core";

/** What signing out now would mean. */
export interface Leaving {
  isReachable: boolean;
  /** What is kept on this device and not sent. */
  waiting: number;
  /** What this device could not keep. */
  atRisk: number;
}

/** What has to be known before signing out; null: nothing, all is sent first. */
export function leaveWords({ isReachable, waiting, atRisk }: Leaving): string | null {
  if (atRisk > 0)
    return `${countOf(atRisk, "change")} could not be kept on this device: signed out and closed, they are gone. Leave this page open until they are sent.`;
  if (isReachable) return null;
  const kept =
    waiting === 0
      ? ""
      : ` ${countOf(waiting, "change")} ${waiting === 1 ? "stays" : "stay"} on this device, sealed for you, sent when you sign in again.`;
  return `No signal: you can sign in again only when there is one.${kept}`;
}
