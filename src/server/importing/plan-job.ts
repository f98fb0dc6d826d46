import { workAgain } from "@/core/calculators";
import { chainStart, judgeLog, run } from "@/core/job";
import { impossibleWords, speaker } from "@/words";
import type { BroughtJob } from "../book/brought-job";
import { finish } from "../jobs/append-events";
import { keepSummary, type Provenance } from "../jobs/summary";
import type { Ledger } from "../proof/ledger";
import { verifyDocument } from "../proof/prove";
import type { Services } from "../services";
import type { Incoming } from "./incoming";
import type { PlannedFile } from "./planned";

/** Where a file's log came from: from here, from elsewhere and possible, or not shown to have been possible. */
function provenanceOf(services: Services, { value }: Extract<Incoming, { kind: "job" }>): Provenance {
  const signed = verifyDocument(value);
  if (!signed.ok) return { origin: "foreign", doubt: signed.error };
  if (signed.value.kind === "signed" && signed.value.publicKey === services.installation.publicKey)
    return { origin: "here" };
  const judged = judgeLog(value, { now: services.now(), workAgain });
  if (judged.ok) return { origin: "elsewhere" };
  const message = impossibleWords(speaker(), judged.error, value);
  return { origin: "foreign", doubt: `Entry ${judged.error.seq} could not have been made then: ${message}` };
}

const CAUTION: Record<Provenance["origin"], string | undefined> = {
  here: undefined,
  elsewhere: "It was made elsewhere. Every entry was possible when it was made; it is marked as brought in.",
  foreign:
    "It is foreign: it cannot be shown to have happened so. It is kept to be read, and closes nothing.",
};

export function planJob(services: Services, incoming: Extract<Incoming, { kind: "job" }>): PlannedFile {
  const { jobs } = services;
  const { inputs, events } = incoming.value;
  const what = `Job on ${inputs.valve.tag}, ${events.length} entries`;
  // A log that is here already is the truth; a file never overwrites it.
  if (jobs.has(inputs.id)) return { what: `${what}; it is here already and stays as it is`, steps: [] };
  const provenance = provenanceOf(services, incoming);
  const caution = [CAUTION[provenance.origin], provenance.doubt].filter(Boolean).join(" ");
  return {
    what,
    ...(caution !== "" && { caution }),
    steps: [
      {
        kind: "job",
        id: inputs.id,
        before: undefined,
        after: {
          entries: events.length,
          ...(services.register.valve(inputs.valve.tag) !== undefined && {
            valveBefore: services.register.valve(inputs.valve.tag),
          }),
        } satisfies BroughtJob,
        store: (ledger) => storeJob(services, ledger, incoming, provenance),
      },
    ],
  };
}

function storeJob(
  services: Services,
  ledger: Ledger,
  { value: { inputs, events } }: Extract<Incoming, { kind: "job" }>,
  provenance: Provenance,
): void {
  const { jobs, register } = services;
  jobs.create(inputs, provenance);
  jobs.append(inputs.id, events);
  ledger.job(inputs.id, events.length, events.at(-1)?.seal.hash ?? chainStart(inputs));
  const whole = run(
    inputs,
    events.map((each) => each.event),
  );
  if (!whole.ok) throw new Error(`a checked job does not run: ${whole.error.kind}`);
  const { closedAt } = keepSummary(services, whole.value, provenance);
  if (provenance.origin === "foreign") {
    jobs.close(inputs.id, closedAt ?? services.now());
    return;
  }
  if (closedAt !== null) jobs.close(inputs.id, closedAt);
  if (whole.value.status.kind === "signed-off" && register.valve(inputs.valve.tag) !== undefined)
    finish(services, ledger, whole.value);
}
