/** Longest that a browser counts in one go, ms. */
const MOST_MS = 2 ** 31 - 1;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Says when a moment (ms by this device) has come: behind other pages a browser lets the clock of a page run slow. */
self.onmessage = ({ data: at }: MessageEvent<number | null>) => {
  clearTimeout(timer);
  if (at === null) return;
  const wait = () => {
    const left = at - Date.now();
    if (left <= 0) self.postMessage(at);
    else timer = setTimeout(wait, Math.min(left, MOST_MS));
  };
  wait();
};
