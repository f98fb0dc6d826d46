import type { StripFailure } from "@/core/build";
import { type DepthAsked, depthOf } from "@/core/depth";
import {
  type AskedWay,
  type JobInputs,
  type Line,
  PLAN_RULES,
  type Sheet,
  type Valve,
  type Where,
} from "@/core/formats";
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
import { speaker, stripMessage } from "@/words";
import type { Actor } from "../people";
import { store } from "../proof/ledger";
import type { Services } from "../services";
import { freeStores } from "../store/held";
import { carriedOver, keepJobOfCase } from "../trouble/carried-over";
import { notProven } from "./proven";
import { keepSummary } from "./summary";
import { workedBy } from "./worked-by";

export interface OpenJob {
  readonly valve: string;
  readonly reason: JobInputs["reason"];
  readonly reach: readonly string[];
  /** Parts that the reason for the job renews. */
  readonly renew?: readonly string[];
  readonly policy: JobInputs["policy"];
  /** Where the valve is; in its line when left out. */
  readonly where?: Where;
  /** How deep it goes, and what was weighed for it. */
  readonly depth?: DepthAsked;
  /** Another way than the usual one, where practitioners differ. */
  readonly schools?: readonly AskedWay[];
  /** The case it came of: what was found there is not asked again. */
  readonly case?: string;
  /** Which one it is, as far as it was told before the trip. */
  readonly which?: Pick<Valve, "build" | "generation" | "fitted">;
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

const outOfReach = (failure: StripFailure, sheet: Sheet): Problem => ({
  path: "/reach",
  message: stripMessage(speaker(), failure, sheet),
});

/** As much of the line as the job needs, as it stands beside the others; kept as it is built. */
const carried = (whole: Line, held: HeldShut, at: string): Line =>
  asBuilt(enoughOfLine(lineAsItStands(whole, held), { open: [at] }), whole);

/** The valve as the register has it, and as it is told to be besides. */
const asToldNow = (valve: Valve, { fitted, ...which }: NonNullable<OpenJob["which"]> = {}): Valve => ({
  ...valve,
  ...which,
  ...(fitted !== undefined && { fitted: { ...valve.fitted, ...fitted } }),
});

/** What is told of it has to be of its sheet. */
function whichFault(
  sheet: Sheet,
  { which: { build, generation, fitted = {} } = {} }: OpenJob,
): Problem | undefined {
  const builds = sheet.builds.map(({ id }) => id);
  const options = (sheet.options ?? []).map(({ id }) => id);
  const other = Object.keys(fitted).find((id) => !options.includes(id));
  const none = (what: string, id: string, known: readonly string[]) =>
    `The sheet "${sheet.id}" has no ${what} "${id}": ${known.join(", ") || "it has none"}.`;
  if (build !== undefined && !builds.includes(build))
    return { path: "/which/build", message: none("build", build, builds) };
  if (generation !== undefined && !sheet.generations.includes(generation))
    return { path: "/which/generation", message: none("generation", generation, sheet.generations) };
  return other === undefined
    ? undefined
    : { path: `/which/fitted/${other}`, message: none("option", other, options) };
}

/** Nothing is reached: it is looked at, where that is what the reason asks. */
const looksOf = (sheet: Sheet, { reason, reach }: OpenJob): string[] | undefined =>
  reach.length > 0 ? undefined : sheet.symptoms.find(({ id }) => id === reason.symptom)?.looks;

/** The inputs a job on this valve would begin with: nothing is stored. */
export function jobInputs(services: Services, ask: OpenJob, by: string): Result<JobInputs, Problem[]> {
  const { library, register, now, newId } = services;
  const registered = register.valve(ask.valve);
  if (registered === undefined)
    return err([
      {
        path: "/valve",
        message:
          register.anyValve(ask.valve) === undefined
            ? `No valve "${ask.valve}" is in the register.`
            : `${ask.valve} is retired. Bring it back into service first.`,
      },
    ]);
  const valve = asToldNow(registered, ask.which);
  const sheet = library.sheet(valve.sheet);
  if (sheet === undefined)
    return err([
      { path: "/valve", message: `The sheet "${valve.sheet}" of this valve is missing. Bring it in first.` },
    ]);
  const { where = "line" } = ask;
  // Out of its line nothing of it is shut.
  const whole = valve.line === undefined || where !== "line" ? undefined : library.line(valve.line);
  const held = whole && heldOn(whole, heldShut(services, whole.id));
  const line = whole && held && carried(whole, held, valve.node ?? valve.tag);
  const version = whole && library.lineVersion(whole.id);
  const works = stockFor(sheet, freeStores(services));
  const looks = looksOf(sheet, ask);
  const inputs: JobInputs = {
    id: newId(),
    valve,
    sheet,
    ...(line !== undefined && { line }),
    ...(held !== undefined && held.size > 0 && { held: heldLinks(held) }),
    ...(works !== undefined && { store: works }),
    reason: ask.reason,
    reach: [...ask.reach],
    ...(looks !== undefined && { looks }),
    policy: ask.policy,
    ...(where !== "line" && { where }),
    ...(ask.renew !== undefined && ask.renew.length > 0 && { renew: [...ask.renew] }),
    people: {
      competent: true,
      ...(services.things.one("house", "house")?.anotherProves === true && { anotherProves: true }),
    },
    ...(ask.case !== undefined && carriedOver(services, ask.case, sheet)),
    openedAt: new Date(now()).toISOString(),
    openedBy: by,
    rules: PLAN_RULES,
    named: {
      sheet: { id: sheet.id, revision: sheet.revision, hash: digest(sheet) },
      ...(whole !== undefined &&
        version !== undefined && {
          line: { id: whole.id, revision: version.revision, hash: version.hash || digest(whole) },
        }),
    },
  };
  if (ask.case !== undefined && services.things.one("case", ask.case)?.valve !== ask.valve)
    return err([{ path: "/case", message: `There is no case "${ask.case}" of this valve. Leave it out.` }]);
  if (ask.reach.length === 0 && looks === undefined)
    return err([{ path: "/reach", message: "Choose at least one part to reach." }]);
  const fault = whichFault(sheet, ask);
  if (fault !== undefined) return err([fault]);
  if (ask.reason.says.trim() === "")
    return err([{ path: "/reason/says", message: "Say why the job is done." }]);
  const { symptom } = ask.reason;
  if (symptom !== undefined && !sheet.symptoms.some(({ id }) => id === symptom))
    return err([
      {
        path: "/reason/symptom",
        message: `The sheet "${sheet.id}" has no symptom "${symptom}". Name one of its own, or leave it out.`,
      },
    ]);
  const first = run(inputs, []);
  if (!first.ok) return err([outOfReach(first.error, sheet)]);
  const worked = workedBy(speaker(), inputs, ask.schools);
  if (!worked.ok) return err([worked.error]);
  const depth = ask.depth && depthOf(worked.value, ask.depth);
  if (depth?.ok === false) return err([depth.error]);
  return ok({ ...worked.value, ...(depth !== undefined && { depth: depth.value }) });
}

/** Opens a job; a valve has one open job at a time. */
export function openJob(services: Services, ask: OpenJob, actor: Actor): Result<JobInputs, Problem[]> {
  const { jobs, summaries } = services;
  return store(services, (ledger): Result<JobInputs, Problem[]> => {
    if (summaries.openOfValve(ask.valve) !== undefined)
      return err([
        {
          path: "/valve",
          message: `A job on ${ask.valve} is open already. Go on with that one, or sign it off.`,
        },
      ]);
    const inputs = jobInputs(services, ask, actor.name);
    if (!inputs.ok) return inputs;
    const first = run(inputs.value, []);
    if (!first.ok) return err([outOfReach(first.error, inputs.value.sheet)]);
    const harm = notProven(first.value.plan, inputs.value);
    if (harm !== undefined) return err([harm]);
    jobs.create(inputs.value);
    if (ask.case !== undefined) keepJobOfCase(services, ask.case, inputs.value.id);
    keepSummary(services, first.value, { origin: "here" });
    ledger.job(inputs.value.id, 0, chainStart(inputs.value));
    return inputs;
  });
}
