import type { Line } from "../formats";
import { type IsolationPlan, type NotBoth, notBoth, planForWork, type ShutOff } from "../isolation";
import { MEDIA_RULES, network } from "../line";

/** A valve's work with how it is shut off by itself. */
export interface ShutAlone extends ShutOff {
  readonly tag: string;
  /** From its first work to its last, without shutting off and bringing back, min. */
  readonly open_min: number;
}

/** Work that is shut off once, and how. */
export interface ShutOnce {
  readonly tags: readonly string[];
  readonly plan: IsolationPlan;
}

/** Two that may not be out at a time, and why. */
export interface Apart {
  readonly tags: readonly [string, string];
  /** A section of a refrigerant is open to one job at a time: what comes out of two cannot be told apart. */
  readonly because: NotBoth | { readonly kind: "one-section" };
}

/** What each minute that somebody is without counts beside a minute of the crew. */
const OUTAGE_PER_MIN = 0.1;

/**
 * Which works on one line are shut off once, and which are never out at a time. Two groups are shut once where the joint
 * isolation costs less than the two, takes nobody's service who has it in both, and no more fire protection at a time
 * than one of them takes anyway; the dearest saving first.
 *
 * @param line as it is when they are done
 */
export function shutOnceOn(
  line: Line,
  works: readonly ShutAlone[],
): { readonly once: readonly ShutOnce[]; readonly apart: readonly Apart[] } {
  const apart = apartOn(line, works);
  const never = new Set(apart.map(({ tags }) => tags.join(" ")));
  let groups = works.map((work): Group => ({ works: [work], plan: work.plan }));
  // What was tried once is the same whatever else was joined since.
  const tried = new Map<Group, Map<Group, Tried | undefined>>();
  for (;;) {
    let best: { readonly gain: number; readonly made: Group; readonly of: readonly Group[] } | undefined;
    for (const [at, one] of groups.entries())
      for (const other of groups.slice(at + 1)) {
        const known = tried.get(one) ?? new Map<Group, Tried | undefined>();
        tried.set(one, known);
        if (!known.has(other))
          known.set(other, isNever(never, one, other) ? undefined : tryJoined(line, one, other));
        const { gain, made } = known.get(other) ?? { gain: 0 };
        if (made !== undefined && gain > (best?.gain ?? 0)) best = { gain, made, of: [one, other] };
      }
    if (best === undefined) break;
    const { made, of } = best;
    groups = [...groups.filter((group) => !of.includes(group)), made];
  }
  return {
    once: groups.flatMap((group) =>
      group.works.length < 2 ? [] : [{ tags: group.works.map(({ tag }) => tag).sort(), plan: group.plan }],
    ),
    apart,
  };
}

/** Two as one, and what that gains. */
interface Tried {
  readonly gain: number;
  readonly made: Group;
}

interface Group {
  readonly works: readonly ShutAlone[];
  readonly plan: IsolationPlan;
}

function apartOn(line: Line, works: readonly ShutAlone[]): Apart[] {
  const oneAtATime = MEDIA_RULES[line.medium].refrigerant === true;
  const laidOut = network(line);
  return works.flatMap((a, at) =>
    works.slice(at + 1).flatMap((b): Apart[] => {
      const because =
        oneAtATime && touch(a.plan, b.plan) ? { kind: "one-section" as const } : notBoth(line, a, b, laidOut);
      return because === undefined ? [] : [{ tags: [a.tag, b.tag], because }];
    }),
  );
}

const isNever = (never: ReadonlySet<string>, one: Group, other: Group): boolean =>
  one.works.some((a) =>
    other.works.some((b) => never.has(`${a.tag} ${b.tag}`) || never.has(`${b.tag} ${a.tag}`)),
  );

/** Whether their sections overlap or are parted by a valve that both shut. */
function touch(a: IsolationPlan, b: IsolationPlan): boolean {
  const [shut, within] = [new Set(a.closures.map(({ link }) => link)), new Set(a.section.nodes)];
  return b.closures.some(({ link }) => shut.has(link)) || b.section.nodes.some((node) => within.has(node));
}

function joined(line: Line, one: Group, other: Group): Group | undefined {
  const works = [...one.works, ...other.works];
  const plan = planForWork(line, { open: [...new Set(works.flatMap(({ opens }) => opens))] });
  if (!plan.ok || plan.value.bypasses.length > 0 || plan.value.pumpedOut.length > 0) return undefined;
  const { lost } = plan.value;
  const gone = new Set(works.flatMap((work) => work.plan.lost.map(({ node }) => node)));
  const fire = fireIn(plan.value);
  const takenAnyway = works.some((work) => {
    const own = fireIn(work.plan);
    return [...fire].every((node) => own.has(node));
  });
  return lost.every(({ node }) => gone.has(node)) && takenAnyway ? { works, plan: plan.value } : undefined;
}

const fireIn = ({ lost }: IsolationPlan): ReadonlySet<string> =>
  new Set(lost.flatMap(({ node, hydrant, protects }) => (hydrant || protects ? [node] : [])));

/** What two are as one; nothing where they have nothing to do with each other, or may not be one. */
function tryJoined(line: Line, one: Group, other: Group): Tried | undefined {
  if (!touch(one.plan, other.plan)) return undefined;
  const made = joined(line, one, other);
  return made && { gain: gainOf(one, other, made), made };
}

/** Minutes of a crew that shutting once saves, with what those feel who are without. */
function gainOf(one: Group, other: Group, made: Group): number {
  const turning = one.plan.minutes + other.plan.minutes - made.plan.minutes;
  return turning <= 0 ? 0 : 2 * turning + OUTAGE_PER_MIN * (outage(one) + outage(other) - outage(made));
}

/** Minutes that all who go without are without, together: shutting and opening count as long as each other. */
const outage = ({ works, plan }: Group): number =>
  plan.lost.length * (2 * plan.minutes + works.reduce((sum, { open_min }) => sum + open_min, 0));
