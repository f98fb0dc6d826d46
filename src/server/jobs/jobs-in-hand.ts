import type { JobInputs, SealedEvent } from "@/core/formats";
import type { Run } from "@/core/job";

/** A job as it stands, with its log verified and replayed. */
export interface JobInHand {
  readonly inputs: JobInputs;
  readonly events: readonly SealedEvent[];
  readonly run: Run;
  /** The hash of the last entry, or of the inputs when there is none. */
  readonly head: string;
}

/** A crew works on few jobs at a time. */
const MOST = 60;

/** Jobs that were added to lately: the next entry finds them verified and compiled. */
export class JobsInHand {
  readonly #jobs = new Map<string, JobInHand>();

  get(id: string): JobInHand | undefined {
    return this.#jobs.get(id);
  }

  keep(job: JobInHand): void {
    this.#jobs.delete(job.inputs.id);
    if (this.#jobs.size >= MOST) this.#jobs.delete(this.#jobs.keys().next().value!);
    this.#jobs.set(job.inputs.id, job);
  }

  /** Somebody else may have written to the file: nothing here can be relied on. */
  forget(): void {
    this.#jobs.clear();
  }
}
