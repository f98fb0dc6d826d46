/** Whether a notification may come. */
export type MayNotify = "granted" | "denied" | "default" | "none";

export const mayNotify = (): MayNotify =>
  typeof Notification === "undefined" ? "none" : Notification.permission;

interface Notice {
  /** The same bell again takes the place of the one before. */
  readonly bell: string;
  readonly title: string;
  readonly says: string;
  readonly href: string;
}

/** Says it outside the page; pressing it leads to what rings. */
export async function notify({ bell, title, says, href }: Notice): Promise<void> {
  if (mayNotify() !== "granted") return;
  const options = { body: says, tag: bell, icon: "/icon-192.png", requireInteraction: true, data: { href } };
  const worker = await navigator.serviceWorker?.getRegistration();
  if (worker?.active) {
    await worker.showNotification(title, options);
    return;
  }
  const shown = new Notification(title, options);
  shown.onclick = () => {
    window.focus();
    location.assign(href);
  };
}
