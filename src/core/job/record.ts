import { judgeNewPart, type NewPart } from "../build";
import type { SealedEvent, Valve } from "../formats";
import { type Due, dues } from "../rounds";
import { type EntryWords, entryWords, foundWords, type TitleOf } from "./entry-words";
import { effectiveEvents } from "./progress";
import type { Run } from "./run";
import type { Phase } from "./step";

export interface RecordLine extends EntryWords {
  readonly at: number;
  readonly by: string;
  /** When the server had it, ms, where that is later than can be waiting for an answer: made without signal. */
  readonly storedAt?: number;
  /** s by which the device's clock ran ahead; `at` is corrected by it. */
  readonly off_s?: number;
}

/** An entry that took longer than this to the server was made without signal. */
const WITHOUT_SIGNAL_MS = 2 * 60_000;

/** The proof of a job, ready to be read or printed. */
export interface JobRecord {
  readonly asFound: readonly string[];
  readonly asLeft: readonly string[];
  readonly findings: readonly {
    readonly check: string;
    readonly answer: string;
    readonly means: string;
    readonly says: string;
  }[];
  readonly readings: readonly {
    readonly what: string;
    readonly typed: string;
    readonly at: number;
    readonly by: string;
    readonly step: string;
  }[];
  readonly renewed: readonly { readonly part: string; readonly why: string }[];
  readonly kept: readonly string[];
  readonly leftovers: readonly { readonly name: string; readonly quantity: number; readonly why: string }[];
  readonly torques: readonly {
    readonly part: string;
    readonly torque_Nm: number;
    readonly passes: number;
    readonly bolts: number;
  }[];
  /** New parts as they were compared, the look-alikes that were put aside among them. */
  readonly compared: readonly {
    readonly part: string;
    readonly verdict: NewPart["kind"];
    readonly says: string;
  }[];
  /** What went on threads: the next person meets the break-out force. */
  readonly threads: readonly { readonly part: string; readonly with: string }[];
  readonly photos: readonly { readonly photo: string; readonly says: string }[];
  readonly people: readonly string[];
  readonly overrides: readonly { readonly step: string; readonly reason: string; readonly by: string }[];
  readonly closures: readonly {
    readonly link: string;
    readonly lock: string;
    readonly shutAt: number;
    readonly openedAt?: number;
  }[];
  /** Results of the bench book that were kept. */
  readonly worked: readonly {
    readonly title: string;
    readonly typed: string;
    readonly at: number;
    readonly by: string;
  }[];
  readonly lines: readonly RecordLine[];
  readonly next: Due | undefined;
}

/** The valve as it stands once a job on it is signed off: serviced that day, its symptom gone. */
export function afterService(valve: Valve, at: number): Valve {
  const { symptom: _, ...rest } = valve;
  return { ...rest, serviced: new Date(at).toISOString() };
}

/** Puts the record together from the run and its sealed log. */
export function jobRecord(
  job: Run,
  sealed: readonly SealedEvent[],
  titleOf: TitleOf = () => undefined,
): JobRecord {
  const { progress, plan, inputs } = job;
  const steps = new Map(plan.steps.map((step) => [step.id, step]));
  const name = (id: string) => inputs.sheet.parts.find((part) => part.id === id)?.name ?? id;
  const signed = progress.signedOff;
  // A job closed early (nothing shut, nothing off) serviced nothing: the valve stays due.
  const finished =
    signed === undefined || job.current !== undefined ? inputs.valve : afterService(inputs.valve, signed.at);
  const inPhase = (phases: readonly Phase[]) =>
    plan.findings.filter((finding) => {
      const phase = steps.get(`check:${finding.check}`)?.phase;
      return phase !== undefined && phases.includes(phase);
    });
  return {
    asFound: [
      inputs.reason.says,
      ...plan.steps.flatMap((step) => {
        const entry = step.kind === "capture" ? progress.done.get(step.id)?.entry : undefined;
        return entry === undefined ? [] : [`${step.title} ${entry}`];
      }),
      ...inPhase(["triage", "inspect"]).map((finding) => `${finding.answer}: ${finding.says}`),
    ],
    asLeft: inPhase(["rebuild", "test"]).map((finding) => `${finding.answer}: ${finding.says}`),
    findings: plan.findings.map(({ check, answer, means, says }) => ({ check, answer, means, says })),
    readings: [
      ...progress.readings.map(({ what, typed, at, by, step }) => ({
        what,
        typed,
        at,
        by,
        step: steps.get(step)?.title ?? step,
      })),
      ...[...progress.answers].flatMap(([check, given]) =>
        given.answer.kind === "measured"
          ? [
              {
                what: check,
                typed: given.answer.typed,
                at: given.at,
                by: given.by,
                step: steps.get(`check:${check}`)?.title ?? check,
              },
            ]
          : [],
      ),
    ].sort((a, b) => a.at - b.at),
    renewed: job.tray.items
      .filter((item) => item.place === "renewed")
      .map((item) => ({
        part: item.name,
        why: plan.renewals.find((each) => each.part === item.part)?.why ?? "",
      })),
    kept: job.tray.items
      .filter((item) => item.keep !== undefined && item.place === "back-in")
      .map((item) => item.name),
    leftovers: progress.done.has("tray") ? plan.kits.leftovers : [],
    torques: plan.steps.flatMap((step) => {
      if (job.states.get(step.id)?.kind !== "done") return [];
      if (step.kind === "tighten")
        return [
          {
            part: name(step.part ?? ""),
            torque_Nm: step.passes.at(-1)?.torque_Nm ?? 0,
            passes: step.passes.length,
            bolts: step.bolts,
          },
        ];
      return step.kind === "fit" && step.torque_Nm !== undefined
        ? [{ part: name(step.part ?? ""), torque_Nm: step.torque_Nm, passes: 1, bolts: 1 }]
        : [];
    }),
    compared: effectiveEvents(sealed.map((each) => each.event)).flatMap((event) => {
      const part =
        event.kind === "part-compared"
          ? inputs.sheet.parts.find((each) => each.id === event.part)
          : undefined;
      if (event.kind !== "part-compared" || part === undefined) return [];
      const verdict = judgeNewPart(part, event.found);
      return [
        {
          part: part.name,
          verdict: verdict.kind,
          says:
            verdict.kind === "right" ? `the right one: ${foundWords(event.found, job.system)}` : verdict.says,
        },
      ];
    }),
    threads: inputs.sheet.parts.flatMap((part) => {
      const thread = part.fit?.thread;
      if (thread === undefined || thread.kind === "dry" || !progress.done.has(`fit:${part.id}`)) return [];
      return [
        {
          part: part.name,
          with: inputs.sheet.supplies.find((supply) => supply.id === thread.with)?.name ?? thread.with,
        },
      ];
    }),
    photos: progress.photos.map(({ photo, step }) => ({ photo, says: steps.get(step)?.title ?? step })),
    people: [...new Set([inputs.openedBy, ...sealed.map((each) => each.event.by)])],
    overrides: [...progress.overridden].map(([step, each]) => ({
      step: steps.get(step)?.title ?? step,
      reason: each.reason,
      by: each.by,
    })),
    closures: [...progress.done].flatMap(([id, done]) => {
      if (!id.startsWith("shut:")) return [];
      const link = id.slice("shut:".length);
      const opened = progress.done.get(`open:${link}`)?.at;
      return [
        { link, lock: done.entry ?? "", shutAt: done.at, ...(opened !== undefined && { openedAt: opened }) },
      ];
    }),
    worked: progress.kept.map(({ calculator, output, typed, at, by }) => ({
      title: titleOf(calculator, output) ?? calculator,
      typed,
      at,
      by,
    })),
    lines: sealed.map(({ event, seal: { serverAt } }) => {
      const at = Date.parse(event.at);
      const storedAt = Date.parse(serverAt);
      return {
        at,
        by: event.by,
        ...entryWords(job, event, titleOf),
        ...(storedAt - at > WITHOUT_SIGNAL_MS && { storedAt }),
        ...(event.off_s !== undefined && { off_s: event.off_s }),
      };
    }),
    next: signed === undefined ? undefined : dues(finished, inputs.sheet, signed.at)[0],
  };
}
