import type { Sheet, ToolClass, Trait } from "./sheet";

/**
 * A sheet of version 1 left to its words what version 2 says in fields: which tools harm, whether grease lies on a thread,
 * whether a part goes back as it was noted, what the valve is to the world around it. This reads them out of the words,
 * once, at the door; nothing behind it does. The stored sheet stays as it is, and so does its hash.
 */

const TOOLS: readonly (readonly [ToolClass, RegExp])[] = [
  ["torque-wrench", /torque/i],
  ["impact-driver", /impact/i],
  ["hammer", /hammer/i],
  ["power-driver", /power driver/i],
  ["pipe-wrench", /pipe wrench/i],
  ["adjustable-spanner", /adjustable spanner/i],
  ["steel-pick", /steel pick/i],
  ["steel-scraper", /steel scraper/i],
];

const TRAITS: readonly (readonly [Trait, RegExp])[] = [
  ["hydrant", /hydrant/],
  ["fire-actuator", /actuator/],
  ["meter-cock", /meter-cock/],
  ["irrigation", /irrigation|pilot/],
  ["twin-relief", /twin/],
  ["air-valve", /air-valve/],
];

const classed = (name: string): { class?: ToolClass } => {
  const found = TOOLS.find(([, words]) => words.test(name))?.[0];
  return found === undefined ? {} : { class: found };
};

type Forbidden = readonly { readonly tool: string; readonly why: string; readonly class?: ToolClass }[];
const forbidden = (tools: Forbidden | undefined) =>
  tools === undefined ? {} : { forbidden: tools.map((each) => ({ ...each, ...classed(each.tool) })) };

type Fit = NonNullable<Sheet["parts"][number]["fit"]>;

function fitNow(fit: Fit): Fit {
  const { surface, orientation = "" } = fit;
  const onThread =
    surface?.kind === "lubricate" && /thread/.test(surface.where) && !/thread/.test(surface.keepOff ?? "");
  return {
    ...fit,
    ...(surface !== undefined && onThread && { surface: { ...surface, on: "thread" as const } }),
    ...(/noted/.test(orientation) && { asNoted: true }),
  };
}

function broughtUp(sheet: Sheet): Sheet {
  const traits = TRAITS.flatMap(([trait, words]) => (words.test(sheet.family) ? [trait] : []));
  return {
    ...sheet,
    version: 2,
    ...(traits.length > 0 && { traits }),
    tools: sheet.tools.map((tool) => ({ ...tool, ...classed(tool.name) })),
    parts: sheet.parts.map((part) => ({
      ...part,
      ways: part.ways.map((way) => ({ ...way, ...forbidden(way.forbidden) })),
      ...(part.fit !== undefined && { fit: fitNow(part.fit) }),
    })),
    ...(sheet.tasks !== undefined && {
      tasks: sheet.tasks.map((task) => ({ ...task, ...forbidden(task.forbidden) })),
    }),
  };
}

const known = new WeakMap<Sheet, Sheet>();

/** The sheet as this program works with it; the same sheet gives the same object. */
export function sheetNow(sheet: Sheet): Sheet {
  if (sheet.version === 2) return sheet;
  const made = known.get(sheet) ?? broughtUp(sheet);
  known.set(sheet, made);
  return made;
}
