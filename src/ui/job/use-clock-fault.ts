"use client";

import { useEffect, useState } from "react";
import { formatDuration } from "@/core/quantity";
import { call } from "@/edge/client";
import { clockAhead } from "@/edge/clock";
import { HEALTH } from "@/edge/contracts/here";
import type { Speaker } from "@/words";

/** A minute is how people set clocks; beyond it somebody should know. */
const WORTH_SAYING_MS = 60_000;

/** What is wrong with a clock, said before the work: the device's by what was measured, the server's by what it knows. */
export function useClockFault({ say }: Speaker): string | undefined {
  const [fault, setFault] = useState<string>();
  useEffect(() => {
    void call(HEALTH).then((answer) => {
      const health = answer.ok ? (answer.value as { clockBehind?: boolean }) : {};
      if (health.clockBehind === true) {
        setFault(say.card.clock.server);
        return;
      }
      const ahead = clockAhead();
      if (Math.abs(ahead) < WORTH_SAYING_MS) return;
      setFault(say.card.clock[ahead > 0 ? "ahead" : "behind"](formatDuration(Math.abs(ahead) / 1000)));
    });
  }, [say]);
  return fault;
}
