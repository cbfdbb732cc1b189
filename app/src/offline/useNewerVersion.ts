import { create } from "zustand";
import { TAKE_OVER } from "./takeOver";

interface NewerVersion {
  /** A newer version of the app that is on the device whole and waits until it may take over; null: this is the newest. */
  waiting: ServiceWorker | null;
  /** Another tab took it: this page still runs the older one. */
  isTaken: boolean;
  /** The person said so here: it takes over as soon as the older one has handed out what is being loaded. */
  isOpening: boolean;
}

export const useNewerVersion = create<NewerVersion>()(() => ({ waiting: null, isTaken: false, isOpening: false }));

/** So often a page that stays open looks for a newer version. */
const EVERY_MS = 30 * 60_000;

/**
 * Notices a newer version as it is whole on the device.
 * @param controls - whether an older one runs this page: the very first one takes over by itself.
 */
export function watchForNewer(registration: ServiceWorkerRegistration, controls: () => boolean): void {
  const note = (): void => {
    if (registration.waiting && controls()) useNewerVersion.setState({ waiting: registration.waiting });
  };
  const follow = (): void => registration.installing?.addEventListener("statechange", note);
  note();
  // On a slow phone it was found before this page got to look.
  follow();
  if (controls())
    navigator.serviceWorker.addEventListener("controllerchange", () => useNewerVersion.setState({ isTaken: true }));
  registration.addEventListener("updatefound", follow);
  // Without a signal it is looked for the next time.
  setInterval(() => void registration.update().catch(() => undefined), EVERY_MS);
}

/** So long the older version may take to let go; a page that is opened anew gives it one more moment to. */
const LETS_GO_WITHIN_MS = 5_000;

/** Lets the newer version take over, and opens the page with it; half written forms and what waits stay on the device. */
export function takeNewerVersion(): void {
  const { waiting, isTaken } = useNewerVersion.getState();
  if (isTaken) return location.reload();
  if (!waiting) return;
  useNewerVersion.setState({ isOpening: true });
  navigator.serviceWorker.addEventListener("controllerchange", () => location.reload(), { once: true });
  setTimeout(() => location.reload(), LETS_GO_WITHIN_MS);
  waiting.postMessage(TAKE_OVER);
}
