/** What is told of a newer app: only the page is old, or nothing is saved from it any more. */
export type Updated = "page" | "database";
export const updatedEvent = "firm-arbor:updated";

/** Registers the service worker in the built app, once the page has loaded. Plain http has none: the app says so elsewhere. */
export function registerOffline(): void {
  const tell = () => void dispatchEvent(new CustomEvent<Updated>(updatedEvent, { detail: "page" }));
  // A part that is loaded when it is needed first is no longer there once a newer app has taken its place.
  addEventListener("vite:preloadError", tell);
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return;
  let served = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener("controllerchange", () => {
    if (served) tell();
    served = true;
  });
  const register = () => void navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  // The entry may run after `load` has fired.
  if (document.readyState === "complete") register();
  else addEventListener("load", register, { once: true });
}
