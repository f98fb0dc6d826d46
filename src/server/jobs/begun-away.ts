import type { JobInputs, Meanwhile } from "@/core/formats";
import { digest } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import { strangers } from "../people";
import { signedBy } from "../proof/installation";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import { begun, keepOpened, type OpenJob } from "./open-job";

/** Where a job began that was begun without signal. */
export interface Away {
  /** What was offered then. */
  readonly offer: JobInputs;
  /** This server's signature under it. */
  readonly seal: string;
  readonly at: string;
  readonly by: string;
}

/** How far a device may be dated ahead, and before what it was offered. */
const AHEAD_MS = 5 * 60_000;
const BEFORE_MS = 2 * 60_000;

const offerText = (offer: JobInputs): string => `loftbell.offer ${digest(offer)}`;

/** Signs what is offered: only what stood here so can be begun on a device. */
export const sealOffer = ({ installation }: Pick<Services, "installation">, offer: JobInputs): string =>
  installation.sign(offerText(offer));

/** A job that was begun without signal is here. */
export interface OpenedAway {
  readonly inputs: JobInputs;
  /** What became otherwise since it was offered. */
  readonly meanwhile: readonly Meanwhile[];
}

/**
 * Opens a job that was begun without signal. It is not refused because somebody else began one on the same valve, or
 * because the sheet was revised: it was worked, and it is kept as it was worked.
 *
 * @param signedIn names of those signed in on the device that sends it; nothing where one need not sign in
 */
export function openAway(
  services: Services,
  ask: OpenJob,
  away: Away,
  signedIn: ReadonlySet<string> | undefined,
): Result<OpenedAway, { readonly kind: "refused" | "not-signed-in"; readonly problems: readonly Problem[] }> {
  const { offer } = away;
  const fault = faultOf(services, ask, away);
  if (fault !== undefined) return err({ kind: "refused", problems: [fault] });
  if (signedIn !== undefined && !signedIn.has(away.by))
    return err({
      kind: "not-signed-in",
      problems: [
        {
          path: "/away/by",
          message: `${away.by} began this job and is not signed in on this device. It stays on the device: ${away.by} signs in here, and it is handed in.`,
        },
      ],
    });
  const meanwhile = meanwhileOf(services, offer);
  const opened = store(services, (ledger): Result<JobInputs, Problem[]> => {
    const inputs = begun(offer, ask, { id: ask.id ?? offer.id, at: away.at, by: away.by });
    return inputs.ok ? keepOpened(services, ledger, inputs.value) : inputs;
  });
  return opened.ok
    ? ok({ inputs: opened.value, meanwhile })
    : err({ kind: "refused", problems: opened.error });
}

function faultOf(services: Services, ask: OpenJob, { offer, seal, at, by }: Away): Problem | undefined {
  const { installation, now, register } = services;
  if (!signedBy(installation.publicKey, offerText(offer), seal))
    return {
      path: "/away/seal",
      message:
        "What this job was begun from was not offered by this server, or was changed since. Take it as a file and bring it in under Loft, Bring in.",
    };
  if (ask.valve !== offer.valve.tag)
    return { path: "/valve", message: `It was offered for ${offer.valve.tag}. Name that valve.` };
  if (register.valve(ask.valve) === undefined)
    return {
      path: "/valve",
      message: `${ask.valve} was retired meanwhile. Bring it back into service, then the job is handed in.`,
    };
  const [stranger] = strangers(services, [by]);
  if (stranger !== undefined) return { path: "/away/by", message: stranger.message };
  const begunAt = Date.parse(at);
  if (begunAt > now() + AHEAD_MS)
    return {
      path: "/away/at",
      message: "The clock of this device runs ahead. Set it right; nothing is lost.",
    };
  return begunAt < Date.parse(offer.openedAt) - BEFORE_MS
    ? { path: "/away/at", message: "It is dated before it was offered. Set the clock of this device right." }
    : undefined;
}

/** What became otherwise since it was offered. */
function meanwhileOf({ library, summaries }: Services, { valve, named }: JobInputs): Meanwhile[] {
  const sheet = library.sheet(valve.sheet);
  const line = valve.line === undefined ? undefined : library.lineVersion(valve.line);
  const open = summaries.openOfValve(valve.tag);
  return [
    ...(open === undefined ? [] : [{ kind: "another-job" as const, job: open.job, by: open.openedBy }]),
    ...(sheet === undefined || named === undefined || sheet.revision === named.sheet.revision
      ? []
      : [{ kind: "newer-sheet" as const, from: named.sheet.revision, to: sheet.revision }]),
    ...(line === undefined || named?.line === undefined || line.revision === named.line.revision
      ? []
      : [{ kind: "newer-line" as const, from: named.line.revision, to: line.revision }]),
  ];
}
