import type { JobInputs, Line, Valve } from "../formats";
import type { Plan } from "./compile";
import { demoDocument, librarySheet, wetJob } from "./job.fixtures";
import { run } from "./run";
import type { Step } from "./step";

const lines = new Map<string, Line>();
const lineOf = (id: string): Line => {
  const line = lines.get(id) ?? demoDocument<Line>(`lines/${id}.json`);
  lines.set(id, line);
  return line;
};

/** A job on a valve of the demo's lines. */
export function jobAt(
  tag: string,
  sheetId: string,
  line: string | undefined,
  more: Partial<JobInputs> & { build?: string } = {},
): JobInputs {
  const { line: _, ...base } = wetJob();
  const { build, ...inputs } = more;
  const sheet = librarySheet(sheetId);
  const valve: Valve = {
    tag,
    name: tag,
    place: "Sallow Holm",
    sheet: sheetId,
    ...(line !== undefined && { line, node: tag }),
    ...(build !== undefined && { build }),
  };
  return {
    ...base,
    id: `job-${tag}`,
    valve,
    sheet,
    ...(line !== undefined && { line: lineOf(line) }),
    reach: sheet.symptoms[0]!.reach,
    policy: "what-was-disturbed",
    ...inputs,
  };
}

export function planOf(inputs: JobInputs): Plan {
  const job = run(inputs, []);
  if (!job.ok) throw new Error(`${inputs.valve.tag}: ${job.error.kind}`);
  return job.value.plan;
}

type Is = (step: Step) => boolean;
export const kind =
  (...kinds: readonly Step["kind"][]): Is =>
  (step) =>
    kinds.includes(step.kind);
export const id =
  (...ids: readonly string[]): Is =>
  (step) =>
    ids.includes(step.id);

type Change = (steps: readonly Step[]) => readonly Step[];
/** Rules of the compiler, taken away: what they place is left out, moved or altered. */
export const leaveOut =
  (is: Is): Change =>
  (steps) =>
    steps.filter((step) => !is(step));
export const alter =
  <S extends Step>(is: Is, change: (step: S) => Step): Change =>
  (steps) =>
    steps.map((step) => (is(step) ? change(step as S) : step));
/** Moves what matches to stand before, or behind, the first that matches the other. */
export const move =
  (is: Is, where: "before" | "behind", other: Is): Change =>
  (steps) => {
    const rest = steps.filter((step) => !is(step));
    const at = rest.findIndex(other) + (where === "behind" ? 1 : 0);
    return [...rest.slice(0, at), ...steps.filter(is), ...rest.slice(at)];
  };
