import { workAgain } from "@/core/calculators";
import { type JobEvent, readEvent, type SealedEvent } from "@/core/formats";
import { accept, afterService, chainStart, type Run, run, seal, verifyChain } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredJob } from "@/data";
import type { Services } from "../services";

export type AppendFailure =
  | { readonly kind: "unknown-job"; readonly problems: readonly Problem[] }
  | { readonly kind: "unreadable"; readonly problems: readonly Problem[] }
  | { readonly kind: "tampered"; readonly problems: readonly Problem[] }
  /** The rules of the job say no; what came before in the batch was not stored either. */
  | { readonly kind: "refused"; readonly problems: readonly Problem[] };

const MOST_EVENTS = 500;

/**
 * Adds a batch of events to a job's log in one transaction: all of them or none. An event whose id is there already
 * is passed over, so a batch that is sent twice (no signal, no answer) does no harm.
 *
 * @returns the whole log afterwards
 */
export function appendEvents(
  services: Services,
  job: string,
  batch: unknown,
): Result<readonly SealedEvent[], AppendFailure> {
  if (!Array.isArray(batch) || batch.length === 0 || batch.length > MOST_EVENTS)
    return err({
      kind: "unreadable",
      problems: [{ path: "/events", message: `Send a list of 1 to ${MOST_EVENTS} events.` }],
    });
  const read = batch.map((each, index) => readEvent(each, `/events/${index}`));
  const problems = read.flatMap((each) => (each.ok ? [] : each.error));
  if (problems.length > 0) return err({ kind: "unreadable", problems });
  const events = read.flatMap((each) => (each.ok ? [each.value] : []));

  return services.db.transaction(() => appendTo(services, services.jobs.find(job), events), {
    behavior: "immediate",
  });
}

function appendTo(
  services: Services,
  stored: StoredJob | undefined,
  events: readonly JobEvent[],
): Result<readonly SealedEvent[], AppendFailure> {
  if (stored === undefined)
    return err({ kind: "unknown-job", problems: [{ path: "", message: "There is no such job here." }] });
  const intact = verifyChain(stored.inputs, stored.events);
  if (!intact.ok) return err({ kind: "tampered", problems: [{ path: "", message: intact.error.message }] });
  const { inputs } = stored;
  const log = [...stored.events];
  const added: SealedEvent[] = [];
  const now = services.now();
  let after: Run | undefined;
  for (const [index, event] of events.entries()) {
    if (log.some((each) => each.event.id === event.id)) continue;
    const taken = accept(
      inputs,
      log.map((each) => each.event),
      event,
      now,
    );
    if (!taken.ok)
      return err({
        kind: "refused",
        problems: [{ path: `/events/${index}${taken.error.path}`, message: taken.error.message }],
      });
    after = taken.value;
    const sealed = seal(
      event,
      log.length + 1,
      new Date(now).toISOString(),
      log.at(-1)?.seal.hash ?? chainStart(inputs),
    );
    log.push(sealed);
    added.push(sealed);
  }
  services.jobs.append(inputs.id, added);
  if (
    after !== undefined &&
    added.some(({ event }) => event.kind === "closure-passes" || event.kind === "undone")
  )
    markPassing(services, stored, after);
  if (after?.status.kind === "signed-off") finish(services, after);
  return ok(log);
}

/**
 * A closure found to pass is marked on the line, so that the next job does not count on it; taking the finding back
 * takes the mark back, unless the line knew before.
 */
function markPassing({ library }: Services, { inputs, events }: StoredJob, after: Run): void {
  const line = inputs.line && library.line(inputs.line.id);
  if (line === undefined) return;
  const knownBefore = new Set(
    inputs.line?.links.flatMap((link) => (link.kind === "valve" && link.passes ? [link.id] : [])),
  );
  const mentioned = new Set([
    ...after.progress.passing,
    ...events.flatMap(({ event }) => (event.kind === "closure-passes" ? [event.link] : [])),
  ]);
  const passes = (id: string) => after.progress.passing.includes(id) || knownBefore.has(id);
  library.saveLine({
    ...line,
    links: line.links.map((link) => {
      if (link.kind !== "valve" || !mentioned.has(link.id)) return link;
      const { passes: _, ...sound } = link;
      return passes(link.id) ? { ...sound, passes: true } : sound;
    }),
  });
}

/** What a signature does beyond the log: the job leaves the open ones, its figures and its date go to the valve. */
function finish({ jobs, library }: Services, job: Run): void {
  const { inputs, progress } = job;
  const at = progress.signedOff?.at ?? Date.parse(inputs.openedAt);
  jobs.close(inputs.id, at);
  library.saveReadings(
    progress.kept.flatMap((kept) => {
      const worked = workAgain(kept);
      if (!worked.ok) return [];
      const { what, dimension, si } = worked.value;
      return [
        {
          valve: inputs.valve.tag,
          at: kept.at,
          what,
          dimension,
          si,
          typed: kept.typed,
          by: kept.by,
          job: inputs.id,
        },
      ];
    }),
  );
  library.saveReadings(
    inputs.sheet.checks.flatMap((check) => {
      const given = progress.answers.get(check.id);
      if (check.kind !== "measure" || given?.answer.kind !== "measured") return [];
      const { si, typed } = given.answer;
      return [
        {
          valve: inputs.valve.tag,
          at: given.at,
          what: check.what,
          dimension: check.dimension,
          si,
          typed,
          by: given.by,
          job: inputs.id,
        },
      ];
    }),
  );
  // Closed early (a closed cock, a cap gasket): nothing was serviced, so the valve stays due.
  if (job.current === undefined)
    library.saveValve(afterService(library.valve(inputs.valve.tag) ?? inputs.valve, at));
}

/** A stored job as it stands. */
export function jobAt(stored: StoredJob): Result<Run, string> {
  return run(
    stored.inputs,
    stored.events.map((each) => each.event),
  );
}
