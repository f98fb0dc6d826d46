import { setImmediate } from "node:timers/promises";
import { workAgain } from "@/core/calculators";
import {
  type Certificates,
  certificatesOf,
  type JobEvent,
  readEvent,
  type SealedEvent,
} from "@/core/formats";
import {
  accept,
  afterJob,
  isClosed,
  type Refusal,
  type Run,
  seal,
  settle,
  withAnswered,
  withoutAnswered,
} from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import { entryWords, refusalWords, speaker } from "@/words";
import { strangers } from "../people";
import { type Ledger, store } from "../proof/ledger";
import { keepLine } from "../register/keep-documents";
import { keepValve } from "../register/keep-valve";
import type { Services } from "../services";
import { bookUse } from "../store/book-use";
import { asRegistered } from "./as-registered";
import type { JobInHand } from "./jobs-in-hand";
import { keepSummary } from "./summary";
import { type AppendFailure, jobInHand } from "./take-in-hand";
import { tellOthers } from "./tell-others";

export const MOST_EVENTS = 500;
/** Of words in an event. */
const MOST_LETTERS = 400;
/** ms of judging after which others are served in between. */
const AT_A_STRETCH_MS = 8;
/** Others may add to the same job while a batch is judged; it is judged again on what they made. */
const MOST_TRIES = 5;

/** Where a batch comes from. */
export interface From {
  /** Names of those signed in on the device that sends it; nothing where one need not sign in. */
  readonly signedIn?: ReadonlySet<string> | undefined;
  /** What was entered beside what the log has gone on with is settled and kept with it, not refused. */
  readonly settles?: boolean | undefined;
}

/**
 * Adds a batch of events to a job's log in one transaction: all of them or none. An event whose id is there already
 * is passed over, so a batch that is sent twice (no signal, no answer) does no harm.
 *
 * @returns the whole log afterwards
 */
export async function appendEvents(
  services: Services,
  job: string,
  batch: unknown,
  { signedIn, settles = false }: From = {},
): Promise<Result<readonly SealedEvent[], AppendFailure>> {
  const events = readBatch(services, batch, signedIn);
  if (!events.ok) return events;
  for (let tries = 0; ; tries++) {
    const before = jobInHand(services, job);
    if (!before.ok) return before;
    const judged = await judge(services, before.value, events.value, settles);
    if (!judged.ok) return judged;
    if (judged.value.added.length === 0) return ok(before.value.events);
    const stored = keep(services, before.value, judged.value);
    if (stored !== "changed-meanwhile") return ok(stored.events);
    if (tries === MOST_TRIES) throw new Error(`job ${job} was added to in each of ${MOST_TRIES} tries`);
  }
}

function readBatch(
  services: Services,
  batch: unknown,
  signedIn: ReadonlySet<string> | undefined,
): Result<readonly JobEvent[], AppendFailure> {
  const unreadable = (problems: readonly Problem[]) => err({ kind: "unreadable" as const, problems });
  if (!Array.isArray(batch) || batch.length === 0 || batch.length > MOST_EVENTS)
    return unreadable([{ path: "/events", message: `Send a list of 1 to ${MOST_EVENTS} events.` }]);
  const read = batch.map((each, index) => readEvent(each, `/events/${index}`));
  const problems = read.flatMap((each) => (each.ok ? [] : each.error));
  if (problems.length > 0) return unreadable(problems);
  const events = read.flatMap((each) =>
    each.ok ? [asRegistered(services, asTheCrewSays(services, withoutAnswered(each.value)))] : [],
  );
  const ours = events.findIndex((event) => event.kind === "others-hold");
  if (ours !== -1)
    return unreadable([
      {
        path: `/events/${ours}/kind`,
        message:
          "What other jobs hold is written by the server, from their own logs. Send it nothing of that kind.",
      },
    ]);
  const names = events.map((event) => event.by);
  const unknown = strangers(services, names);
  const absent = notSignedIn(names, signedIn);
  if (unknown.length === 0 && absent.length > 0)
    return err({ kind: "not-signed-in", problems: absent.map(atWho) });
  return unknown.length > 0 ? unreadable(unknown.map(atWho)) : ok(events);
}

/** What somebody may do is what the crew says here, whatever was sent. */
const asTheCrewSays = (services: Services, event: JobEvent): JobEvent =>
  event.kind === "signed-on" ? { ...event, may: mayOf(services, event.by) ?? {} } : event;

/** What the crew says of somebody now; nothing of whom it does not know. */
const mayOf = ({ library }: Services, name: string): Certificates | undefined => {
  const person = library.crew().find((each) => each.name === name);
  return person && certificatesOf(person);
};

const atWho = ({ index, message }: { readonly index: number; readonly message: string }): Problem => ({
  path: `/events/${index}/by`,
  message,
});

/** Names that nobody signed in with on the device an entry comes from: no one writes for another. */
const notSignedIn = (names: readonly string[], signedIn: ReadonlySet<string> | undefined) =>
  names.flatMap((name, index) =>
    signedIn === undefined || signedIn.has(name)
      ? []
      : [
          {
            index,
            message: `${name} is not signed in on this device, and this entry is by ${name}. It stays on the device: ${name} signs in here, and it is handed in.`,
          },
        ],
  );

interface Judged {
  readonly added: readonly SealedEvent[];
  readonly after: Run;
}

/** Puts each event to the rules of the job, on the job as the one before left it. */
async function judge(
  services: Services,
  before: JobInHand,
  events: readonly JobEvent[],
  settles: boolean,
): Promise<Result<Judged, AppendFailure>> {
  const now = services.now();
  const lastStored = services.anchors.last()?.at;
  const clock = {
    now,
    workAgain,
    mayOf: (name: string) => mayOf(services, name),
    ...(lastStored !== undefined && { lastStored: Date.parse(lastStored) }),
  };
  const known = new Set(before.events.map(({ event }) => event.id));
  const added: SealedEvent[] = [];
  let after = before.run;
  let head = before.head;
  let since = performance.now();
  for (const [index, event] of events.entries()) {
    if (known.has(event.id)) continue;
    known.add(event.id);
    const plain = accept(after, event, clock);
    const beside = plain.ok || !settles ? undefined : asSettled(after, event, plain.error);
    const entered = beside ?? event;
    const answered = withAnswered(after, entered);
    const taken = beside === undefined ? plain : accept(after, beside, clock);
    if (!taken.ok)
      return err({
        kind: "refused",
        problems: [
          {
            path: `/events/${index}${taken.error.path}`,
            message: refusalWords(speaker(), taken.error, after),
          },
        ],
      });
    after = taken.value;
    const sealed = seal(answered, before.events.length + added.length + 1, new Date(now).toISOString(), head);
    head = sealed.seal.hash;
    added.push(sealed);
    if (performance.now() - since > AT_A_STRETCH_MS) {
      await setImmediate();
      since = performance.now();
    }
  }
  return ok({ added, after });
}

/** What another device entered, with how it is settled beside what stands here; nothing when it is simply refused. */
function asSettled(job: Run, event: JobEvent, refusal: Refusal): JobEvent | undefined {
  const settled = settle(job, event, refusal);
  if (settled === undefined) return undefined;
  const words = speaker();
  const step = "step" in event ? job.plan.steps.find(({ id }) => id === event.step) : undefined;
  const { what } = entryWords(words, { event, ...(step !== undefined && { step }) }, job.inputs.sheet);
  const because = settled === "stops" ? words.say.entries.devicesDisagree(event.by, what) : undefined;
  return {
    ...event,
    elsewhere: { settled, ...(because !== undefined && { because: because.slice(0, MOST_LETTERS) }) },
  };
}

/** Stores what was judged, unless the job was added to since. */
function keep(
  services: Services,
  before: JobInHand,
  { added, after }: Judged,
): JobInHand | "changed-meanwhile" {
  const { jobs, inHand } = services;
  const { id } = before.inputs;
  const head = added.at(-1)!.seal.hash;
  const told: JobInHand[] = [];
  const done = store(services, (ledger): Result<JobInHand, "changed-meanwhile"> => {
    const there = jobs.head(id);
    if ((there?.entries ?? 0) !== before.events.length) return err("changed-meanwhile");
    jobs.append(id, added);
    ledger.job(id, before.events.length + added.length, head);
    const { origin, doubt } = jobs.provenance(id);
    keepSummary(services, after, { origin, ...(doubt !== undefined && { doubt }) });
    if (added.some(({ event }) => event.kind === "closure-passes" || event.kind === "undone"))
      markPassing(services, before, after);
    if (isClosed(after) !== isClosed(before.run)) jobs.close(id, isClosed(after) ? services.now() : null);
    if (after.status.kind === "signed-off") {
      finish(services, ledger, after);
      bookUse(services, after);
    }
    if (
      !sameLinks(before.run.shut, after.shut) ||
      !sameLinks([...before.run.openRound.keys()], [...after.openRound.keys()]) ||
      isClosed(after) !== isClosed(before.run)
    )
      told.push(...tellOthers(services, ledger, after, added.at(-1)!.event.by));
    return ok({ inputs: before.inputs, events: [...before.events, ...added], run: after, head });
  });
  if (!done.ok) return done.error;
  for (const each of [done.value, ...told]) inHand.keep(each);
  return done.value;
}

const sameLinks = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((link, index) => link === b[index]);

/**
 * A closure found to pass is marked on the line, so that the next job does not count on it; taking the finding back
 * takes the mark back, unless the line knew before.
 */
function markPassing(services: Services, { inputs, events }: JobInHand, after: Run): void {
  const line = inputs.line && services.library.line(inputs.line.id);
  if (line === undefined) return;
  const knownBefore = new Set(
    inputs.line?.links.flatMap((link) => (link.kind === "valve" && link.passes ? [link.id] : [])),
  );
  const mentioned = new Set([
    ...after.progress.passing,
    ...events.flatMap(({ event }) => (event.kind === "closure-passes" ? [event.link] : [])),
  ]);
  if (mentioned.size === 0) return;
  const passes = (id: string) => after.progress.passing.includes(id) || knownBefore.has(id);
  keepLine(services, {
    ...line,
    links: line.links.map((link) => {
      if (link.kind !== "valve" || !mentioned.has(link.id)) return link;
      const { passes: _, ...sound } = link;
      return passes(link.id) ? { ...sound, passes: true } : sound;
    }),
  });
}

/** What a signature does beyond the log: the job's figures and its date go to the valve. */
export function finish(services: Services, ledger: Ledger, job: Run): void {
  const { library, register } = services;
  const { inputs, progress } = job;
  const { tag } = inputs.valve;
  const from = { valve: tag, job: inputs.id };
  library.saveReadings(
    progress.kept.flatMap((kept) => {
      const worked = workAgain(kept);
      if (!worked.ok) return [];
      const { what, dimension, si } = worked.value;
      return [{ ...from, at: kept.at, what, dimension, si, typed: kept.typed, by: kept.by }];
    }),
  );
  library.saveReadings(
    inputs.sheet.checks.flatMap((check) => {
      const given = progress.answers.get(check.id);
      if (check.kind !== "measure" || given?.answer.kind !== "measured") return [];
      const { si, typed } = given.answer;
      return [
        { ...from, at: given.at, what: check.what, dimension: check.dimension, si, typed, by: given.by },
      ];
    }),
  );
  ledger.readings(tag);
  const at = progress.signedOff?.at ?? Date.parse(inputs.openedAt);
  const valve = register.valve(tag) ?? inputs.valve;
  const newer = valve.serviced !== undefined && Date.parse(valve.serviced) >= at;
  if (!newer) keepValve(services, afterJob(valve, job, at));
}
