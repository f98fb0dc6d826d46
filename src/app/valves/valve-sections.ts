import type { Line, Sheet, Valve } from "@/core/formats";
import { pointNames } from "@/core/line";
import type { OwnSection } from "@/ui/own/own-field";

const MOST_OFFERED = 400;

/** What of a valve is asked, in the order one fills it in; what its sheet has is offered by name. */
export function valveSections({
  sheet,
  sheets,
  lines,
  line,
  places,
  registered,
}: {
  sheet: Sheet | undefined;
  sheets: readonly { readonly id: string; readonly title: string }[];
  lines: readonly { readonly id: string; readonly name: string }[];
  /** The line it stands on now, for the names of its places. */
  line: Line | undefined;
  places: readonly string[];
  /** One that is in the register already. */
  registered: Valve | undefined;
}): OwnSection[] {
  const named = (list: readonly { readonly id: string; readonly name: string }[] = []) =>
    list.map(({ id, name }) => ({ id, name }));
  const intervals =
    sheet?.intervals.map(({ id, what, every_months }) => ({
      id,
      name: `${what} (sheet: ${every_months} months)`,
    })) ?? [];
  const acts = sheet?.intervals.map(({ id, what }) => ({ id, name: what })) ?? [];
  return [
    {
      title: "What it is",
      fields: [
        {
          kind: "words",
          name: "tag",
          label: "Tag",
          placeholder: "e.g. H-12",
          hint: "As it stands on the plate: letters, figures, dots and hyphens.",
        },
        { kind: "words", name: "name", label: "Which one it is", placeholder: "e.g. Hydrant by the gate" },
        {
          kind: "words",
          name: "place",
          label: "Place",
          placeholder: "e.g. North yard",
          hint: "A site, or a room in it: Lido, team room.",
          offered: places.slice(0, MOST_OFFERED).map((value) => ({ value })),
        },
        {
          kind: "choice",
          name: "sheet",
          label: "Sheet",
          options: sheets.map(({ id, title }) => ({ id, name: title })),
        },
        ...((sheet?.builds.length ?? 0) > 0
          ? [
              {
                kind: "choice" as const,
                name: "build",
                label: "Build",
                options: named(sheet?.builds),
                none: "not known",
              },
            ]
          : []),
        ...((sheet?.generations.length ?? 0) > 0
          ? [
              {
                kind: "choice" as const,
                name: "generation",
                label: "Generation",
                options: (sheet?.generations ?? []).map((id) => ({ id, name: id })),
                none: "not known",
              },
            ]
          : []),
        { kind: "words", name: "serial", label: "Serial", mark: "if there is one" },
        { kind: "day", name: "installed", label: "Built in" },
        ...((sheet?.options?.length ?? 0) > 0
          ? [
              {
                kind: "entries" as const,
                name: "fitted",
                label: "Fitted",
                each: "yes-no" as const,
                keys: named(sheet?.options),
              },
            ]
          : []),
      ],
    },
    {
      title: "Where it stands",
      folded: true,
      fields: [
        {
          kind: "choice",
          name: "line",
          label: "Line",
          options: lines.map(({ id, name }) => ({ id, name })),
          none: "on no drawn line",
        },
        {
          kind: "words",
          name: "node",
          label: "Place on the line",
          hint: "As the drawing numbers it; left empty it is the tag.",
          ...(line !== undefined && {
            offered: [...pointNames(line)].slice(0, MOST_OFFERED).map((value) => ({ value })),
          }),
        },
        {
          kind: "number",
          name: "lat",
          label: "North",
          mark: "degrees, WGS 84",
          hint: "Left empty it is where its place is.",
        },
        { kind: "number", name: "lon", label: "East", mark: "degrees, WGS 84" },
      ],
    },
    {
      title: "When it rings",
      folded: true,
      fields: [
        { kind: "day", name: "serviced", label: "Last service" },
        {
          kind: "entries",
          name: "last",
          label: "Last done",
          hint: "Where an act has an interval of its own; otherwise it counts from the last service.",
          each: "day",
          keys: acts,
        },
        {
          kind: "entries",
          name: "months",
          label: "Intervals of this site",
          hint: "Where the site, an insurer or a rule wants another one than the sheet. A longer one is answered for by whoever sets it.",
          each: "number",
          mark: "months",
          keys: intervals,
        },
        { kind: "sentence", name: "monthsWhy", label: "Why, and on whose word" },
        {
          kind: "pairs",
          name: "set",
          label: "Dates set from outside",
          hint: "By an authority, an insurer, a contract. A whole job within the month before does away with it.",
          first: "Day",
          second: "What is due then",
          secondIs: "words",
        },
      ],
    },
    {
      title: "What the next one has to know",
      folded: true,
      fields: [
        { kind: "sentence", name: "note", label: "Note" },
        ...(registered === undefined || registered.formerly !== undefined
          ? [{ kind: "words" as const, name: "formerly", label: "Tag it had before", mark: "if it had one" }]
          : []),
      ],
    },
  ];
}
