import type { Part, Way } from "../../formats";
import { type Step, step } from "../step";
import { checksOf } from "./checks";
import { type Context, listed, stands, toolsOf } from "./context";
import { askTwice, tasks } from "./tasks";

/** Parts to bring off in order, each with what its material and its pressure demand; then the looks that have become possible. */
export function strip(context: Context): Step[] {
  const { sheet, strip: plan, parts } = context;
  let at = sheet.position?.start;
  return [
    ...tasks(context, "before-strip"),
    ...plan.moves.flatMap((move): Step[] => {
      const before = at;
      if (move.kind === "position") {
        at = move.to;
        const position = sheet.position?.names.find((each) => each.id === move.to);
        return [
          step(
            {
              id: `strip-position:${move.to}`,
              phase: "strip",
              title: position?.do ?? move.to,
              why: `The next part comes off only with the valve ${position?.name.toLowerCase() ?? move.to}.`,
              minutes: move.minutes,
              ...stands(sheet, before, move.to),
            },
            { kind: "do" },
          ),
        ];
      }
      at = move.way.position?.after ?? before;
      const part = parts.get(move.part)!;
      const off = { ...stripStep(context, part, move.way), ...stands(sheet, before, at) };
      return [
        ...(move.way.underPressure === undefined ? [] : [askTwice(off, move.way.underPressure)]),
        ...crack(context, part, move.way),
        off,
      ];
    }),
  ];
}

/** The joint is opened by a crack while some of its bolts still hold it, in case pressure is left. */
function crack(context: Context, part: Part, way: Way): Step[] {
  const { parts, removed } = context;
  const stay = way.stayUntilCracked;
  if (stay === undefined) return [];
  const cover = removed
    .map((id) => parts.get(id)!)
    .find((each) => each.fastener === undefined && each.ways.some((one) => one.heldBy.includes(part.id)));
  const joint = (cover?.name ?? "joint").toLowerCase();
  return [
    step(
      {
        id: `crack:${part.id}`,
        phase: "strip",
        title: `Slacken all ${part.quantity} ${part.name.toLowerCase()} and take ${part.quantity - stay} out. Crack the ${joint} while ${stay} opposite ones stay in.`,
        why: "If a closure passes after all, it shows here, and the joint still holds.",
        minutes: 1.5,
        tools: toolsOf(context, way.tools),
        forbidden: way.forbidden ?? [],
        cautions: way.cautions ?? [],
        part: part.id,
        cues: [`${stay} stay in until it is cracked`],
      },
      { kind: "crack", stay, of: part.quantity },
    ),
  ];
}

/** Why a part has to come off: what it holds, or that it is what the job came for. */
function holds({ sheet, removed, parts, inputs }: Context, part: Part): string {
  const held = removed.filter((id) =>
    sheet.parts.some((each) => each.id === id && each.ways.some((way) => way.heldBy.includes(part.id))),
  );
  if (held.length > 0)
    return `It holds the ${listed(held.map((id) => (parts.get(id)?.name ?? id).toLowerCase()))}.`;
  return inputs.reach.includes(part.id)
    ? "It is what this job came for."
    : "It has to be renewed or looked at.";
}

function stripStep(context: Context, part: Part, way: Way): Step {
  const { renewals } = context;
  const renewal = renewals.find((each) => each.part === part.id);
  const reasons = [
    way.why ?? holds(context, part),
    part.keep && `Keep it: ${part.keep}`,
    renewal && `It is renewed: ${renewal.why}`,
  ].filter((each) => each !== undefined);
  const cracked = way.stayUntilCracked !== undefined;
  return step(
    {
      id: `strip:${part.id}`,
      phase: "strip",
      title: cracked ? `Take the last ${way.stayUntilCracked} ${part.name.toLowerCase()} out.` : way.do,
      why: reasons.join(" "),
      minutes: way.minutes,
      tools: toolsOf(context, way.tools),
      forbidden: cracked ? [] : (way.forbidden ?? []),
      cautions: cracked ? [] : (way.cautions ?? []),
      part: part.id,
      cues: [
        ...(part.quantity > 1 ? [`count ${part.quantity}`] : []),
        ...(way.marks === undefined ? [] : [`mark: ${way.marks}`]),
        ...(part.fastener === undefined ? [] : [`${part.fastener.thread}, ${part.fastener.drive}`]),
      ],
    },
    { kind: "strip", count: part.quantity, pieces: part.pieces ?? [] },
  );
}

export const inspect = (context: Context): Step[] => [
  ...tasks(context, "when-open"),
  ...checksOf(context, "inspect"),
];
