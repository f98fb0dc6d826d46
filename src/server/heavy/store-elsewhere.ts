import type { Problem, Result } from "@/core/result";
import { storageFault } from "../faults/storage-fault";
import { watched } from "../proof/watch";
import type { Services } from "../services";
import { inStoring } from "./pool";
import type { StoreWork } from "./store-task";

/** Has a worker store what takes seconds; whoever else wants to store waits for it, and nobody who only reads. */
export const storedElsewhere = <Value>(
  services: Services,
  work: StoreWork,
): Promise<Result<Value, Problem[]>> =>
  services.turns.alone(async () => {
    const result = await doneElsewhere<Value>(services, work);
    // Somebody else wrote to the file, as this connection sees it: what was remembered of it is let go.
    watched(services);
    services.live.changed();
    return result;
  });

/** Has a worker work out what would be stored. */
export async function doneElsewhere<Value>(
  services: Services,
  work: StoreWork,
): Promise<Result<Value, Problem[]>> {
  const done = await inStoring(work);
  switch (done.kind) {
    case "done":
      return done.result as Result<Value, Problem[]>;
    case "fault": {
      const fault = Object.assign(new Error(done.message), { code: done.code });
      services.live.failing(storageFault(fault)?.message);
      throw fault;
    }
  }
}
