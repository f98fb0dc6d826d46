import type { Sheet } from "../formats";
import { MEDIA_RULES } from "../line";
import type { Problem } from "../result";
import { tolerance } from "./look-alike";

/** What the parts claim of themselves: stacks that count up, look-alikes that can be told, dry parts that stay dry. */
export function checkBuild(sheet: Sheet): Problem[] {
  return [...partsOf(sheet), ...looseEndsOf(sheet), ...tasksOf(sheet), ...releaseProblems(sheet)];
}

const problem = (path: string, message: string): Problem => ({ path, message });

function partsOf(sheet: Sheet): Problem[] {
  return sheet.parts.flatMap((part, index) => {
    const at = `/parts/${index}`;
    const found: Problem[] = [];
    if (part.pieces !== undefined && part.pieces.length !== part.quantity)
      found.push(
        problem(
          `${at}/pieces`,
          `${part.name} lists ${part.pieces.length} pieces, but its quantity is ${part.quantity}. Make them agree: the count on site goes by it.`,
        ),
      );
    if (part.dryByDesign !== undefined && part.fit?.surface?.kind === "lubricate")
      found.push(
        problem(
          `${at}/fit/surface`,
          `${part.name} is dry by design (${part.dryByDesign}), yet its fit greases it. Take one of the two out.`,
        ),
      );
    if (part.fit?.end.kind === "torque" && !part.fit.tools.some((tool) => isTorqueWrench(sheet, tool)))
      found.push(
        problem(
          `${at}/fit/tools`,
          `${part.name} goes back to a torque, but no torque wrench is among its tools.`,
        ),
      );
    for (const build of Object.keys(part.fit?.byBuild ?? {}))
      if (!sheet.builds.some(({ id }) => id === build))
        found.push(problem(`${at}/fit/byBuild`, `This sheet has no build "${build}".`));
    part.lookAlikes?.forEach((alike, number) => {
      const told = alike.features.some((feature) => {
        const own = part.features?.find((each) => each.name === feature.name);
        if (own === undefined) return false;
        return own.nominal_mm === undefined || feature.nominal_mm === undefined
          ? own.value !== feature.value
          : Math.abs(own.nominal_mm - feature.nominal_mm) > tolerance(own) + tolerance(feature);
      });
      if (!told)
        found.push(
          problem(
            `${at}/lookAlikes/${number}/features`,
            `Nothing tells ${alike.name} from ${part.name}. Give both the same feature with values that differ by more than can be misread.`,
          ),
        );
    });
    return found;
  });
}

const isTorqueWrench = (sheet: Sheet, id: string) =>
  sheet.tools.find((tool) => tool.id === id)?.class === "torque-wrench";

function looseEndsOf(sheet: Sheet): Problem[] {
  const parts = new Set(sheet.parts.map((part) => part.id));
  const stray = (id: string | undefined, path: string) =>
    id === undefined || parts.has(id)
      ? []
      : [problem(path, `There is no part "${id}". Add it or correct the name.`)];
  return [
    ...sheet.connections.flatMap((end, index) => stray(end.part, `/connections/${index}/part`)),
    ...sheet.capture.flatMap((capture, index) =>
      stray(capture.confirmAfter, `/capture/${index}/confirmAfter`),
    ),
    ...sheet.checks.flatMap(({ beforeTask }, index) =>
      beforeTask === undefined ||
      (sheet.tasks ?? []).some(({ id, when }) => id === beforeTask && when === "when-open")
        ? []
        : [
            problem(
              `/checks/${index}/beforeTask`,
              `There is no work "${beforeTask}" at the open valve. Add it or correct the name.`,
            ),
          ],
    ),
    ...(sheet.assemblies ?? []).flatMap((assembly, index) =>
      assembly.parts.flatMap((part, number) => stray(part, `/assemblies/${index}/parts/${number}`)),
    ),
  ];
}

function tasksOf(sheet: Sheet): Problem[] {
  const parts = new Set(sheet.parts.map((part) => part.id));
  const tools = new Map(sheet.tools.map((tool) => [tool.id, tool.name.toLowerCase()]));
  const positions = new Set(sheet.position?.names.map((each) => each.id));
  return (sheet.tasks ?? []).flatMap((task, index) => {
    const at = `/tasks/${index}`;
    return [
      ...[...(task.needsOff ?? []), ...(task.part === undefined ? [] : [task.part])].flatMap((id) =>
        parts.has(id) ? [] : [problem(at, `There is no part "${id}". Add it or correct the name.`)],
      ),
      ...task.tools.flatMap((tool, number) => {
        const name = tools.get(tool);
        if (name === undefined)
          return [problem(`${at}/tools/${number}`, `There is no tool "${tool}" in this sheet.`)];
        return task.forbidden?.some((each) => name.includes(each.tool.toLowerCase()))
          ? [problem(`${at}/tools/${number}`, `${tool} is both used and forbidden here.`)]
          : [];
      }),
      ...[task.position?.before, task.position?.after].flatMap((id) =>
        id === undefined || positions.has(id)
          ? []
          : [problem(`${at}/position`, `There is no position "${id}" in this sheet.`)],
      ),
    ];
  });
}

function releaseProblems(sheet: Sheet): Problem[] {
  const { medium } = sheet.isolation;
  return (sheet.release ?? []).flatMap((each, index) =>
    each.rung === "cover" && !MEDIA_RULES[medium].crackCover
      ? [
          problem(
            `/release/${index}/rung`,
            `${medium} is never let out at the cover. Name a port, a gauge valve or a fitting, or leave this rung out.`,
          ),
        ]
      : [],
  );
}
