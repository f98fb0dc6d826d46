import { keepPage, takeAgain } from "./along";
import { tidy } from "./jobs";
import { BUILD, SHELLS } from "./pages";
import { deviceStore } from "./store";

/** Whether anything lies here that the server does not have. */
async function unsent(): Promise<boolean> {
  const store = deviceStore();
  const counts = await Promise.all([
    store.entries.count(),
    store.photos.count(),
    store.acts.count(),
    store.begun.count(),
  ]);
  return counts.some((count) => count > 0);
}

/**
 * Registers the service worker and keeps the pages of this device as new as the program. A new program waits until
 * nothing is unsent, and until what was taken along was fetched anew: at no moment is there a page without its program.
 *
 * @param build which build drew this page
 */
export async function keepWorker(build: string): Promise<void> {
  if (!("serviceWorker" in navigator)) return;
  // Not to be had: an address without TLS, or a browser that is told to keep nothing.
  const registration = await navigator.serviceWorker
    .register("/service-worker.js", { updateViaCache: "none" })
    .catch(() => undefined);
  if (registration === undefined) return;
  await navigator.serviceWorker.ready;
  await keepShells(build);
  await tidy(deviceStore(), Date.now());
  const takeIn = async (): Promise<void> => {
    const { waiting } = registration;
    if (waiting === null || (await unsent())) return;
    if (await takeAgain({ store: deviceStore(), now: Date.now }))
      waiting.postMessage({ type: "SKIP_WAITING" });
  };
  await takeIn();
  registration.addEventListener("updatefound", () => {
    registration.installing?.addEventListener("statechange", () => void takeIn());
  });
}

async function keepShells(build: string): Promise<void> {
  if (localStorage.getItem(BUILD) === build) return;
  const sizes = await Promise.all(SHELLS.map(keepPage));
  if (sizes.every((size) => typeof size === "number")) localStorage.setItem(BUILD, build);
}
