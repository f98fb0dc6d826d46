import type { JobInputs, Medium } from "../formats";
import type { ShutOff } from "../isolation";
import { asksOfJob, type Phase, type Step, standsFor, type timesOf } from "../job";
import { type Bring, bringOf } from "./bring";

/** A stretch of hands-on work, and how long it then stands by itself. */
export interface WorkStretch {
  readonly work_min: number;
  readonly wait_min?: number;
  readonly wait_most_min?: number;
}

/** Who is harmed when it is late, the worst first. */
export type Harmed = "fire" | "pressure" | "scald" | "service";

/** A compiled job as a planner sees it. */
export interface DueWork {
  /** All told, with its waits. */
  readonly minutes: number;
  /** Without shutting off and bringing back. */
  readonly stretches: readonly WorkStretch[];
  readonly shut_min: number;
  readonly restore_min: number;
  /** Links that are shut for it, sorted; none where nothing is. */
  readonly shuts: readonly string[];
  /** How it is shut off by itself, where that is planned. */
  readonly shut?: ShutOff;
  /** Fire protection that is out meanwhile: its hydrants and its zones. */
  readonly impairs: readonly string[];
  /** Who goes without, by name. */
  readonly lost: readonly string[];
  readonly needs: readonly string[];
  readonly people: number;
  readonly harmed: Harmed;
  readonly bring: Bring;
}

/** A shorter wait is not worth leaving for. */
const WORTH_LEAVING_MIN = 10;
/** What may stand as long as it likes is not left open for longer than this beyond its time. */
const MAY_STAND_MIN = 90;

const SHUTTING: readonly Phase[] = ["isolate", "prove"];
/** What comes out of these hurts who is not there to see it: somebody stays beside it. */
const STAYS_BESIDE: readonly Medium[] = ["gas", "ammonia", "co2", "steam"];
const UNDER_PRESSURE: readonly Medium[] = ["gas", "ammonia", "co2", "steam"];

/** The plan of a job as far as rounds ask: what `run` makes of it. */
interface Planned {
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly isolation: Parameters<typeof timesOf>[0]["isolation"];
  readonly opens: readonly string[];
}

/** From its first stretch to its last, with its waits between, min. */
export const openMinutes = ({ stretches }: Pick<DueWork, "stretches">): number =>
  stretches.reduce((sum, { work_min, wait_min = 0 }) => sum + work_min + wait_min, 0);

export function workOf(inputs: JobInputs, { steps, minutes, isolation, opens }: Planned): DueWork {
  const { sheet, line, valve } = inputs;
  const shut = isolation?.ok === true ? isolation.value : undefined;
  const of = (phases: readonly Phase[]) =>
    steps.reduce((sum, step) => (phases.includes(step.phase) ? sum + step.minutes : sum), 0);
  const { medium } = sheet.isolation;
  const fire = shut?.lost.filter(({ hydrant, protects }) => hydrant || protects) ?? [];
  const node = line?.nodes.find(({ id, asset }) => id === (valve.node ?? valve.tag) || asset === valve.tag);
  return {
    minutes,
    stretches: stretchesOf(steps, STAYS_BESIDE.includes(medium)),
    shut_min: of(SHUTTING),
    restore_min: of(["restore"]),
    shuts: [...new Set(shut?.closures.map(({ link }) => link) ?? [])].sort(),
    ...(shut !== undefined &&
      shut.closures.length + shut.turned.length > 0 && { shut: { opens, plan: shut } }),
    impairs: fire.map(({ node: at }) => at).sort(),
    lost: shut?.lost.map(({ name }) => name) ?? [],
    needs: asksOfJob(inputs, steps),
    // A pit is entered only while somebody stands above it.
    people: sheet.secondSignature !== undefined || node?.confined === true ? 2 : 1,
    harmed: harmedBy(sheet, fire.length > 0),
    bring: bringOf(steps, isolation),
  };
}

function harmedBy({ isolation, traits = [] }: JobInputs["sheet"], fire: boolean): Harmed {
  if (fire || traits.includes("fire-actuator")) return "fire";
  if (UNDER_PRESSURE.includes(isolation.medium)) return "pressure";
  return traits.includes("mixing") ? "scald" : "service";
}

/** The work in its order, parted where it stands by itself for long enough to do something else. */
function stretchesOf(steps: readonly Step[], staysBeside: boolean): WorkStretch[] {
  const stretches: WorkStretch[] = [];
  let work = 0;
  const stands = (wait: number, most: number) => {
    stretches.push({ work_min: work, wait_min: wait, wait_most_min: Math.max(wait, most) });
    work = 0;
  };
  for (const step of steps) {
    if (SHUTTING.includes(step.phase) || step.phase === "restore") continue;
    const wait = standsFor(step);
    if (staysBeside || wait === undefined || wait.min < WORTH_LEAVING_MIN) {
      work += step.minutes;
      continue;
    }
    work += step.minutes - wait.min;
    stands(wait.min, wait.most ?? wait.min + MAY_STAND_MIN);
  }
  return [...stretches, { work_min: work }];
}
