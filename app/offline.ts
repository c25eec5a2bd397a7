/** Registers the service worker in the built app, once the page has loaded. Plain http has none: the app says so elsewhere. */
export function registerOffline(): void {
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return;
  const register = () => void navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  // The entry may run after `load` has fired.
  if (document.readyState === "complete") register();
  else addEventListener("load", register, { once: true });
}
