import type { Part, Way } from "../../formats";
import { type Step, step } from "../step";
import { checksOf } from "./checks";
import { type Context, listed, toolsOf } from "./context";

/** Marks to take, parts to bring off in order, then the looks that have become possible. */
export function mark({ sheet }: Context): Step[] {
  return sheet.capture.map((capture) =>
    step(
      {
        id: `mark:${capture.id}`,
        phase: "mark",
        title: capture.ask,
        why: capture.why,
        minutes: 0.5,
        mayOverride: true,
      },
      { kind: "capture", ask: capture.ask, choices: capture.choices },
    ),
  );
}

export function strip(context: Context): Step[] {
  const { sheet, strip: plan, parts } = context;
  return plan.moves.map((move) => {
    if (move.kind === "position") {
      const position = sheet.position?.names.find((each) => each.id === move.to);
      return step(
        {
          id: `strip-position:${move.to}`,
          phase: "strip",
          title: position?.do ?? move.to,
          why: `The next part comes off only with the valve ${position?.name.toLowerCase() ?? move.to}.`,
          minutes: move.minutes,
        },
        { kind: "do" },
      );
    }
    return stripStep(context, parts.get(move.part)!, move.way);
  });
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
  const { sheet, renewals } = context;
  const renewal = renewals.find((each) => each.part === part.id);
  const reasons = [
    way.why ?? holds(context, part),
    part.keep && `Keep it: ${part.keep}`,
    renewal && `It is renewed: ${renewal.why}`,
  ].filter((each) => each !== undefined);
  return step(
    {
      id: `strip:${part.id}`,
      phase: "strip",
      title: way.do,
      why: reasons.join(" "),
      minutes: way.minutes,
      tools: toolsOf(sheet, way.tools),
      forbidden: way.forbidden ?? [],
      cautions: way.cautions ?? [],
      part: part.id,
      cues: [
        ...(part.quantity > 1 ? [`count ${part.quantity}`] : []),
        ...(way.marks === undefined ? [] : [`mark: ${way.marks}`]),
        ...(way.stayUntilCracked === undefined
          ? []
          : [`${way.stayUntilCracked} stay in until it is cracked`]),
        ...(part.fastener === undefined ? [] : [`${part.fastener.thread}, ${part.fastener.drive}`]),
      ],
    },
    { kind: "strip" },
  );
}

export const inspect = (context: Context): Step[] => checksOf(context, "inspect");
