import { CALCULATORS } from "../calculators";
import type { Chances, Look, Sheet, Trouble } from "../formats";
import { unitsOf } from "../quantity";
import type { Problem } from "../result";
import { answersOf, BANDS } from "./answering";
import { limitsOf } from "./measure";

const said = (ids: Iterable<string>) => [...ids].join(", ") || "none";
const CLOSE = 1e-6;

/**
 * What is wrong with knowledge, each at its place: chances that do not add up, names that stand for nothing, a look that can
 * never be done, a cause without an end, a complaint without a cause.
 *
 * @param sheets of its family; what they do not have is not looked at where there are none
 */
export function checkTrouble(knowledge: Trouble, sheets: readonly Sheet[] = []): Problem[] {
  return [
    ...twice(knowledge),
    ...complaintFaults(knowledge, sheets),
    ...causeFaults(knowledge, sheets),
    ...knowledge.looks.flatMap((look, index) => lookFaults(look, `/looks/${index}`, knowledge, sheets)),
    ...endFaults(knowledge, sheets),
  ];
}

const ids = (of: readonly { readonly id: string }[]) => new Set(of.map(({ id }) => id));

function twice({ complaints, causes, looks, ends }: Trouble): Problem[] {
  return Object.entries({ complaints, causes, looks, ends }).flatMap(([name, of]) => {
    const seen = new Set<string>();
    return of.flatMap(({ id }, index) => {
      if (!seen.has(id)) {
        seen.add(id);
        return [];
      }
      return [{ path: `/${name}/${index}/id`, message: `"${id}" stands here twice. Give one another id.` }];
    });
  });
}

const unknown = (path: string, what: string, id: string, known: Iterable<string>): Problem => ({
  path,
  message: `There is no ${what} "${id}". There are: ${said(known)}.`,
});

function complaintFaults({ complaints, causes, ends }: Trouble, sheets: readonly Sheet[]): Problem[] {
  return complaints.flatMap(({ id, symptom, danger }, index) => [
    ...(danger !== undefined || causes.some(({ weights }) => weights[id] !== undefined)
      ? []
      : [
          {
            path: `/complaints/${index}`,
            message: `No cause has a weight for "${id}". Say of at least one how often it is that.`,
          },
        ]),
    ...(danger === undefined || ids(ends).has(danger)
      ? []
      : [unknown(`/complaints/${index}/danger`, "end", danger, ids(ends))]),
    ...(symptom === undefined || onAnySheet(sheets, ({ symptoms }) => symptoms, symptom)
      ? []
      : [
          unknown(
            `/complaints/${index}/symptom`,
            "reason on the sheet",
            symptom,
            sheets.flatMap(({ symptoms }) => symptoms.map((each) => each.id)),
          ),
        ]),
  ]);
}

const onAnySheet = (
  sheets: readonly Sheet[],
  list: (sheet: Sheet) => readonly { readonly id: string }[],
  id: string,
) => sheets.length === 0 || sheets.some((sheet) => list(sheet).some((each) => each.id === id));

function causeFaults({ causes, complaints, ends }: Trouble, sheets: readonly Sheet[]): Problem[] {
  const known = ids(complaints);
  return causes.flatMap((cause, index) => {
    const at = `/causes/${index}`;
    const parts = sheets.flatMap((sheet) => sheet.parts.map(({ id }) => id));
    return [
      ...Object.keys(cause.weights)
        .filter((id) => !known.has(id))
        .map((id) => unknown(`${at}/weights/${id}`, "complaint", id, known)),
      ...(Object.keys(cause.weights).length === 0
        ? [{ path: `${at}/weights`, message: "Say for which complaints it is a cause, and how often." }]
        : []),
      ...(ids(ends).has(cause.end) ? [] : [unknown(`${at}/end`, "end", cause.end, ids(ends))]),
      ...(cause.part === undefined || onAnySheet(sheets, (sheet) => sheet.parts, cause.part)
        ? []
        : [unknown(`${at}/part`, "part", cause.part, parts)]),
      ...(cause.shownBy ?? []).flatMap(({ check, answers }, which) => {
        const found = sheets.flatMap((sheet) => sheet.checks.filter(({ id }) => id === check));
        if (sheets.length > 0 && found.length === 0)
          return [
            unknown(
              `${at}/shownBy/${which}/check`,
              "check",
              check,
              sheets.flatMap(({ checks }) => checks.map(({ id }) => id)),
            ),
          ];
        const possible = new Set(found.flatMap(checkAnswers));
        return sheets.length === 0
          ? []
          : answers
              .filter((answer) => !possible.has(answer))
              .map((answer) => unknown(`${at}/shownBy/${which}/answers`, "answer", answer, possible));
      }),
    ];
  });
}

/** What a check of a sheet can come to, by id. */
export const checkAnswers = (check: Sheet["checks"][number]): readonly string[] => {
  switch (check.kind) {
    case "choice":
    case "pieces":
      return check.options.map(({ id }) => id);
    case "measure":
      return BANDS;
    case "trick":
      return ["go", "no-go"];
  }
};

function lookFaults(look: Look, at: string, knowledge: Trouble, sheets: readonly Sheet[]): Problem[] {
  const answers = answersOf(look);
  const causes = ids(knowledge.causes);
  const complaints = ids(knowledge.complaints);
  return [
    ...(look.usual === undefined ? [] : chanceFaults(look.usual, answers, `${at}/usual`)),
    ...(look.tells ?? []).flatMap(({ causes: named, chances }, index) => [
      ...named
        .filter((id) => !causes.has(id))
        .map((id) => unknown(`${at}/tells/${index}/causes`, "cause", id, causes)),
      ...chanceFaults(chances, answers, `${at}/tells/${index}/chances`),
    ]),
    ...(look.complaints ?? [])
      .filter((id) => !complaints.has(id))
      .map((id) => unknown(`${at}/complaints`, "complaint", id, complaints)),
    ...tellsNothing(look, at),
    ...neverDone(look, at, sheets),
    ...worldFaults(look, at, answers),
    ...(look.kind === "measure"
      ? measureFaults(look, at, knowledge, sheets)
      : choiceFaults(look, at, knowledge, sheets)),
  ];
}

function chanceFaults(chances: Chances, answers: readonly string[], at: string): Problem[] {
  const strange = Object.keys(chances).filter((id) => !answers.includes(id));
  const sum = Object.values(chances as Record<string, number>).reduce((total, each) => total + each, 0);
  return [
    ...strange.map((id) => unknown(`${at}/${id}`, "answer", id, answers)),
    ...(Math.abs(sum - 1) <= CLOSE
      ? []
      : [
          {
            path: at,
            message: `These chances add up to ${Number(sum.toFixed(3))}. One of the answers always comes: make them add up to 1.`,
          },
        ]),
  ];
}

const tellsNothing = (look: Look, at: string): Problem[] =>
  (look.tells ?? []).length > 0 || look.world !== undefined
    ? []
    : [
        {
          path: at,
          message: "It says nothing of any cause. Say how causes answer it, or read it in the world.",
        },
      ];

/** What shuts the other out. */
const AGAINST = [
  ["live", "dead"],
  ["live", "cover-off"],
  ["power-on", "power-off"],
] as const;

function neverDone({ needs = [], off = [] }: Look, at: string, sheets: readonly Sheet[]): Problem[] {
  const clash = AGAINST.find(([one, other]) => needs.includes(one) && needs.includes(other));
  return [
    ...(clash === undefined
      ? []
      : [
          {
            path: `${at}/needs`,
            message: `It can never be done: "${clash[0]}" and "${clash[1]}" cannot both be so. Leave one out.`,
          },
        ]),
    ...off.flatMap((part, index) => {
      const on = sheets.flatMap((sheet) => sheet.parts.filter(({ id }) => id === part));
      if (sheets.length > 0 && on.length === 0)
        return [
          unknown(
            `${at}/off/${index}`,
            "part",
            part,
            sheets.flatMap((sheet) => sheet.parts.map(({ id }) => id)),
          ),
        ];
      return on.length > 0 && on.every(({ stays }) => stays === true)
        ? [
            {
              path: `${at}/off/${index}`,
              message: `It can never be done: "${part}" stays where it is and never comes off.`,
            },
          ]
        : [];
    }),
    ...(off.length > 0 && !needs.includes("cover-off")
      ? [{ path: `${at}/needs`, message: 'Parts have to be off for it: add "cover-off".' }]
      : []),
  ];
}

function worldFaults({ world, kind }: Look, at: string, answers: readonly string[]): Problem[] {
  if (world === undefined) return [];
  const pressure = world.reads === "pressure-here" || world.reads === "pressure-further-up";
  if (kind === "measure")
    return pressure
      ? []
      : [{ path: `${at}/world/reads`, message: "A figure is read in the world as a pressure only." }];
  return (["yes", "no"] as const).flatMap((which) => {
    const answer = world[which];
    if (answer === undefined)
      return [{ path: `${at}/world/${which}`, message: "Say which of the answers it is." }];
    return answers.includes(answer) ? [] : [unknown(`${at}/world/${which}`, "answer", answer, answers)];
  });
}

function choiceFaults(
  look: Extract<Look, { kind: "choice" }>,
  at: string,
  { ends }: Trouble,
  sheets: readonly Sheet[],
): Problem[] {
  const checks = sheets.flatMap((sheet) => sheet.checks.filter(({ id }) => id === look.check));
  const possible = new Set(checks.flatMap(checkAnswers));
  return [
    ...checkFault(look, at, sheets),
    ...look.answers.flatMap(({ danger, option }, index) => [
      ...(danger === undefined || ids(ends).has(danger)
        ? []
        : [unknown(`${at}/answers/${index}/danger`, "end", danger, ids(ends))]),
      ...(option === undefined || sheets.length === 0 || possible.has(option)
        ? []
        : [unknown(`${at}/answers/${index}/option`, "answer of the check", option, possible)]),
    ]),
    ...(new Set(look.answers.map(({ id }) => id)).size === look.answers.length
      ? []
      : [{ path: `${at}/answers`, message: "Two answers have the same id." }]),
  ];
}

const checkFault = ({ check }: Look, at: string, sheets: readonly Sheet[]): Problem[] =>
  check === undefined || onAnySheet(sheets, ({ checks }) => checks, check)
    ? []
    : [
        unknown(
          `${at}/check`,
          "check",
          check,
          sheets.flatMap(({ checks }) => checks.map(({ id }) => id)),
        ),
      ];

function measureFaults(
  look: Extract<Look, { kind: "measure" }>,
  at: string,
  { ends }: Trouble,
  sheets: readonly Sheet[],
): Problem[] {
  const units = unitsOf(look.dimension).map(({ id }) => id);
  const limits = [limitsOf(look), ...sheets.map((sheet) => limitsOf(look, sheet))];
  const { sum } = look;
  const calculator = sum && CALCULATORS.find(({ id }) => id === sum.calculator);
  const inputs = calculator?.inputs.map(({ name }) => name) ?? [];
  return [
    ...checkFault(look, at, sheets),
    ...(look.dimension === "number" || units.includes(look.unit)
      ? []
      : [unknown(`${at}/unit`, "unit", look.unit, units)]),
    ...((sheets.length === 0 && look.check !== undefined) ||
    limits.some(({ low, high }) => low !== undefined || high !== undefined)
      ? []
      : [{ path: at, message: "It has no limit: say from where it is low, or up to where it is well." }]),
    ...(look.low !== undefined && look.high !== undefined && look.low >= look.high
      ? [{ path: `${at}/high`, message: "The high limit must lie above the low one." }]
      : []),
    ...Object.entries(look.danger ?? {}).flatMap(([band, end]) =>
      ids(ends).has(end) ? [] : [unknown(`${at}/danger/${band}`, "end", end, ids(ends))],
    ),
    ...(sum === undefined
      ? []
      : calculator === undefined
        ? [
            unknown(
              `${at}/sum/calculator`,
              "sum",
              sum.calculator,
              CALCULATORS.map(({ id }) => id),
            ),
          ]
        : [
            ...[
              sum.input,
              ...Object.keys(sum.given ?? {}),
              ...(sum.asks ?? []),
              ...Object.values(sum.limits ?? {}),
            ]
              .filter((name) => !inputs.includes(name))
              .map((name) => unknown(`${at}/sum`, "input", name, inputs)),
            ...(calculator.outputs.some(({ name }) => name === sum.output)
              ? []
              : [
                  unknown(
                    `${at}/sum/output`,
                    "answer",
                    sum.output,
                    calculator.outputs.map(({ name }) => name),
                  ),
                ]),
          ]),
  ];
}

function endFaults({ ends, causes, looks, complaints }: Trouble, sheets: readonly Sheet[]): Problem[] {
  const used = new Set([
    ...causes.map(({ end }) => end),
    ...complaints.flatMap(({ danger }) => danger ?? []),
    ...looks.flatMap((look) =>
      look.kind === "choice"
        ? look.answers.flatMap(({ danger }) => danger ?? [])
        : Object.values(look.danger ?? {}),
    ),
  ]);
  return ends.flatMap((end, index) => {
    const at = `/ends/${index}`;
    const problems: Problem[] = used.has(end.id)
      ? []
      : [{ path: at, message: "Nothing ends so. Name it at a cause or a danger, or take it out." }];
    if (end.kind === "job") {
      if (!onAnySheet(sheets, ({ symptoms }) => symptoms, end.symptom))
        problems.push(
          unknown(
            `${at}/symptom`,
            "reason on the sheet",
            end.symptom,
            sheets.flatMap(({ symptoms }) => symptoms.map(({ id }) => id)),
          ),
        );
      for (const part of [...(end.reach ?? []), ...(end.renews ?? [])])
        if (!onAnySheet(sheets, (sheet) => sheet.parts, part))
          problems.push(
            unknown(
              at,
              "part",
              part,
              sheets.flatMap((sheet) => sheet.parts.map(({ id }) => id)),
            ),
          );
    }
    if (end.kind === "do-now" && end.once !== undefined)
      problems.push(...onceFaults(end.id, end.once, `${at}/once`, { causes, looks }));
    return problems;
  });
}

/** What is done only once it was seen has to be seen first: by a look that is asked for every complaint it can end. */
function onceFaults(
  end: string,
  { look: id, answers }: { readonly look: string; readonly answers: readonly string[] },
  at: string,
  { causes, looks }: Pick<Trouble, "causes" | "looks">,
): Problem[] {
  const look = looks.find((each) => each.id === id);
  if (look === undefined) return [unknown(`${at}/look`, "look", id, ids(looks))];
  const asked = look.complaints;
  const complaints = new Set(
    causes.flatMap((cause) => (cause.end === end ? Object.keys(cause.weights) : [])),
  );
  return [
    ...answers
      .filter((answer) => !answersOf(look).includes(answer))
      .map((answer) => unknown(`${at}/answers`, "answer", answer, answersOf(look))),
    ...(asked === undefined ? [] : [...complaints].filter((each) => !asked.includes(each))).map((each) => ({
      path: `${at}/look`,
      message: `For "${each}" the look "${id}" is never asked, so this can never be done. Ask it there, too.`,
    })),
  ];
}
