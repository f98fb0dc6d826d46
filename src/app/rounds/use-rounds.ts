"use client";

import { useCallback, useEffect, useState } from "react";
import type { HouseRounds } from "@/core/due-work";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { HOUSE_ROUNDS } from "@/edge/contracts/house-rounds";

export type RoundsState =
  | { readonly kind: "planning" }
  | { readonly kind: "planned"; readonly rounds: HouseRounds }
  | { readonly kind: "none"; readonly problems: readonly Problem[] };

/** The quarter as it stands; what is on the screen stays there while it is asked for once more. */
export function useRounds(): { readonly state: RoundsState; readonly reload: () => Promise<void> } {
  const [state, setState] = useState<RoundsState>({ kind: "planning" });
  const ask = useCallback(async (signal?: AbortSignal) => {
    const found = await call(HOUSE_ROUNDS, signal === undefined ? {} : { signal });
    if (signal?.aborted) return;
    setState(
      found.ok ? { kind: "planned", rounds: found.value } : { kind: "none", problems: found.error.problems },
    );
  }, []);
  useEffect(() => {
    const asked = new AbortController();
    void ask(asked.signal);
    return () => asked.abort();
  }, [ask]);
  return { state, reload: () => ask() };
}
