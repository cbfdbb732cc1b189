/** Keeps the app on the device, where the browser can. Without it all works as long as the server answers. */
export function registerServiceWorker(): void {
  if (typeof navigator === "undefined" || !("serviceWorker" in navigator)) return;
  navigator.serviceWorker.register("/sw.js").catch((error: unknown) => {
    // A private window or an insecure address; nothing the person could do about it, so it is only on record.
    reportError(error);
  });
}
