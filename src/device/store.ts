import { Dexie, type DexieOptions, type EntityTable, type Table } from "dexie";
import type { Instrument } from "@/core/formats";
import { bringOver } from "./bring-over";
import type { Along, Begun, KeptAct, KeptEntry, KeptJob, KeptLog, KeptPhoto, KeptRecording } from "./kept";

/** What Loft Bell keeps on a device. What is said to be kept was written to the disk before. */
export class DeviceStore extends Dexie {
  readonly entries!: EntityTable<KeptEntry, "order">;
  readonly jobs!: EntityTable<KeptJob, "id">;
  readonly logs!: EntityTable<KeptLog, "id">;
  readonly begun!: EntityTable<Begun, "id">;
  readonly photos!: Table<KeptPhoto, [string, string]>;
  readonly acts!: EntityTable<KeptAct, "id">;
  readonly along!: EntityTable<Along, "id">;
  readonly instruments!: EntityTable<Instrument, "id">;
  readonly recordings!: EntityTable<KeptRecording, "id">;

  constructor(name = "loftbell", options: DexieOptions = {}) {
    // Relaxed, as browsers keep by themselves, loses the last second with a dead battery.
    super(name, { chromeTransactionDurability: "strict", ...options });
    this.version(1).stores({
      entries: "++order, &[job+id], [job+state], state",
      jobs: "id",
      logs: "id",
      begun: "id",
      photos: "[job+photo], job",
      acts: "id, state",
      along: "id",
    });
    this.version(2).stores({ instruments: "id", recordings: "id, job" });
    // Nobody else reads before it is done; by this one it may be read itself.
    this.on("ready", (early) => bringOver(early as DeviceStore, options), true);
  }
}

let opened: DeviceStore | undefined;

/** The store of this device, opened when it is first asked for. */
export function deviceStore(): DeviceStore {
  opened ??= new DeviceStore();
  return opened;
}
