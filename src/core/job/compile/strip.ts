import type { Part, Way } from "../../formats";
import { type Step, step } from "../step";
import { checksOf } from "./checks";
import { type Context, toolsOf } from "./context";

/** Marks to take, parts to bring off in order, then the looks that have become possible. */
export function mark({ sheet }: Context): Step[] {
  return sheet.capture.map((capture) =>
    step(
      { id: `mark:${capture.id}`, phase: "mark", title: capture.ask, why: capture.why, minutes: 0.5, mayOverride: true },
      { kind: "capture", ask: capture.ask, choices: capture.choices },
    ),
  );
}

export function strip(context: Context): Step[] {
  const { sheet, strip: plan, parts } = context;
  return plan.moves.map((move) => {
    if (move.kind === "position") {
      const position = sheet.position?.names.find((each) => each.id === move.to);
      return step({ id: `strip-position:${move.to}`, phase: "strip", title: position?.do ?? move.to, why: `The next part comes off only with the valve ${position?.name.toLowerCase() ?? move.to}.`, minutes: move.minutes }, { kind: "do" });
    }
    return stripStep(context, parts.get(move.part)!, move.way);
  });
}

function stripStep({ sheet, renewals }: Context, part: Part, way: Way): Step {
  const renewal = renewals.find((each) => each.part === part.id);
  const reasons = [way.why, part.keep && `Keep it: ${part.keep}`, renewal && `It is renewed: ${renewal.why}`].filter((each) => each !== undefined);
  return step(
    {
      id: `strip:${part.id}`,
      phase: "strip",
      title: way.do,
      why: reasons.length > 0 ? reasons.join(" ") : `It holds what lies behind it.`,
      minutes: way.minutes,
      tools: toolsOf(sheet, way.tools),
      forbidden: way.forbidden ?? [],
      cautions: way.cautions ?? [],
      part: part.id,
      cues: [
        ...(part.quantity > 1 ? [`count ${part.quantity}`] : []),
        ...(way.marks === undefined ? [] : [`mark: ${way.marks}`]),
        ...(way.stayUntilCracked === undefined ? [] : [`${way.stayUntilCracked} stay in until it is cracked`]),
        ...(part.fastener === undefined ? [] : [`${part.fastener.thread}, ${part.fastener.drive}`]),
      ],
    },
    { kind: "strip" },
  );
}

export const inspect = (context: Context): Step[] => checksOf(context, "inspect");
