import type { Tool } from "../../formats";
import type { ActRule } from "../act-rule";

/** A joint is brought to its end, with a wrench that can show it. */
export const tighten: ActRule<"tighten"> = {
  harms: (world, { part, least_Nm, most_Nm, tools }) => {
    const { valve, site } = world;
    if (valve.off.has(part))
      return [{ kind: "cannot-be-done", act: "tighten", why: { kind: "off-already", part } }];
    const until = site.assembly.parts.get(part)?.fit?.looseUntil;
    const wrenches = tools.flatMap((id) =>
      site.sheet.tools.filter((tool) => tool.id === id && tool.class === "torque-wrench"),
    );
    const missed = [least_Nm, most_Nm].find(
      (asked) => asked !== undefined && wrenches.length > 0 && !wrenches.some((each) => shows(each, asked)),
    );
    return [
      ...(until !== undefined && valve.off.has(until)
        ? [{ kind: "tight-before-its-fellows" as const, part, waits: until }]
        : []),
      ...(missed === undefined
        ? []
        : [{ kind: "out-of-the-wrench" as const, part, asked_Nm: missed, tool: wrenches[0]?.id ?? "" }]),
    ];
  },
  effect: (world, { part }) => void world.valve.loose.delete(part),
};

/** Whether a wrench clicks at this torque. */
const shows = ({ least_Nm = 0, most_Nm = Number.POSITIVE_INFINITY }: Tool, asked_Nm: number): boolean =>
  asked_Nm >= least_Nm - 1e-9 && asked_Nm <= most_Nm + 1e-9;
