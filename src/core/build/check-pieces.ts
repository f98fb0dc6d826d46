import { type Part, type Sheet, verdictsOf } from "../formats";
import type { Problem } from "../result";

/** What a sheet says of stacks and of looks that follow up others: seals and spacers by turns, pieces and answers that there are. */
export const checkPieces = (sheet: Sheet): Problem[] => [
  ...sheet.parts.flatMap((part, index) => alternation(part, `/parts/${index}`)),
  ...sheet.checks.flatMap((check, index): Problem[] =>
    check.kind === "pieces" ? lookedAt(sheet, check, `/checks/${index}`) : [],
  ),
  ...sheet.kits.flatMap(({ contents }, kit) =>
    contents.flatMap(({ part, piece, quantity }, item): Problem[] => {
      const at = `/kits/${kit}/contents/${item}/piece`;
      return piece === undefined ? [] : named(sheet, part, piece, at, quantity);
    }),
  ),
  ...followUps(sheet),
];

const piecesOf = (sheet: Sheet, id: string) => sheet.parts.find((part) => part.id === id)?.pieces ?? [];

/**
 * Seals and spacers stand by turns: two of a kind on each other leave a port without its seal. Then the two kinds differ by
 * one at most, and the larger group stands at both ends.
 */
function alternation({ name, pieces = [] }: Part, at: string): Problem[] {
  const twice = pieces.findIndex((piece, index) => index > 0 && piece.kind === pieces[index - 1]?.kind);
  return [
    ...(twice > 0
      ? [
          {
            path: `${at}/pieces/${twice}`,
            message: `Pieces ${twice} and ${twice + 1} of ${name} are of one kind. Seals and spacers go in by turns: correct the order, or the count.`,
          },
        ]
      : []),
  ];
}

type PiecesCheck = Extract<Sheet["checks"][number], { kind: "pieces" }>;

function lookedAt(sheet: Sheet, check: PiecesCheck, at: string): Problem[] {
  const pieces = piecesOf(sheet, check.part);
  if (pieces.length === 0)
    return [
      { path: `${at}/part`, message: `"${check.part}" is no stack: list its pieces, or ask a choice.` },
    ];
  const unasked = [...new Set(pieces.map(({ name }) => name))].filter((name) =>
    check.options.every((option) => option.pieces?.includes(name) === false),
  );
  return [
    ...check.options.flatMap((option, index) =>
      (option.pieces ?? []).flatMap((name, place) =>
        named(sheet, check.part, name, `${at}/options/${index}/pieces/${place}`),
      ),
    ),
    ...unasked.map((name) => ({
      path: `${at}/options`,
      message: `No answer is for "${name}": say how such a piece can look.`,
    })),
  ];
}

function named(sheet: Sheet, part: string, piece: string, path: string, quantity = 0): Problem[] {
  const names = piecesOf(sheet, part).map(({ name }) => name);
  const there = names.filter((name) => name === piece).length;
  if (there === 0)
    return [
      {
        path,
        message: `"${piece}" is no piece of ${part}: ${[...new Set(names)].join(", ") || "it has none"}.`,
      },
    ];
  return quantity > 0 && quantity < there
    ? [{ path, message: `The stack has ${there} of ${piece}; this kit brings ${quantity}.` }]
    : [];
}

/** A look that follows up another one names a check before it, and answers that it can give. */
function followUps({ checks, tasks = [] }: Sheet): Problem[] {
  const all = [
    ...checks.map(({ onlyAfter = [] }, index) => ({
      onlyAfter,
      at: `/checks/${index}`,
      before: checks.slice(0, index),
    })),
    ...tasks.map(({ onlyAfter = [] }, index) => ({ onlyAfter, at: `/tasks/${index}`, before: checks })),
  ];
  return all.flatMap(({ onlyAfter, at: card, before }) =>
    onlyAfter.flatMap(({ check, answers }, number): Problem[] => {
      const at = `${card}/onlyAfter/${number}`;
      const asked = before.find(({ id }) => id === check);
      if (asked === undefined)
        return [{ path: `${at}/check`, message: `No check before this one is called "${check}".` }];
      const can = verdictsOf(asked).map(({ given }) => given);
      return answers.flatMap((answer, place) =>
        can.includes(answer)
          ? []
          : [{ path: `${at}/answers/${place}`, message: `"${check}" is answered with ${can.join(", ")}.` }],
      );
    }),
  );
}
