"use client";

import { type TouchEvent, useRef } from "react";

/** As far as a thumb draws on purpose, px; and as steep as it may go. */
const FAR = 64;
const STEEP = 0.6;
/** What is drawn upon, dragged or scrolled sideways keeps its own touch. */
const OWN_TOUCH = "[data-pans], input, textarea, select";

/** Tells when a thumb is drawn across: 1 to the left, to what lies on the right; -1 back. */
export function useSwipe(turned: (by: 1 | -1) => void) {
  const from = useRef<{ x: number; y: number }>(undefined);
  return {
    onTouchStart: (event: TouchEvent) => {
      const [touch, other] = [event.touches[0], event.touches[1]];
      const own = event.target instanceof Element && event.target.closest(OWN_TOUCH) !== null;
      from.current =
        touch === undefined || other !== undefined || own
          ? undefined
          : { x: touch.clientX, y: touch.clientY };
    },
    onTouchEnd: (event: TouchEvent) => {
      const [begun, touch] = [from.current, event.changedTouches[0]];
      from.current = undefined;
      if (begun === undefined || touch === undefined) return;
      const [right, down] = [touch.clientX - begun.x, touch.clientY - begun.y];
      if (Math.abs(right) < FAR || Math.abs(down) > Math.abs(right) * STEEP) return;
      turned(right < 0 ? 1 : -1);
    },
  };
}
