import { startTransition, useEffect, useState } from "react";

/** After which a value counts though nothing was painted, ms: a page that nobody sees paints nothing. */
const LATEST_MS = 200;

/**
 * A value as it was until the frame is painted that answers a press: what is drawn beside the answer goes by it, and the
 * answer waits for none of it.
 */
export function useAfterPaint<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    const follow = () => startTransition(() => setPainted(() => value));
    let next: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      next = setTimeout(follow);
    });
    const latest = setTimeout(follow, LATEST_MS);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(next);
      clearTimeout(latest);
    };
  }, [value]);
  return painted;
}
