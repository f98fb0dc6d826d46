import type { Sheet } from "../formats";
import { unitNamed } from "../quantity";
import type { Problem } from "../result";

type Capture = Sheet["capture"][number];

/** What is noted: one of some choices or a figure, and what each choice tells of build, generation and options. */
export function checkCapture(sheet: Sheet, capture: Capture, at: string): Problem[] {
  const { choices = [], figure, right, byBuild = {}, byGeneration = {}, tellsOption } = capture;
  const chosen = (choice: string, path: string): Problem[] =>
    choices.includes(choice)
      ? []
      : [{ path, message: `"${choice}" is none of the choices: ${choices.join(", ") || "it has none"}.` }];
  const told = (
    what: string,
    by: Readonly<Record<string, string>>,
    known: readonly string[],
    of: string,
  ): Problem[] =>
    Object.entries(by).flatMap(([name, choice]) => [
      ...(known.includes(name)
        ? []
        : [
            {
              path: `${at}/${what}/${name}`,
              message: `This sheet has no ${of} "${name}". Name one of ${known.join(", ") || `its ${of}s (it has none yet)`}.`,
            },
          ]),
      ...chosen(choice, `${at}/${what}/${name}`),
    ]);
  return [
    ...(choices.length > 0 === (figure !== undefined)
      ? [{ path: `${at}/choices`, message: "Give either the choices, or the figure that is noted." }]
      : []),
    ...(figure !== undefined &&
    figure.dimension !== "number" &&
    unitNamed(figure.unit, figure.dimension) === undefined
      ? [{ path: `${at}/figure/unit`, message: `"${figure.unit}" is not a unit of ${figure.dimension}.` }]
      : []),
    ...told(
      "byBuild",
      byBuild,
      sheet.builds.map(({ id }) => id),
      "build",
    ),
    ...told("byGeneration", byGeneration, sheet.generations, "generation"),
    ...(tellsOption === undefined
      ? []
      : [
          ...((sheet.options ?? []).some(({ id }) => id === tellsOption.option)
            ? []
            : [
                {
                  path: `${at}/tellsOption/option`,
                  message: `This sheet has no option "${tellsOption.option}".`,
                },
              ]),
          ...chosen(tellsOption.yes, `${at}/tellsOption/yes`),
          ...chosen(tellsOption.no, `${at}/tellsOption/no`),
        ]),
    ...(right === undefined ? [] : chosen(right, `${at}/right`)),
  ];
}
