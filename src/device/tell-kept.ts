/** Told when something was kept on this device: it is sent at once. */
export const KEPT = "loftbell-kept";
export const tellKept = (): void => void globalThis.dispatchEvent?.(new Event(KEPT));
