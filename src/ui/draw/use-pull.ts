"use client";

import { type PointerEvent, useState } from "react";

/** Drawn this far off the axis, a part is pulled out to be read. */
const PULLED_PX = 26;

/** Drawing a part off the axis: it follows the finger, springs back when let go, and is chosen when it came far enough. */
export function usePull(onChoose: ((part: string) => void) | undefined) {
  const [held, setHeld] = useState<{ part: string; from: number; by: number }>();
  return {
    by: (part: string) => (held?.part === part ? held.by : 0),
    handlers: (part: string) =>
      onChoose === undefined
        ? {}
        : {
            onPointerDown: (event: PointerEvent<SVGGElement>) => {
              if (event.pointerType !== "mouse" || event.button === 0)
                setHeld({ part, from: event.clientX, by: 0 });
            },
            onPointerMove: (event: PointerEvent<SVGGElement>) => {
              const pressed = event.buttons > 0;
              setHeld((now) =>
                now?.part !== part || !pressed ? now : { ...now, by: event.clientX - now.from },
              );
            },
            onPointerUp: () => {
              if (held?.part === part && Math.abs(held.by) > PULLED_PX) onChoose(part);
              setHeld(undefined);
            },
            onPointerCancel: () => setHeld(undefined),
            onPointerLeave: () => setHeld((now) => (now?.part === part ? undefined : now)),
          },
  };
}

export type Pull = ReturnType<typeof usePull>;
