"use client";

import { useEffect, useState } from "react";
import type { HouseRounds } from "@/core/due-work";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { HOUSE_ROUNDS } from "@/edge/contracts/rounds";

export type RoundsState =
  | { readonly kind: "planning" }
  | { readonly kind: "planned"; readonly rounds: HouseRounds }
  | { readonly kind: "none"; readonly problems: readonly Problem[] };

/** The quarter as it is planned now; planned anew when asked. */
export function useRounds(): { readonly state: RoundsState; readonly again: () => void } {
  const [state, setState] = useState<RoundsState>({ kind: "planning" });
  const [turn, setTurn] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each turn asks once more
  useEffect(() => {
    const asked = new AbortController();
    setState({ kind: "planning" });
    void call(HOUSE_ROUNDS, { signal: asked.signal }).then((found) => {
      if (asked.signal.aborted) return;
      setState(
        found.ok
          ? { kind: "planned", rounds: found.value }
          : { kind: "none", problems: found.error.problems },
      );
    });
    return () => asked.abort();
  }, [turn]);
  return { state, again: () => setTurn((last) => last + 1) };
}
