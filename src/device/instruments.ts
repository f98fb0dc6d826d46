import type { Instrument } from "@/core/formats";
import { call } from "@/edge/client";
import { LIST_INSTRUMENTS } from "@/edge/contracts/own";
import type { DeviceStore } from "./store";

/** The register of instruments: as the server has it now; without signal as this device heard it last. */
export async function instrumentRegister(store: DeviceStore): Promise<readonly Instrument[]> {
  const answer = await call(LIST_INSTRUMENTS, {});
  if (!answer.ok) return store.instruments.toArray();
  const { instruments } = answer.value;
  await store.transaction("rw", store.instruments, async () => {
    await store.instruments.clear();
    await store.instruments.bulkPut([...instruments]);
  });
  return instruments;
}
