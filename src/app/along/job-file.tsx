"use client";

import { outboxOf } from "@/device/entries";
import { deviceStore } from "@/device/store";

/** All of a job that lies here as one file: the last way out when a server will not take it. */
export function JobFile({ id }: { id: string }) {
  const take = async () => {
    const store = deviceStore();
    const box = outboxOf(store, id);
    const [job, waiting, refused] = await Promise.all([store.jobs.get(id), box.waiting(), box.refused()]);
    const file = new Blob([JSON.stringify({ job, waiting, refused }, null, 1)], { type: "application/json" });
    const link = document.createElement("a");
    link.href = URL.createObjectURL(file);
    link.download = `${job?.inputs.valve.tag ?? "job"}-on-this-device.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <button
      type="button"
      className="self-start text-note underline underline-offset-4 min-h-11"
      onClick={() => void take()}
    >
      Take it as a file
    </button>
  );
}
