/**
 * Lets the browser keep what the board needs, so that it comes back after a reload without network. Where it can't,
 * nothing is lost but that.
 */
export function keepOffline() {
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
}
