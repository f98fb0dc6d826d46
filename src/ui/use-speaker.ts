"use client";

import { useMemo } from "react";
import { type Speaker, speaker } from "@/words";
import { useSettings } from "./settings";

/** Who reads this screen: in which words, in which units. */
export function useSpeaker(): Speaker {
  const { system, mark } = useSettings();
  return useMemo(() => speaker({ system, mark }), [system, mark]);
}
