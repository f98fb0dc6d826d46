import { judgeNewPart, type NewPart } from "../build";
import type { Finding } from "../findings";
import type {
  Certificates,
  ChosenDepth,
  ChosenWay,
  HandedOver,
  JobEvent,
  SealedEvent,
  TakenWith,
} from "../formats";
import { type Due, dues } from "../rounds";
import { withWays } from "../schools";
import type { Leftover } from "../store";
import { afterJob } from "./after-job";
import { answeredStep, answeredSteps } from "./answered";
import { type JudgedTrace, judgedTraces } from "./kept-traces";
import type { Phase } from "./phases";
import { effectiveEvents, type Progress } from "./progress";
import type { Run } from "./run";
import type { Step, StepOf } from "./step";
import { singleStep, stepAbout } from "./step-id";
import type { NamedRenewal } from "./steps/kit";
import type { Noted } from "./steps/mark";
import { fittedNew } from "./store-use";

export interface RecordLine {
  readonly at: number;
  readonly by: string;
  readonly event: JobEvent;
  /** The step it was made at, as it was then; of older logs as it stands in the plan now. */
  readonly step?: Step;
  /** When the server had it, ms, where that is later than can be waiting for an answer: made without signal. */
  readonly storedAt?: number;
  /** s by which the device's clock ran ahead; `at` is corrected by it. */
  readonly off_s?: number;
}

/** An entry that took longer than this to the server was made without signal. */
const WITHOUT_SIGNAL_MS = 2 * 60_000;

/** How it was found: why the job began, what was noted, what the looks gave. */
export type AsFound =
  | { readonly kind: "reason"; readonly says: string }
  | {
      readonly kind: "noted";
      readonly about: Noted;
      readonly noted: string;
      /** What was found otherwise than it has to be, and what it was put to. */
      readonly putRight?: string;
      /** The build that the register named until then. */
      readonly registered?: string;
    }
  | ({ readonly kind: "finding" } & FoundOf);

/** What a look gave, and the part it was a look at. */
export interface FoundOf {
  readonly finding: Finding;
  /** Its name; none where it was the valve as a whole. */
  readonly part?: string;
}

export type ComparedPart = Extract<JobEvent, { kind: "part-compared" }>["found"];

/** It was found otherwise than it has to be, and confirmed as it has to be. */
function putRight(
  steps: Iterable<Step>,
  progress: Progress,
  { id, right }: StepOf<"mark">,
  noted: string,
): { putRight?: string } {
  const confirmed = [...steps].find((step) => step.kind === "confirm" && step.mark === id);
  return right !== undefined && right !== noted && confirmed && progress.done.has(confirmed.id)
    ? { putRight: right }
    : {};
}

/** The register named another build than stood there. */
function registeredAs(steps: ReadonlyMap<string, Step>, { mark }: StepOf<"mark">): { registered?: string } {
  const other = steps.get(stepAbout("other-build", mark));
  return other?.kind === "other-build" ? { registered: other.registered } : {};
}

/** The proof of a job, as facts. */
export interface JobRecord {
  readonly asFound: readonly AsFound[];
  readonly asLeft: readonly FoundOf[];
  /** What was noted and stands so again: settings, ports, which one is in. */
  readonly stands: readonly { readonly about: Noted; readonly noted: string }[];
  readonly findings: readonly Finding[];
  readonly readings: readonly {
    readonly what: string;
    readonly typed: string;
    readonly at: number;
    readonly by: string;
    readonly step?: Step;
    /** The instrument that handed it over. */
    readonly with?: TakenWith;
  }[];
  /** What instruments showed over a time. */
  readonly traces: readonly JudgedTrace[];
  readonly renewed: readonly NamedRenewal[];
  readonly kept: readonly string[];
  readonly leftovers: readonly Leftover[];
  readonly torques: readonly {
    readonly part: string;
    readonly torque_Nm: number;
    readonly passes: number;
    readonly bolts: number;
  }[];
  /** New parts as they were compared, the look-alikes that were put aside among them. */
  readonly compared: readonly {
    readonly part: string;
    readonly verdict: NewPart;
    readonly found: ComparedPart;
  }[];
  /** What went on threads: the next person meets the break-out force. */
  readonly threads: readonly { readonly part: string; readonly with: string }[];
  readonly photos: readonly { readonly photo: string; readonly step?: Step }[];
  readonly people: readonly string[];
  /** Who signed on, with what each might do then, or under whose eye. */
  readonly signedOn: readonly {
    readonly who: string;
    readonly at: number;
    readonly may: Certificates;
    readonly under: readonly string[];
  }[];
  /** Who looked at it and signed as the second person. */
  readonly second?: { readonly who: string; readonly at: number };
  readonly overrides: readonly { readonly step?: Step; readonly reason: string; readonly by: string }[];
  readonly closures: readonly {
    readonly link: string;
    readonly lock: string;
    readonly shutAt: number;
    readonly openedAt?: number;
  }[];
  /** Results of the bench book that were kept. */
  readonly worked: readonly {
    readonly calculator: string;
    readonly output: string;
    readonly typed: string;
    readonly at: number;
    readonly by: string;
  }[];
  /** What somebody else has to do now: the leak as it was graded, the repair, the work of a licensed trade. */
  readonly handedOver?: HandedOver & { readonly at: number; readonly by: string; readonly says: string };
  /** How deep it went, and what was weighed for it. */
  readonly depth?: ChosenDepth;
  /** How it was worked where practitioners differ, beside the usual way. */
  readonly schools: readonly ChosenWay[];
  readonly lines: readonly RecordLine[];
  readonly next: Due | undefined;
}

/** An entry as it was stored; on a device that has not sent it there is no seal yet. */
export type Entered = Pick<SealedEvent, "event"> & { readonly seal?: SealedEvent["seal"] };

/** Puts the record together from the run and its log. */
export function jobRecord(job: Run, sealed: readonly Entered[]): JobRecord {
  const { progress, plan, inputs } = job;
  // What another device entered beside it stands in the log, each with what became of it.
  const here = sealed.flatMap(({ event }) => (event.elsewhere === undefined ? [event] : []));
  const steps = new Map(plan.steps.map((step) => [step.id, step] as const));
  // Entries of versions before 0.23 did not keep how long a wait was: the plan knows it.
  const asItWas = (step: Step): Step =>
    step.minutes > 0 ? step : { ...step, minutes: steps.get(step.id)?.minutes ?? 0 };
  for (const [id, step] of answeredSteps(sealed)) steps.set(id, asItWas(step));
  const atStep = (id: string) => {
    const step = steps.get(id);
    return step === undefined ? {} : { step };
  };
  const stepOf = (event: JobEvent, id: string) => {
    const answered = answeredStep(event);
    const step = answered === undefined ? steps.get(id) : asItWas(answered);
    return step === undefined ? {} : { step };
  };
  const part = (id: string) => inputs.sheet.parts.find((each) => each.id === id);
  const name = (id = "") => part(id)?.name ?? id;
  const worked = withWays(inputs.sheet, inputs.schools);
  const signed = progress.signedOff;
  const second = progress.done.get(singleStep("second-signature"));
  const finished = signed === undefined ? inputs.valve : afterJob(inputs.valve, job, signed.at);
  const foundOf = (finding: Finding): FoundOf => ({
    finding,
    ...(finding.part !== undefined && { part: name(finding.part) }),
  });
  const inPhase = (...phases: readonly Phase[]) =>
    plan.findings.filter((finding) => {
      const phase = steps.get(stepAbout("check", finding.check))?.phase;
      return phase !== undefined && phases.includes(phase);
    });
  return {
    asFound: [
      { kind: "reason", says: inputs.reason.says },
      ...[...steps.values()].flatMap((step): AsFound[] => {
        const noted = step.kind === "mark" ? progress.done.get(step.id)?.entry : undefined;
        return step.kind !== "mark" || noted === undefined
          ? []
          : [
              {
                kind: "noted",
                about: step.about,
                noted,
                ...putRight(steps.values(), progress, step, noted),
                ...registeredAs(steps, step),
              },
            ];
      }),
      ...inPhase("triage", "inspect").map((finding): AsFound => ({ kind: "finding", ...foundOf(finding) })),
    ],
    asLeft: inPhase("rebuild", "test").map(foundOf),
    stands: [...steps.values()].flatMap((step) => {
      const noted = step.kind === "mark" ? progress.done.get(step.id)?.entry : undefined;
      return step.kind !== "mark" || noted === undefined || signed === undefined
        ? []
        : [{ about: step.about, noted: step.right ?? noted }];
    }),
    findings: plan.findings,
    readings: [
      ...progress.readings.map(({ what, typed, at, by, step, with: taken }) => ({
        what,
        typed,
        at,
        by,
        ...atStep(step),
        ...(taken !== undefined && { with: taken }),
      })),
      // A first test that failed stands beside the one that passed.
      // What another device read of the same stands there, too.
      ...effectiveEvents(sealed.map(({ event }) => event)).flatMap((event) =>
        event.kind === "check-measured" || (event.kind === "reading-taken" && readAlongside(event))
          ? [
              {
                what: event.kind === "check-measured" ? event.check : event.what,
                typed: event.typed,
                at: Date.parse(event.at),
                by: event.by,
                ...stepOf(event, event.step),
                ...(event.with !== undefined && { with: event.with }),
              },
            ]
          : [],
      ),
    ].sort((a, b) => a.at - b.at),
    traces: judgedTraces(job, steps),
    renewed: fittedNew(job).map(({ renewal, name }) => ({ ...renewal, name })),
    kept: job.tray.items
      .filter((item) => item.keep !== undefined && item.place === "back-in")
      .map((item) => item.name),
    leftovers: progress.done.has(singleStep("tray")) ? plan.kits.leftovers : [],
    torques: plan.steps.flatMap((step) => {
      if (job.states.get(step.id)?.kind !== "done") return [];
      if (step.kind === "tighten")
        return [
          {
            part: step.name,
            torque_Nm: step.passes.at(-1)?.torque_Nm ?? 0,
            passes: step.passes.length,
            bolts: step.bolts,
          },
        ];
      const one = step.kind === "fit" || step.kind === "tighten-one" ? step.torque_Nm : undefined;
      return one === undefined ? [] : [{ part: name(step.part), torque_Nm: one, passes: 1, bolts: 1 }];
    }),
    compared: effectiveEvents(here).flatMap((event) => {
      const compared = event.kind === "part-compared" ? part(event.part) : undefined;
      if (event.kind !== "part-compared" || compared === undefined) return [];
      const { found } = event;
      return [{ part: compared.name, verdict: judgeNewPart(compared, found), found }];
    }),
    threads: worked.parts.flatMap(({ id, name, fit }) => {
      const thread = fit?.thread;
      if (thread === undefined || thread.kind === "dry" || !progress.fitted.has(id)) return [];
      const supply = worked.supplies.find((each) => each.id === thread.with);
      return [{ part: name, with: supply?.name ?? thread.with }];
    }),
    photos: progress.photos.map(({ photo, step }) => ({ photo, ...atStep(step) })),
    people: [...new Set([inputs.openedBy, ...sealed.map((each) => each.event.by)])],
    signedOn: [...progress.people.values()].map(({ by, at, may, under }) => ({
      who: by,
      at,
      may,
      under: [...new Set(under)],
    })),
    ...(second !== undefined && { second: { who: second.by, at: second.at } }),
    overrides: [...progress.overridden].map(([step, { reason, by }]) => ({ reason, by, ...atStep(step) })),
    closures: [...progress.shut].map(([link, done]) => {
      const opened = progress.opened.get(link)?.at;
      return {
        link,
        lock: done.entry ?? "",
        shutAt: done.at,
        ...(opened !== undefined && { openedAt: opened }),
      };
    }),
    worked: progress.kept.map(({ calculator, output, typed, at, by }) => ({
      calculator,
      output,
      typed,
      at,
      by,
    })),
    ...(inputs.depth !== undefined && { depth: inputs.depth }),
    schools: inputs.schools ?? [],
    ...(signed?.handedOver !== undefined && {
      handedOver: { ...signed.handedOver, at: signed.at, by: signed.by, says: signed.statement },
    }),
    lines: sealed.map(({ event, seal }) => {
      const at = Date.parse(event.at);
      const storedAt = seal === undefined ? at : Date.parse(seal.serverAt);
      return {
        at,
        by: event.by,
        event,
        ...("step" in event && event.step !== undefined && stepOf(event, event.step)),
        ...(storedAt - at > WITHOUT_SIGNAL_MS && { storedAt }),
        ...(event.off_s !== undefined && { off_s: event.off_s }),
      };
    }),
    next: signed === undefined ? undefined : dues(finished, inputs.sheet, signed.at)[0],
  };
}

/** Read on another device, and not counted among the readings of this job. */
const readAlongside = ({ elsewhere }: JobEvent): boolean =>
  elsewhere !== undefined && elsewhere.settled !== "worse";
