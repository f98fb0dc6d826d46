import { type Bring, bring } from "@/core/bring";
import type { HowOneGoes, Sheet, Store, Trouble, TroubleFacts } from "@/core/formats";

/** What is to be packed for, off the page: it plays through what may be met. */
export interface BringAsk {
  readonly id: number;
  readonly knowledge: Trouble;
  readonly facts: TroubleFacts;
  readonly answers: readonly (readonly [look: string, answer: string])[];
  readonly sheet: Sheet;
  readonly store?: Store;
  readonly generation?: string;
  readonly goes: HowOneGoes;
}

export interface BringAnswer {
  readonly id: number;
  readonly bring: Bring;
}

/** As few as the page itself looks at: what is packed for is what the page will ask. */
const MOMENTS = 600;

addEventListener("message", ({ data: { id, answers, ...asked } }: MessageEvent<BringAsk>) => {
  postMessage({
    id,
    bring: bring({ ...asked, answers: new Map(answers) }, undefined, MOMENTS),
  } satisfies BringAnswer);
});
