import { setTimeout as pause } from "node:timers/promises";
import { seeded } from "@/core/seeded";
import { ask, percentile } from "./measure";

/** Ten who write and ten who look, each with the pauses of a person in a hurry. */
export async function twentyClients(
  base: string,
  jobs: readonly string[],
  pages: readonly string[],
  seconds: number,
): Promise<{ writes: number; writeP95: number; reads: number; readP95: number; wrong: number }> {
  const end = Date.now() + seconds * 1000;
  const writes: number[] = [];
  const reads: number[] = [];
  let wrong = 0;
  const next = seeded(20);
  const writer = async (number: number) => {
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
      await pause(50 + next() * 150);
    }
  };
  const reader = async (number: number) => {
    for (let turn = 0; Date.now() < end; turn++) {
      const answer = await ask(base + pages[(number + turn) % pages.length]!);
      if (answer.status !== 200) wrong += 1;
      reads.push(answer.ms);
      await pause(50 + next() * 150);
    }
  };
  await Promise.all(Array.from({ length: 10 }, (_, number) => [writer(number), reader(number)]).flat());
  return {
    writes: writes.length,
    writeP95: percentile(writes, 0.95),
    reads: reads.length,
    readP95: percentile(reads, 0.95),
    wrong,
  };
}
