import type { Part } from "../../formats";
import { sharedHeader } from "../../line";
import { awayFrom } from "../away-from";
import { type Step, step } from "../step";
import type { Danger } from "../step-head";
import { stepAbout } from "../step-id";
import type { BlankFacts } from "../steps/blank";
import type { Context } from "./context";

/** The header this valve shares, where it stands in its line. */
const shared = ({ inputs }: Context) =>
  inputs.line === undefined || awayFrom(inputs) !== undefined
    ? undefined
    : sharedHeader(inputs.line, inputs.valve.node ?? inputs.valve.tag);

/** A relief valve's outlet is opened: what else blows into the same header comes out there when it lifts. */
export function ventDangers(context: Context, part: Part): Danger[] {
  const { removed, parts } = context;
  const header = shared(context);
  // Its first joint is the one at its outlet or the valve itself: said once, where it opens.
  if (header === undefined || part.id !== removed.find((id) => parts.get(id)?.dry !== true)) return [];
  return [{ kind: "shared-header", ...header }];
}

/** The header is blanked as soon as it stands open, and the blank comes out right before it is closed. */
export function blanks(context: Context, part: Part, how: BlankFacts["how"]): Step[] {
  const header = part.opensVent === true ? shared(context) : undefined;
  if (header === undefined) return [];
  return [
    step(
      {
        id: stepAbout(how === "goes-in" ? "blank" : "unblank", part.id),
        phase: how === "goes-in" ? "strip" : "rebuild",
        minutes: 2,
        dangers: [{ kind: "shared-header", ...header }],
      },
      { kind: "blank", how, ...header },
    ),
  ];
}
