import { watchForNewer } from "./useNewerVersion";

/**
 * Keeps the app on the device, where the browser can, once the page itself is there. Without it all works as long as the
 * server answers.
 */
export function registerServiceWorker(): void {
  if (typeof navigator === "undefined" || !("serviceWorker" in navigator)) return;
  const workers = navigator.serviceWorker;
  const register = (): void => {
    workers.register("/sw.js").then(
      (registration) => watchForNewer(registration, () => workers.controller !== null),
      (error: unknown) => {
        // A private window or an insecure address; nothing the person could do about it, so it is only on record.
        reportError(error);
      },
    );
  };
  // What the first screen needs comes first.
  if (document.readyState === "complete") register();
  else window.addEventListener("load", register, { once: true });
}
