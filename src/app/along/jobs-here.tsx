"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { toast } from "sonner";
import { letGoOfJobs } from "@/device/jobs";
import { jobHere } from "@/device/pages";
import { deviceStore } from "@/device/store";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";

/** Jobs that can be gone on with here, whatever the signal. */
export function JobsHere() {
  const jobs = useLiveQuery(() => deviceStore().logs.toArray(), []);
  const release = async (id: string, tag: string) => {
    const store = deviceStore();
    const [job, log] = await Promise.all([store.jobs.get(id), store.logs.get(id)]);
    await letGoOfJobs(store, (each) => each.id === id);
    if (job === undefined || log === undefined) return;
    if ((await store.logs.get(id)) !== undefined) {
      toast(`${tag}: something of it waits for the server, so it stays.`);
      return;
    }
    toast(`The job on ${tag} is let go from this device.`, {
      action: {
        label: "Undo",
        onClick: () => void Promise.all([store.jobs.put(job), store.logs.put(log)]),
      },
    });
  };
  return (
    <Panel title="Jobs here">
      {jobs?.length === 0 && (
        <Empty>None. A job you open is here from then on; one you start without signal is here, too.</Empty>
      )}
      <ul>
        {jobs?.map(({ id, tag, name, says }) => (
          <li key={id} className="flex flex-wrap items-center gap-2">
            <a
              href={jobHere(id)}
              className="flex min-h-12 min-w-0 grow basis-48 flex-wrap items-center gap-x-3 py-1"
            >
              <Plate id={tag} />
              <span className="min-w-0">
                <span className="block break-words underline underline-offset-4">{name}</span>
                <span className="block text-note text-soft">{says}</span>
              </span>
            </a>
            <button
              type="button"
              className="btn btn-quiet min-h-12"
              aria-label={`Let the job on ${tag} go from this device`}
              onClick={() => void release(id, tag)}
            >
              Let go
            </button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
