import type { JobInputs, SealedEvent } from "@/core/formats";
import { chainStart, verifyChain } from "@/core/job";
import type { Anchor, AnchoredHead } from "@/data";
import { atOneMoment, type Services } from "../services";
import { signedBy, type Witness } from "./installation";
import { anchorHash, ledgerStart, readingsHead } from "./ledger";

/** Something stored that is not as it was when it was acknowledged. */
export interface Doubt {
  readonly subject: "job" | "readings" | "anchors";
  /** The job, the valve; empty for the chain of anchors. */
  readonly id: string;
  readonly message: string;
}

const RELY = "Do not rely on it; look for the original, a copy of the data folder or a printed record.";

interface Log {
  readonly inputs: JobInputs;
  readonly events: readonly SealedEvent[];
}

/** Whether a log is whole in itself, and the one that was anchored last. @param sound entries that are known to be good */
export function doubtOfJob(
  services: Services,
  { inputs, events }: Log,
  isAnchorSound = soundness(services),
  sound = 0,
): Doubt | undefined {
  const chain = verifyChain(inputs, events, sound);
  const doubt = (message: string): Doubt => ({ subject: "job", id: inputs.id, message });
  if (!chain.ok) return doubt(chain.error.message);
  const head = { entries: events.length, head: events.at(-1)?.seal.hash ?? chainStart(inputs) };
  const message = unlikeAnchored(services, "job", inputs.id, head, isAnchorSound);
  return message === undefined ? undefined : doubt(message);
}

/** Whether the readings of a valve are those that were anchored last. */
export function doubtOfReadings(
  services: Services,
  valve: string,
  isAnchorSound = soundness(services),
): Doubt | undefined {
  const message = atOneMoment(services, () => {
    const readings = services.library.readings(valve);
    const head = { entries: readings.length, head: readingsHead(readings) };
    return unlikeAnchored(services, "readings", valve, head, isAnchorSound);
  });
  return message === undefined ? undefined : { subject: "readings", id: valve, message };
}

type Soundness = (anchor: Anchor) => boolean;

const soundness =
  ({ installation }: Services): Soundness =>
  (anchor) =>
    isSound(anchor, installation.publicKey);

/** Where the chain of anchors has been walked, each of its anchors is known to be sound. */
const WALKED: Soundness = () => true;

function unlikeAnchored(
  { anchors }: Services,
  subject: AnchoredHead["subject"],
  id: string,
  found: Pick<AnchoredHead, "entries" | "head">,
  isAnchorSound: Soundness,
): string | undefined {
  const known = anchors.head(subject, id);
  const what = subject === "job" ? "log" : "list of readings";
  if (known === undefined)
    return subject === "readings" && found.entries === 0
      ? undefined
      : `This ${what} was never anchored by this installation: it was put in behind its back. ${RELY}`;
  const anchor = anchors.at(known.anchor);
  const named = anchor?.heads.some(
    (each) => each.subject === subject && each.id === id && each.head === known.head,
  );
  if (anchor === undefined || named !== true || !isAnchorSound(anchor))
    return `The anchor of this ${what} was changed. ${RELY}`;
  if (found.entries < known.entries)
    return `${known.entries - found.entries} of ${known.entries} entries are missing: the ${what} was cut after ${anchor.at}. ${RELY}`;
  if (found.head !== known.head)
    return subject === "job"
      ? `The log was sealed anew after it was anchored on ${anchor.at}. ${RELY}`
      : `A reading was changed, added or taken away after ${anchor.at}. ${RELY}`;
  return undefined;
}

const isSound = (anchor: Anchor, publicKey: string): boolean =>
  anchorHash(anchor) === anchor.hash && signedBy(publicKey, anchor.hash, anchor.signature);

/** Whether what was anchored last was signed with another key than the one that lies here. */
export function signedByAnother({ anchors, installation }: Services): boolean {
  const last = anchors.last();
  // One that was changed fits no key at all: the watch tells of it.
  return (
    last !== undefined &&
    anchorHash(last) === last.hash &&
    !signedBy(installation.publicKey, last.hash, last.signature)
  );
}

/** The newest anchor the database has, against the one that was acknowledged. */
export function doubtOfEnd(witness: Witness | undefined, last: Witness | undefined): Doubt | undefined {
  if (witness === undefined) return undefined;
  const doubt = (message: string): Doubt => ({ subject: "anchors", id: "", message });
  const missing = witness.seq - (last?.seq ?? 0);
  if (missing > 0)
    return doubt(
      `The database has lost its end: ${missing} of ${witness.seq} acknowledged changes are not in it. Stop the server and put back the newest copy of the whole data folder, with its -wal file.`,
    );
  return missing === 0 && witness.hash !== last?.hash
    ? doubt(`The newest anchor is not the one that was acknowledged: the chain was written anew. ${RELY}`)
    : undefined;
}

const AT_ONCE = 20;

/** Walks everything that is stored, a piece at a time: between two pieces others can be served. */
export function* doubts(services: Services): Generator<Doubt | undefined> {
  const { anchors, installation, jobs } = services;
  // The witness first: another server on this folder may add between the two.
  const witness = installation.witness();
  yield doubtOfEnd(witness, anchors.last());
  let previous = ledgerStart(installation.publicKey);
  let known = 0;
  for (;;) {
    const some = anchors.after(known, AT_ONCE);
    if (some.length === 0) break;
    for (const anchor of some) {
      if (
        anchor.seq !== known + 1 ||
        anchor.previous !== previous ||
        !isSound(anchor, installation.publicKey)
      ) {
        yield {
          subject: "anchors",
          id: "",
          message: `Anchor ${known + 1} does not fit the one before: the installation's chain was changed. ${RELY}`,
        };
        return;
      }
      known = anchor.seq;
      previous = anchor.hash;
    }
    yield undefined;
  }
  for (const id of jobs.ids()) {
    const stored = jobs.find(id);
    yield stored && doubtOfJob(services, stored, WALKED);
  }
  const there = new Set(jobs.ids());
  for (const { id, entries } of anchors.heads("job"))
    if (!there.has(id) && entries > 0)
      yield { subject: "job", id, message: `The job ${id} was taken out of the database. ${RELY}` };
  const valves = new Set([
    ...anchors.heads("readings").map((head) => head.id),
    ...services.library.valvesWithReadings(),
  ]);
  for (const valve of valves) yield doubtOfReadings(services, valve, WALKED);
}

/** Everything that is not as it was acknowledged. */
export const allDoubts = (services: Services): Doubt[] =>
  [...doubts(services)].filter((each) => each !== undefined);
