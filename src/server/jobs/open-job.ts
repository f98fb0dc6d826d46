import { type Born, begin, type Chosen } from "@/core/begin";
import { type JobInputs, type Line, PLAN_RULES, type Valve } from "@/core/formats";
import { enoughOfLine } from "@/core/isolation";
import {
  asBuilt,
  chainStart,
  digest,
  type HeldShut,
  heldLinks,
  heldOn,
  lineAsItStands,
  run,
} from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import { stockFor } from "@/core/store";
import { beginRefused, speaker } from "@/words";
import type { Actor } from "../people";
import { type Ledger, store } from "../proof/ledger";
import type { Services } from "../services";
import { freeStores } from "../store/held";
import { carriedOver, keepJobOfCase } from "../trouble/carried-over";
import { notProven } from "./proven";
import { keepSummary } from "./summary";

export interface OpenJob extends Chosen {
  readonly valve: string;
  /** By which it is known to whoever asks for it; else it is given one. */
  readonly id?: string;
  /** The case it came of: what was found there is not asked again. */
  readonly case?: string;
  /** Tags of valves of the same line that are worked on in the same shut-down. */
  readonly together?: readonly string[];
}

/** Valves of this line that open jobs hold, so that a second job neither moves nor counts on them unawares. */
export const heldShut = (
  { summaries }: Pick<Services, "summaries">,
  line: string,
  except?: string,
): HeldShut =>
  new Map(
    summaries.holding().flatMap(({ job, valve, held }) =>
      job === except
        ? []
        : held
            .filter((each) => each.line === line)
            .map(({ link, position, open }) => [
              link,
              {
                job,
                valve,
                ...(position !== undefined && { position }),
                ...(open !== undefined && { open }),
              },
            ]),
    ),
  );

/** As much of the line as the job needs, as it stands beside the others; kept as it is built. */
const carried = (whole: Line, held: HeldShut, open: readonly string[]): Line =>
  asBuilt(enoughOfLine(lineAsItStands(whole, held), { open }), whole);

/** Where a valve stands on the line of another; nothing where that is none of its own. */
const placeBeside = (beside: Valve | undefined, { tag, line }: Valve): string | undefined =>
  beside === undefined || beside.tag === tag || line === undefined || beside.line !== line
    ? undefined
    : (beside.node ?? beside.tag);

/** Stands in what is offered, until somebody starts the job in a name of the crew. */
const NOBODY_YET = "nobody yet";

/**
 * What a job on this valve is made of, with nothing chosen yet: its sheet, its line beside the other jobs, the store, and
 * what a case found. Nothing is stored.
 *
 * @param holds what other jobs hold of a line by then
 */
export function offerOf(
  services: Services,
  { valve: tag, case: of, together = [] }: Pick<OpenJob, "valve" | "case" | "together">,
  holds = (line: string): HeldShut => heldShut(services, line),
): Result<JobInputs, Problem[]> {
  const { library, register, now, newId, things } = services;
  const valve = register.valve(tag);
  if (valve === undefined)
    return err([
      {
        path: "/valve",
        message:
          register.anyValve(tag) === undefined
            ? `No valve "${tag}" is in the register.`
            : `${tag} is retired. Bring it back into service first.`,
      },
    ]);
  const sheet = library.sheet(valve.sheet);
  if (sheet === undefined)
    return err([
      { path: "/valve", message: `The sheet "${valve.sheet}" of this valve is missing. Bring it in first.` },
    ]);
  if (of !== undefined && things.one("case", of)?.valve !== tag)
    return err([{ path: "/case", message: `There is no case "${of}" of this valve. Leave it out.` }]);
  const whole = valve.line === undefined ? undefined : library.line(valve.line);
  const held = whole && heldOn(whole, holds(whole.id));
  const beside = together.map((each) => placeBeside(register.valve(each), valve));
  const stranger = together[beside.indexOf(undefined)];
  if (stranger !== undefined)
    return err([
      {
        path: "/together",
        message: `${stranger} does not stand on the line of ${tag}. Leave it out: it is shut off by itself.`,
      },
    ]);
  const open = [valve.node ?? valve.tag, ...beside.flatMap((at) => at ?? [])];
  const line = whole && held && carried(whole, held, open);
  const version = whole && library.lineVersion(whole.id);
  const works = stockFor(sheet, freeStores(services));
  return ok({
    id: newId(),
    valve,
    sheet,
    ...(line !== undefined && { line }),
    ...(held !== undefined && held.size > 0 && { held: heldLinks(held) }),
    ...(works !== undefined && { store: works }),
    reason: { kind: "event", says: "Due" },
    reach: [],
    ...(open.length > 1 && { together: open.slice(1) }),
    policy: sheet.renewal?.usual ?? "on-condition",
    people: {
      competent: true,
      ...(things.one("house", "house")?.anotherProves === true && { anotherProves: true }),
    },
    ...(of !== undefined && carriedOver(services, of, sheet)),
    openedAt: new Date(now()).toISOString(),
    openedBy: NOBODY_YET,
    rules: PLAN_RULES,
    named: {
      sheet: { id: sheet.id, revision: sheet.revision, hash: digest(sheet) },
      ...(whole !== undefined &&
        version !== undefined && {
          line: { id: whole.id, revision: version.revision, hash: version.hash || digest(whole) },
        }),
    },
  });
}

/** The inputs a job on this valve would begin with: nothing is stored. */
export function jobInputs(services: Services, ask: OpenJob, by: string): Result<JobInputs, Problem[]> {
  const offer = offerOf(services, ask);
  if (!offer.ok) return offer;
  const { id, openedAt } = offer.value;
  return begun(offer.value, ask, { id: ask.id ?? id, at: openedAt, by });
}

/** The job that was opened by this request before, when its answer was lost on the way. */
export function openedBefore(
  { jobs }: Services,
  { id, valve }: OpenJob,
): Result<string | undefined, Problem> {
  const known = id === undefined ? undefined : jobs.find(id);
  return known === undefined || known.inputs.valve.tag === valve
    ? ok(known && id)
    : err({ path: "/id", message: "Another job goes by this id. Give it a new one." });
}

/** The job as it is asked for, or in words why not. */
export function begun(offer: JobInputs, ask: Chosen, born: Born): Result<JobInputs, Problem[]> {
  const inputs = begin(offer, ask, born);
  if (inputs.ok) return inputs;
  const { path } = inputs.error;
  return err([{ path, message: beginRefused(speaker(), inputs.error, offer.sheet) }]);
}

/** Opens a job; a valve has one open job at a time. */
export function openJob(services: Services, ask: OpenJob, actor: Actor): Result<JobInputs, Problem[]> {
  return store(services, (ledger): Result<JobInputs, Problem[]> => {
    if (services.summaries.openOfValve(ask.valve) !== undefined)
      return err([
        {
          path: "/valve",
          message: `A job on ${ask.valve} is open already. Go on with that one, or sign it off.`,
        },
      ]);
    const inputs = jobInputs(services, ask, actor.name);
    return inputs.ok ? keepOpened(services, ledger, inputs.value) : inputs;
  });
}

/** Keeps a job that begins, if it is proven. */
export function keepOpened(
  services: Services,
  ledger: Ledger,
  inputs: JobInputs,
): Result<JobInputs, Problem[]> {
  const first = run(inputs, []);
  // It was compiled when it was begun.
  if (!first.ok) throw new Error(`job ${inputs.id} was begun and has no plan`);
  const harm = notProven(first.value.plan, inputs);
  if (harm !== undefined) return err([harm]);
  services.jobs.create(inputs);
  if (inputs.trouble !== undefined) keepJobOfCase(services, inputs.trouble.case, inputs.id);
  keepSummary(services, first.value, { origin: "here" });
  ledger.job(inputs.id, 0, chainStart(inputs));
  return ok(inputs);
}
