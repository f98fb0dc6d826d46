import { type Barred, dangersAt, fastens, forbiddenAt } from "../../build";
import { ofPieces } from "../../findings";
import type { Part, Task, Way } from "../../formats";
import { otherWay } from "../../schools";
import { awayFrom } from "../away-from";
import { type Step, type StepOf, step } from "../step";
import { stepAbout } from "../step-id";
import type { StripFacts } from "../steps/strip";
import { checksOf } from "./checks";
import { type Context, stands, toolsOf } from "./context";
import { marksBefore, marksOnce } from "./mark";
import { shockedFirst } from "./other-way";
import { askTwice, tasks } from "./tasks";
import { blanks, ventDangers } from "./vent";

/** Parts to bring off in order, each with what its material and its pressure demand; then the looks that have become possible. */
export function strip(context: Context): Step[] {
  const { sheet, strip: plan, parts } = context;
  let at = sheet.position?.start;
  const gone = new Set<string>();
  const brought = (to: string, minutes: number): Step => {
    const position = sheet.position?.names.find((each) => each.id === to);
    return step(
      { id: stepAbout("strip-position", to), phase: "strip", minutes, ...stands(sheet, at, to) },
      {
        kind: "position",
        to,
        do: position?.do ?? to,
        name: position?.name ?? to,
        for: "taking-off",
      },
    );
  };
  // Where it stands as it is found is believed by nobody: the first that counts on it has it looked at.
  let sure = context.rules < 4;
  const surely = (wanted: string | undefined): Step[] => {
    if (sure || wanted === undefined || wanted !== at) return [];
    sure = true;
    return [brought(wanted, LOOK_MIN)];
  };
  return [
    ...surely(taskPosition(context)),
    ...tasks(context, "before-strip"),
    ...shockedFirst(context),
    ...plan.moves.flatMap((move): Step[] => {
      const before = at;
      if (move.kind === "position") {
        const moved = brought(move.to, move.minutes);
        at = move.to;
        sure = true;
        return [moved];
      }
      const looked = surely(move.way.position?.before);
      at = move.way.position?.after ?? before;
      const part = parts.get(move.part)!;
      const off = { ...stripStep(context, part, move.way), ...stands(sheet, before, at) };
      gone.add(move.part);
      return [
        ...looked,
        ...marksBefore(context, move.part),
        ...(move.way.underPressure === undefined || awayFrom(context.inputs) !== undefined
          ? []
          : [askTwice(off, off.does, move.way.underPressure)]),
        ...crack(context, part, move.way),
        off,
        ...blanks(context, part, "goes-in"),
        ...marksOnce(context, move.part, gone),
      ];
    }),
  ];
}

/** To see how a valve stands, min. */
const LOOK_MIN = 0.5;

/** The position that the first of the tasks before the strip counts on. */
const taskPosition = ({ sheet, removed }: Context): string | undefined =>
  (sheet.tasks ?? []).find(
    ({ when, needsOff = [], position }) =>
      when === "before-strip" && position !== undefined && needsOff.every((part) => removed.includes(part)),
  )?.position?.before;

/** The joint is opened by a crack while some of its bolts still hold it, in case pressure is left. */
function crack(context: Context, part: Part, way: Way): Step[] {
  const { parts, removed, sheet } = context;
  const stay = way.stayUntilCracked;
  if (stay === undefined) return [];
  const cover = removed
    .map((id) => parts.get(id)!)
    .find((each) => each.fastener === undefined && each.ways.some((one) => one.heldBy.includes(part.id)));
  return [
    step(
      {
        id: stepAbout("crack", part.id),
        phase: "strip",
        minutes: 1.5,
        tools: toolsOf(context, way.tools),
        forbidden: [...forbiddenAt(sheet, part, way), ...barredByChoice(context, part)],
        dangers: dangersAt(sheet, part, way),
        part: part.id,
      },
      {
        kind: "crack",
        bolts: part.name,
        of: part.quantity,
        stay,
        ...(way.stayAt !== undefined && { stayAt: way.stayAt }),
        ...(cover !== undefined && { joint: cover.name }),
      },
    ),
  ];
}

/** Why a part has to come off: what the sheet says, what it holds, or that it is what the job came for. */
function whyOff({ sheet, removed, parts, inputs }: Context, part: Part, way: Way): StripFacts["why"] {
  if (way.why !== undefined) return { kind: "said", says: way.why };
  const held = removed.filter((id) =>
    sheet.parts.some((each) => each.id === id && each.ways.some((one) => one.heldBy.includes(part.id))),
  );
  if (held.length > 0) return { kind: "holds", parts: held.map((id) => parts.get(id)?.name ?? id) };
  return { kind: inputs.reach.includes(part.id) ? "came-for-it" : "to-be-renewed-or-seen" };
}

function stripStep(context: Context, part: Part, way: Way): StepOf<"strip"> {
  const { renewals, sheet } = context;
  const renewal = renewals.find((each) => each.part === part.id && !ofPieces(each));
  const stay = way.stayUntilCracked;
  return step(
    {
      id: stepAbout("strip", part.id),
      phase: "strip",
      minutes: way.minutes,
      tools: toolsOf(context, way.tools),
      forbidden: [...forbiddenAt(sheet, part, way), ...barredByChoice(context, part)],
      dangers: [...dangersAt(sheet, part, way), ...ventDangers(context, part)],
      part: part.id,
    },
    {
      kind: "strip",
      name: part.name,
      does: stay === undefined ? { kind: "said", says: way.do } : { kind: "last-out", stay, name: part.name },
      why: whyOff(context, part, way),
      ...(part.keep !== undefined && { keep: part.keep }),
      ...(renewal !== undefined && { renewal: { ...renewal, name: part.name } }),
      ...(way.marks !== undefined && { marks: way.marks }),
      ...(part.fastener !== undefined && {
        fastener: {
          thread: part.fastener.thread,
          drive: part.fastener.drive,
          ...(part.fastener.lengths !== undefined && { lengths: part.fastener.lengths }),
        },
      }),
      ...(part.slackened === true && { slackened: true as const }),
      ...(way.grip !== undefined && { grip: way.grip }),
      ...(part.standIn !== undefined && { standIn: part.standIn }),
      count: part.quantity,
      pieces: part.pieces ?? [],
    },
  );
}

/** Where oil was chosen and not the shock its sheet gives, nothing is hit. */
const barredByChoice = ({ inputs }: Context, part: Part): Barred[] =>
  fastens(part) && otherWay(inputs.schools, "freeing")?.way === "oil"
    ? (["hammer", "impact-driver"] as const).map((tool) => ({ kind: "follows", tool, why: "oil-was-chosen" }))
    : [];

/** Looked at; work that follows up a look stands behind it, all other work before. */
export function inspect(context: Context): Step[] {
  const follows =
    (check: string) =>
    ({ onlyAfter = [] }: Task) =>
      context.rules >= 5 && onlyAfter.at(-1)?.check === check;
  const all = checksOf(context, "inspect");
  const looks = all.filter(({ check }) => check.beforeTask === undefined);
  return [
    ...tasks(context, "when-open", {
      which: (task) => !looks.some(({ check }) => follows(check.id)(task)),
      before: (task) =>
        all
          .filter(({ check }) => check.beforeTask === task.id)
          .map((look) => ({
            ...look,
            ...stands(context.sheet, task.position?.before, task.position?.before),
          })),
    }),
    ...looks.flatMap((look) => [look, ...tasks(context, "when-open", { which: follows(look.check.id) })]),
  ];
}
