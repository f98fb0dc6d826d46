import type { SpokenBell } from "@/words";

/** What jobs on a page of this window ring: fresher than anything the server has said of them. */
let told: ReadonlyMap<string, readonly SpokenBell[]> = new Map();
const listeners = new Set<() => void>();

const tell = (next: typeof told) => {
  told = next;
  for (const each of listeners) each();
};

/** @returns takes it back: the page of that job is left */
export function tellBells(job: string, bells: readonly SpokenBell[]): () => void {
  tell(new Map(told).set(job, bells));
  return () => {
    const left = new Map(told);
    left.delete(job);
    tell(left);
  };
}

export const bellsTold = (): typeof told => told;
export function onBellsTold(heard: () => void): () => void {
  listeners.add(heard);
  return () => listeners.delete(heard);
}
