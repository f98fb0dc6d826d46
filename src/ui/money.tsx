"use client";

import { moneyWords } from "@/words";
import { useSpeaker } from "./use-speaker";

/** An amount of money, as whoever reads it writes figures. */
export function Money({ amount, currency }: { amount: number; currency: string }) {
  return moneyWords(useSpeaker(), amount, currency);
}
