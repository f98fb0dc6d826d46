import type { StripFailure } from "../build";
import { type DepthAsked, depthOf } from "../depth";
import type { AskedWay, JobInputs, Sheet, Valve, Where } from "../formats";
import { run, schoolsHere } from "../job";
import { err, ok, type Problem, type Result } from "../result";
import { type ChoiceRefusal, chooseWays } from "../schools";

/** What somebody chooses of a job that is about to begin. */
export interface Chosen {
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
  /** Which one it is, as far as it was told before the trip. */
  readonly which?: Which;
}

/** Which one it is, where the register does not say. */
export type Which = Pick<Valve, "build" | "generation" | "fitted">;

/** Where and when a job is born, and in whose name. */
export interface Born {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/** Why no job can begin so: the field it concerns and the facts of the matter. */
export type BeginRefusal = { readonly path: string } & (
  | { readonly kind: "reach-nothing" }
  | {
      readonly kind: "not-on-the-sheet";
      readonly what: "build" | "generation" | "option" | "symptom";
      readonly id: string;
      readonly known: readonly string[];
    }
  | { readonly kind: "say-why" }
  | { readonly kind: "no-plan"; readonly failure: StripFailure }
  | { readonly kind: "way"; readonly refusal: ChoiceRefusal }
  | { readonly kind: "depth"; readonly problem: Problem }
);

/**
 * The job as it is asked for, made of what is offered: the same on the device, where there may be no signal, and on the
 * server, which is sent what was chosen and works it out again.
 *
 * @param offer a job on the valve as the register, the sheet, the line and the store stand, with nothing chosen
 */
export function begin(offer: JobInputs, chosen: Chosen, born: Born): Result<JobInputs, BeginRefusal> {
  const { sheet } = offer;
  const { reason, reach, policy, where = "line", renew = [] } = chosen;
  const looks = looksOf(sheet, chosen);
  if (reach.length === 0 && looks === undefined) return err({ path: "/reach", kind: "reach-nothing" });
  const fault = whichFault(sheet, chosen.which) ?? reasonFault(sheet, reason);
  if (fault !== undefined) return err(fault);
  const { renew: _, ...placed } = placedAt(offer, where);
  const inputs: JobInputs = {
    ...placed,
    id: born.id,
    valve: asTold(offer.valve, chosen.which),
    reason,
    reach: [...reach],
    ...(looks !== undefined && { looks }),
    policy,
    ...(renew.length > 0 && { renew: [...renew] }),
    openedAt: born.at,
    openedBy: born.by,
  };
  const first = run(inputs, []);
  if (!first.ok) return err({ path: "/reach", kind: "no-plan", failure: first.error });
  return asWorked(inputs, chosen);
}

/** With the ways it is worked by, and how deep: what is not asked for is done as usual. */
export function asWorked(
  inputs: JobInputs,
  { schools, depth: asked }: Pick<Chosen, "schools" | "depth">,
): Result<JobInputs, BeginRefusal> {
  const ways = chooseWays(schoolsHere(inputs), schools);
  if (!ways.ok)
    return err({
      path: `/schools/${ways.error.at}/${FIELD[ways.error.kind]}`,
      kind: "way",
      refusal: ways.error,
    });
  const worked = ways.value.length === 0 ? inputs : { ...inputs, schools: ways.value };
  if (asked === undefined) return ok(worked);
  const depth = depthOf(worked, asked);
  return depth.ok
    ? ok({ ...worked, depth: depth.value })
    : err({ path: depth.error.path, kind: "depth", problem: depth.error });
}

/** Which field of what was asked a refusal is about. */
const FIELD = {
  "does-not-arise": "topic",
  twice: "topic",
  "no-such-way": "way",
  barred: "way",
  "say-why": "why",
} as const satisfies Record<ChoiceRefusal["kind"], string>;

/** Nothing is reached: it is looked at, where that is what the reason asks. */
const looksOf = (sheet: Sheet, { reason, reach }: Chosen): string[] | undefined =>
  reach.length > 0 ? undefined : sheet.symptoms.find(({ id }) => id === reason.symptom)?.looks;

/** The valve as the register has it, and as it is told to be besides. */
export const asTold = (valve: Valve, { fitted, ...which }: Which = {}): Valve => ({
  ...valve,
  ...which,
  ...(fitted !== undefined && { fitted: { ...valve.fitted, ...fitted } }),
});

/** Out of its line nothing of it is shut, whatever is drawn. */
export function placedAt(
  { line, held, where: _, looks: __, schools: ___, ...offer }: JobInputs,
  where: Where,
): JobInputs {
  return where === "line"
    ? { ...offer, ...(line !== undefined && { line }), ...(held !== undefined && { held }) }
    : { ...offer, where, named: { sheet: offer.named!.sheet } };
}

/** What is told of it has to be of its sheet. */
function whichFault(sheet: Sheet, { build, generation, fitted = {} }: Which = {}): BeginRefusal | undefined {
  const builds = sheet.builds.map(({ id }) => id);
  const options = (sheet.options ?? []).map(({ id }) => id);
  const none = (
    path: string,
    what: "build" | "generation" | "option",
    id: string,
    known: readonly string[],
  ) => (known.includes(id) ? undefined : { path, kind: "not-on-the-sheet" as const, what, id, known });
  return (
    (build === undefined ? undefined : none("/which/build", "build", build, builds)) ??
    (generation === undefined
      ? undefined
      : none("/which/generation", "generation", generation, sheet.generations)) ??
    Object.keys(fitted)
      .map((id) => none(`/which/fitted/${id}`, "option", id, options))
      .find((fault) => fault !== undefined)
  );
}

function reasonFault({ symptoms }: Sheet, { says, symptom }: JobInputs["reason"]): BeginRefusal | undefined {
  if (says.trim() === "") return { path: "/reason/says", kind: "say-why" };
  const known = symptoms.map(({ id }) => id);
  return symptom === undefined || known.includes(symptom)
    ? undefined
    : { path: "/reason/symptom", kind: "not-on-the-sheet", what: "symptom", id: symptom, known };
}
