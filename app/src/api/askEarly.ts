import { PERSON_HEADER } from "@mechanon/contract";
import { KEPT_PREFIX } from "../offline/orKept";
import "./askedEarly";

/**
 * A script of its own that the page runs first: asks for what the first screen shows while the app's scripts are still on
 * their way, in place of one after the other when they have come. `call` takes the answers.
 */

const STANDS_STILL_MS = 15_000;

/** Of whom this page is, as `useMe` keeps them. */
function keptPerson(): Record<string, string> {
  try {
    const kept = JSON.parse(localStorage.getItem(`${KEPT_PREFIX}me`) ?? "null") as { id?: unknown } | null;
    return typeof kept?.id === "string" ? { [PERSON_HEADER]: kept.id } : {};
  } catch {
    // A storage that may not be read or was cut off: then nobody is named.
    return {};
  }
}

if (!location.pathname.startsWith("/sign-in")) {
  // Swedish writes a day as ISO does. Of a device in another zone than the business it may be another's: then it is let go.
  const date = new Date().toLocaleDateString("sv-SE");
  const of = keptPerson();
  // On a line that stands still there is no answer, and it is asked again in the ordinary way.
  const signal = AbortSignal.timeout(STANDS_STILL_MS);
  const ask = (address: string, headers: Record<string, string>): Promise<Response | null> =>
    fetch(address, { signal, credentials: "same-origin", headers: { Accept: "application/json", ...headers } }).catch(
      () => null,
    );
  globalThis.mechanonAsked = {
    // Whoever is signed in, not for whom this page is.
    "/api/session": ask("/api/session", {}),
    "/api/business": ask("/api/business", of),
    "/api/library": ask("/api/library", of),
    ...(location.pathname === "/" ? { [`/api/day?date=${date}`]: ask(`/api/day?date=${date}`, of) } : {}),
  };
}
