import type { Sheet } from "../../formats";
import { type Step, step } from "../step";
import type { Context } from "./context";

type Capture = Sheet["capture"][number];

/** What is noted before anything moves: what the sheet asks, and where every loose end sits that this strip frees. */
export const captures = ({ sheet, removed }: Pick<Context, "sheet" | "removed">): Capture[] => [
  ...sheet.capture,
  ...sheet.connections.flatMap((end): Capture[] => {
    if (end.on === undefined || end.part === undefined || !removed.includes(end.part)) return [];
    const free = end.kind === "wire" && end.polarity === "free";
    return [
      {
        id: `at:${end.id}`,
        ask: `Where does the ${[end.colour, end.name].filter(Boolean).join(" ").toLowerCase()} sit?`,
        why: free
          ? "Either way round works; written down, nobody has to wonder."
          : `On the wrong ${end.kind === "hose" ? "port" : "terminal"} it works backwards or not at all.`,
        choices: end.on,
        // What may sit either way is shown, not asked again.
        ...(!free && { confirmAfter: end.part }),
      },
    ];
  }),
];

export const mark = (context: Context): Step[] =>
  captures(context).map((capture) =>
    step(
      {
        id: `mark:${capture.id}`,
        phase: "mark",
        title: capture.ask,
        why: capture.why,
        minutes: 0.5,
        mayOverride: true,
      },
      { kind: "capture", ask: capture.ask, choices: capture.choices },
    ),
  );

/** What was noted is shown when its part is in again, and has to be so. Nothing noted, nothing to confirm. */
export const confirms = (context: Context, fitted: string): Step[] =>
  captures(context).flatMap((capture) => {
    const noted = context.progress.done.get(`mark:${capture.id}`)?.entry;
    if (capture.confirmAfter !== fitted || noted === undefined) return [];
    return [
      step(
        {
          id: `confirm:${capture.id}`,
          phase: "rebuild",
          title: `${capture.ask} Look now.`,
          why: capture.why,
          minutes: 0.5,
          part: fitted,
        },
        { kind: "confirm", noted, choices: capture.choices, mark: `mark:${capture.id}` },
      ),
    ];
  });
