"use client";

import { useEffect, useState } from "react";
import { formatDuration } from "@/core/quantity";
import { call } from "@/edge/client";
import { clockAhead } from "@/edge/clock";
import { HEALTH } from "@/edge/contracts/here";

/** A minute is how people set clocks; beyond it somebody should know. */
const WORTH_SAYING_MS = 60_000;

/** What is wrong with a clock, said before the work: the device's by what was measured, the server's by what it knows. */
export function useClockFault(): string | undefined {
  const [fault, setFault] = useState<string>();
  useEffect(() => {
    void call(HEALTH).then((answer) => {
      const health = answer.ok ? (answer.value as { clockBehind?: boolean }) : {};
      if (health.clockBehind === true) {
        setFault(
          "The server's clock is wrong: it shows an earlier time than its own newest entry. Set it right there before you go on; waits are counted by it.",
        );
        return;
      }
      const ahead = clockAhead();
      if (Math.abs(ahead) < WORTH_SAYING_MS) return;
      setFault(
        `The clock of this device runs ${formatDuration(Math.abs(ahead) / 1000)} ${ahead > 0 ? "ahead of" : "behind"} the server's. Entries are put right by that and marked. Set it right when you can.`,
      );
    });
  }, []);
  return fault;
}
