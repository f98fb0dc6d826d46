import type { Check, EndCondition, Sheet } from "../formats";

/** A figure that a sheet has of its maker: what the paper of another model says otherwise. */
export type SheetFigure =
  | { readonly kind: "torque"; readonly key: string; readonly part: string; readonly build?: string }
  /** A depth has its tolerance with it, under `toleranceKey`. */
  | {
      readonly kind: "angle" | "depth" | "back-off";
      readonly key: string;
      readonly part: string;
      readonly build?: string;
    }
  | {
      readonly kind: "limits";
      readonly key: string;
      readonly check: string;
      readonly dimension: Extract<Check, { kind: "measure" }>["dimension"];
      readonly unit: string;
      readonly low: boolean;
      readonly high: boolean;
    }
  | { readonly kind: "interval" | "recheck"; readonly key: string; readonly what: string }
  /** Any other number, in the unit that the name of its field ends in. */
  | { readonly kind: "number"; readonly key: string; readonly value: number }
  /** Words with a figure in them: a thread, a tool's size, a sentence. */
  | {
      readonly kind: "words";
      readonly key: string;
      readonly says: string;
      /** Where it stands first, and in how many places. */
      readonly at: string;
      readonly places: number;
    };

const ENDS = {
  torque: "torque",
  angle: "angle",
  "seat-to-depth": "depth",
  "touch-and-back-off": "back-off",
} as const;
const isFigured = (end: EndCondition): end is Extract<EndCondition, { kind: keyof typeof ENDS }> =>
  end.kind in ENDS;

/** Of a maker alone, or no figure at all: nothing of it is asked. */
const NOT_ASKED = new RegExp(
  [
    "^/(format|version|revision|id|title|maker|model|family|kits|depths|vouched|generations|oldFrom_years|rebuild|singles)(/|$)",
    "/(id|source|whom|unit|kind|features|lookAlikes|substitutes|standIn|shape|byGeneration|minutes|quantity|passes_percent|lengths|circle_mm|weight_kg|cure_min|list|pieces|sums|beforeTrip|builtBefore|medium|media|needs|moves|material|base)(/|$)",
    // Whether one's own has a season or a counter its paper says: they are written into the sheet.
    "^/intervals/[^/]+/(season|counts)(/|$)",
    // Where tightening ends is asked by itself; what is seen then is words like any.
    "/fit/(end|byBuild/[^/]+)/(?!seen$)",
    // Lists of what is named elsewhere.
    "^/.+/(tools|heldBy|spoils|needsOff|reach|renews|opens|does|looks|alsoRenew|afterFit|part|sum|check|interval|known)(/\\d+)?$",
  ].join("|"),
);
/** Asked by themselves, with what they mean. */
const ASKED_ELSEWHERE =
  /^\/(intervals|rechecks)\/[^/]+\/(every_months|after_days)$|^\/checks\/[^/]+\/(low|high)$|\/height_mm$|\/angle_deg$|\/fromVersion$/;

/** Every figure of a sheet, in the order in which its paper is gone through. */
export function figuresOf(sheet: Sheet): SheetFigure[] {
  const ends = sheet.parts.flatMap(({ id, fit }): SheetFigure[] =>
    fit === undefined
      ? []
      : [[undefined, fit.end] as const, ...Object.entries(fit.byBuild ?? {})].flatMap(([build, end]) =>
          isFigured(end)
            ? [
                {
                  kind: ENDS[end.kind],
                  key: endKey(id, build),
                  part: id,
                  ...(build !== undefined && { build }),
                },
              ]
            : [],
        ),
  );
  const limits = sheet.checks.flatMap((check): SheetFigure[] =>
    check.kind === "measure" && (check.low !== undefined || check.high !== undefined)
      ? [
          {
            kind: "limits",
            key: `limits ${check.id}`,
            check: check.id,
            dimension: check.dimension,
            unit: check.unit,
            low: check.low !== undefined,
            high: check.high !== undefined,
          },
        ]
      : [],
  );
  return [
    ...sheet.intervals.map(({ id, what }): SheetFigure => ({ kind: "interval", key: `every ${id}`, what })),
    ...(sheet.rechecks ?? []).map(
      ({ id, what }): SheetFigure => ({ kind: "recheck", key: `after ${id}`, what }),
    ),
    ...ends,
    ...limits,
    ...otherFigures(sheet),
  ];
}

export const endKey = (part: string, build: string | undefined): string =>
  build === undefined ? `end ${part}` : `end ${part} ${build}`;

/** A depth that nobody says how exactly it is meant is none. */
export const toleranceKey = (depth: string): string => `${depth} tolerance`;

/**
 * What else of a template is a figure of its maker's: numbers by their place, told by ids, and words with a figure in
 * them, each once however often they stand there.
 */
function otherFigures(sheet: Sheet): SheetFigure[] {
  const numbers: SheetFigure[] = [];
  const words = new Map<string, Extract<SheetFigure, { kind: "words" }>>();
  walkFigures(sheet, (value, path) => {
    if (typeof value === "string") {
      const known = words.get(value);
      words.set(value, {
        kind: "words",
        key: value,
        says: value,
        at: known?.at ?? path,
        places: (known?.places ?? 0) + 1,
      });
    } else numbers.push({ kind: "number", key: path, value });
    return value;
  });
  return [...numbers, ...words.values()];
}

/** What a choice looks like stands under its words. */
const BY_CHOICE = /^\/capture\/[^/]+\/(drawn|dials)$/;

/** The document with every number and every figured text that is asked for as `as` gives it. */
export function walkFigures(
  sheet: Sheet,
  as: <T extends string | number>(value: T, path: string) => T,
): Sheet {
  const put = (words: string, path: string): string => (/\d/.test(words) ? as(words, path) : words);
  const walk = (value: unknown, path: string): unknown => {
    if (NOT_ASKED.test(path)) return value;
    if (typeof value === "number") return ASKED_ELSEWHERE.test(path) ? value : as(value, path);
    if (typeof value === "string") return put(value, path);
    if (Array.isArray(value)) return value.map((each, index) => walk(each, `${path}/${idOf(each) ?? index}`));
    if (typeof value !== "object" || value === null) return value;
    if (BY_CHOICE.test(path))
      return Object.fromEntries(Object.entries(value).map(([choice, each]) => [put(choice, path), each]));
    return Object.fromEntries(
      Object.entries(value).map(([name, each]) => [name, walk(each, `${path}/${name}`)]),
    );
  };
  return walk(sheet, "") as Sheet;
}

const idOf = (value: unknown): string | undefined => {
  const { id } = (value ?? {}) as { id?: unknown };
  return typeof id === "string" ? id : undefined;
};
