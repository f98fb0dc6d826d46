import { actsDone, chainStart, type Run, run } from "@/core/job";
import { ok } from "@/core/result";
import { withoutTwins } from "@/core/store";
import { findableJob } from "./find/findable";
import { keepSummary, SUMMARY_MADE } from "./jobs/summary";
import { jobInHand } from "./jobs/take-in-hand";
import { tellOf } from "./jobs/tell-others";
import { store } from "./proof/ledger";
import { keepLine, keepPerson, keepSheet } from "./register/keep-documents";
import { keepValve, ringAnew } from "./register/keep-valve";
import type { Services } from "./services";

/**
 * Brings data of an older version up: what lists, find and the chain of anchors need beside it. Does nothing where all
 * is there. What was stored before there were anchors is anchored as it is found.
 */
export function bringUp(services: Services): void {
  const stale = services.summaries.stale(SUMMARY_MADE);
  const anew = services.find.isEmpty();
  const unanchored = services.anchors.last() === undefined && services.jobs.ids().length > 0;
  putTwinsTogether(services);
  if (stale.length === 0 && !anew && !unanchored) return;
  store(services, (ledger) => {
    for (const id of stale) {
      const stored = services.jobs.find(id);
      const at =
        stored &&
        run(
          stored.inputs,
          stored.events.map(({ event }) => event),
        );
      if (!at?.ok) continue;
      const provenance = services.jobs.provenance(id);
      keepSummary(services, at.value, provenance);
      if (provenance.origin === "here") countActs(services, at.value);
    }
    // Before 0.19 no valve rang by its readings.
    if (stale.length > 0)
      for (const valve of services.library.valvesWithReadings()) ringAnew(services, valve);
    if (anew) fillFind(services);
    if (unanchored) {
      for (const id of services.jobs.ids()) {
        const { inputs, events } = services.jobs.find(id)!;
        ledger.job(id, events.length, events.at(-1)?.seal.hash ?? chainStart(inputs));
      }
      for (const valve of services.library.valvesWithReadings()) ledger.readings(valve);
    }
    return ok(undefined);
  });
  tellAnew(services, stale);
}

/**
 * Before 0.12 a valve that was shut on one line was taken for shut on every line that has one of its name: the jobs that
 * go on are told what is held of their own.
 */
function tellAnew(services: Services, stale: readonly string[]): void {
  const going = services.summaries.open().filter(({ job }) => stale.includes(job));
  if (going.length === 0) return;
  store(services, (ledger) => {
    for (const { job } of going) {
      const found = jobInHand(services, job);
      // A job that cannot be read is said where it is opened.
      if (!found.ok) continue;
      const { events, inputs } = found.value;
      tellOf(services, ledger, found.value, events.at(-1)?.event.by ?? inputs.openedBy);
    }
    return ok(undefined);
  });
}

/** Before 0.14 an item could stand at a place of a store twice; its ledger knows it once. */
function putTwinsTogether({ library }: Services): void {
  for (const store of library.stores()) {
    const once = withoutTwins(store);
    if (once !== store) library.saveStore(once);
  }
}

/** Everything that can be found, put into the index; rows of the register get their dues with it. */
function fillFind(services: Services): void {
  const { library, register, find, summaries, jobs } = services;
  for (const sheet of library.sheets()) keepSheet(services, sheet);
  for (const { id } of library.lineSummaries()) keepLine(services, library.line(id)!);
  for (const person of library.people()) keepPerson(services, person);
  const sheets = new Map(library.sheets().map((sheet) => [sheet.id, sheet]));
  for (const valve of register.valves()) {
    register.remove(valve.tag);
    keepValve(services, valve, sheets.get(valve.sheet));
  }
  for (const { job } of summaries.open()) find.put("job", job, findableJob(jobs.find(job)!.inputs));
}

/** What a job did that has an interval of its own: versions before 0.9 counted everything from the last service. */
function countActs(services: Services, job: Run): void {
  const { status, inputs } = job;
  const valve = status.kind === "signed-off" ? services.register.valve(inputs.valve.tag) : undefined;
  if (valve === undefined || status.kind !== "signed-off") return;
  const sheet = services.library.sheet(valve.sheet);
  const done = actsDone(job, sheet?.intervals).filter(
    (id) => Date.parse(valve.last?.[id] ?? "1970-01-01") < status.at,
  );
  if (done.length === 0) return;
  const day = new Date(status.at).toISOString();
  const last = { ...valve.last, ...Object.fromEntries(done.map((id) => [id, day])) };
  keepValve(services, { ...valve, last }, sheet);
}
