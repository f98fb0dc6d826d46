"use client";

import { toast } from "sonner";
import { tryAgain } from "@/device/acts";
import { jobHere } from "@/device/pages";
import { deviceStore } from "@/device/store";
import type { Standing } from "@/device/sync";
import { Meanwhile } from "@/ui/along/meanwhile";
import type { JobWaiting, KeptHere } from "@/ui/along/use-kept-here";
import { Empty, Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { Day } from "@/ui/when";
import { JobFile } from "./job-file";

const STANDS: Readonly<Record<Standing["kind"], string>> = {
  "all-there": "",
  sending: "being sent",
  "no-signal": "no signal",
  "cannot-store": "the server does not store",
  nobody: "not signed in",
};

/** What the server does not have: how much of which job, and why. */
export function Unsent({ kept, standing }: { kept: KeptHere | undefined; standing: Standing }) {
  const jobs = kept?.jobs ?? [];
  const any = jobs.length > 0 || (kept?.acts.length ?? 0) > 0;
  return (
    <Panel title="Waits for the server" note={any ? STANDS[standing.kind] : ""}>
      {kept !== undefined && !any && (
        <Empty>All there: the server has everything that was entered on this device.</Empty>
      )}
      <ul className="flex flex-col gap-3">
        {jobs.map((each) => (
          <li key={each.id}>
            <JobRow waiting={each} />
          </li>
        ))}
      </ul>
      <ActsHere acts={kept?.acts ?? []} />
      {any && (
        <button
          type="button"
          className="btn btn-quiet mt-3 min-h-12"
          onClick={() => void tryAgain(deviceStore())}
        >
          Try now
        </button>
      )}
    </Panel>
  );
}

/** Readings, counts, cases and reports: each as it was said, and why it was not taken. */
function ActsHere({ acts }: Pick<KeptHere, "acts">) {
  if (acts.length === 0) return null;
  return (
    <ul className="mt-3 flex flex-col gap-2">
      {acts.map(({ id, says, at, state, why }) => (
        <li key={id} className="border-rule border-t pt-2">
          {says}{" "}
          <span className="text-note text-soft">
            <Day at={at} time />
          </span>
          {state === "refused" && (
            <Notice tone="stop">
              <b>Not taken.</b> {why}
              <button
                type="button"
                className="btn btn-quiet mt-2 block bg-card"
                onClick={() => {
                  const gone = acts.find((each) => each.id === id);
                  void deviceStore().acts.delete(id);
                  toast("Let go.", {
                    action: { label: "Undo", onClick: () => gone && void deviceStore().acts.put(gone) },
                  });
                }}
              >
                Let it go
              </button>
            </Notice>
          )}
        </li>
      ))}
    </ul>
  );
}

function JobRow({ waiting: { id, log, begun, entries, photos, aside } }: { waiting: JobWaiting }) {
  const says = [
    begun === undefined ? "" : "begun here",
    counted(entries, "entry waits", "entries wait"),
    counted(photos, "photograph", "photographs"),
    counted(aside, "entry put aside", "entries put aside"),
  ].filter(Boolean);
  return (
    <div className="flex flex-col gap-2 border-rule border-t pt-3 first:border-0 first:pt-0">
      <p className="flex flex-wrap items-center gap-3">
        {log !== undefined && <Plate id={log.tag} />}
        <a className="min-h-11 content-center underline underline-offset-4" href={jobHere(id)}>
          {log?.name ?? "A job this device no longer has whole"}
        </a>
        <span className="text-soft">{says.join(", ")}</span>
      </p>
      {begun?.refused !== undefined && (
        <Notice tone="stop">
          <b>The server does not take this job.</b> {begun.refused} It stays here, whole.
        </Notice>
      )}
      <Meanwhile all={log?.meanwhile} />
      <JobFile id={id} />
    </div>
  );
}

const counted = (many: number, one: string, more: string): string =>
  many === 0 ? "" : `${many} ${many === 1 ? one : more}`;
