import type { JobRecord } from "@/core/job";
import { gapWords, takenWithWords, traceEntry, traceVerdictWords } from "../instruments";
import type { Speaker } from "../speaker";
import { stepTitle } from "../step-words";
import type { PaperBlock, PaperRow } from "./paper";

type Traces = JobRecord["traces"];

/** What instruments showed over a time, and what that says; the pulls of a wrench in one line a joint. */
export function tracesBlock(words: Speaker, { traces }: JobRecord): PaperBlock | undefined {
  if (traces.length === 0) return undefined;
  const joints = new Set(traces.flatMap(({ verdict, step }) => (verdict.kind === "pull" ? [step.id] : [])));
  return {
    kind: "rows",
    title: words.say.instruments.trace.recordTitle,
    none: "",
    rows: [
      ...traces.flatMap((each) => (each.verdict.kind === "pull" ? [] : [overTime(words, each)])),
      ...[...joints].map((id) =>
        pulls(
          words,
          traces.filter(({ step }) => step.id === id),
        ),
      ),
    ],
  };
}

function overTime(words: Speaker, { trace, step, verdict }: Traces[number]): PaperRow {
  const said = [
    `, ${traceEntry(words, trace)} ${takenWithWords(words, trace.with)}.`,
    traceVerdictWords(words, trace, verdict),
    gapWords(words, trace),
  ];
  return {
    says: [stepTitle(words, step)],
    small: [{ at: trace.from, time: true }, said.filter(Boolean).join(" ")],
    ...(verdict.kind === "standing" && verdict.says.kind !== "holds" && { wrong: true as const }),
  };
}

function pulls(words: Speaker, all: Traces): PaperRow {
  const within = all.filter(({ verdict }) => verdict.kind === "pull" && verdict.says === "within");
  return {
    says: [stepTitle(words, all[0]!.step)],
    small: [
      words.say.instruments.trace.pulls(all.length, within.length),
      takenWithWords(words, all[0]!.trace.with),
    ],
  };
}

/** Each of them drawn, but for the pulls of a wrench. */
export const tracesDrawn = (words: Speaker, { traces }: JobRecord): PaperBlock[] =>
  traces.flatMap(({ trace, step, verdict }): PaperBlock[] =>
    verdict.kind === "pull"
      ? []
      : [
          {
            kind: "drawing",
            title: `${stepTitle(words, step)} ${trace.with.name}`,
            of: { trace: trace.event },
          },
        ],
  );
