import { setTimeout as pause } from "node:timers/promises";
import { seeded } from "@/core/seeded";
import { ask, percentile } from "./measure";

export interface Crowd {
  /** Half of them write, half of them look. */
  readonly people: number;
  readonly seconds: number;
  /** Between two acts of one of them, ms. */
  readonly pause: readonly [least: number, most: number];
}

/** Twenty who never stop for breath: as many acts as hundreds at work. */
export const HURRY = { people: 20, pause: [50, 200] } as const;
/** A hundred on a bad morning: each enters or opens something every five seconds. */
export const HUNDRED = { people: 100, pause: [2000, 8000] } as const;

/** Many at once. @returns how many acts there were, how long 95 of 100 of them took at most, and how many failed */
export async function clients(
  base: string,
  jobs: readonly string[],
  pages: readonly string[],
  { people, seconds, pause: [least, most] }: Crowd,
): Promise<{ writes: number; writeP95: number; reads: number; readP95: number; wrong: number }> {
  const end = Date.now() + seconds * 1000;
  const writes: number[] = [];
  const reads: number[] = [];
  let wrong = 0;
  const next = seeded(people);
  // They do not all sit down in the same moment.
  const begins = () => pause(next() * most);
  const writer = async (number: number) => {
    await begins();
    for (let turn = 0; Date.now() < end; turn++) {
      const job = jobs[number % 5]!;
      const event = {
        v: 1,
        id: `w${number}-${turn}-${Date.now()}`,
        at: new Date().toISOString(),
        by: "Tam Arkle",
        kind: "note-added",
        text: "Still here",
      };
      const answer = await ask(`${base}/api/v1/jobs/${job}/events`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ events: [event] }),
      });
      if (answer.status !== 200) wrong += 1;
      writes.push(answer.ms);
      await pause(least + next() * (most - least));
    }
  };
  const reader = async (number: number) => {
    await begins();
    for (let turn = 0; Date.now() < end; turn++) {
      const answer = await ask(base + pages[(number + turn) % pages.length]!);
      if (answer.status !== 200) wrong += 1;
      reads.push(answer.ms);
      await pause(least + next() * (most - least));
    }
  };
  await Promise.all(
    Array.from({ length: people / 2 }, (_, number) => [writer(number), reader(number)]).flat(),
  );
  return {
    writes: writes.length,
    writeP95: percentile(writes, 0.95),
    reads: reads.length,
    readP95: percentile(reads, 0.95),
    wrong,
  };
}
