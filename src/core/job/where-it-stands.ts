import type { TrayItem } from "../build";
import type { Finding } from "../findings";
import type { LostConsumer } from "../isolation";
import { provenAgain } from "./after-stop";
import { type Bell, jobBells } from "./bells";
import { haltedBy, isClosed, outOfService, type Run, type RunStatus } from "./run";
import type { Step } from "./step";
import type { NamedRenewal } from "./steps/kit";

/** How a job stands for whoever takes it on: what is shut, what is off, what comes next. */
export interface WhereItStands {
  readonly status: RunStatus;
  /** What stands shut or turned, under which lock and whose. */
  readonly shut: readonly {
    readonly link: string;
    readonly lock: string;
    readonly by: string;
    readonly at: number;
  }[];
  /** Bypasses that stand open. */
  readonly openRound: readonly { readonly link: string; readonly by: string; readonly at: number }[];
  readonly lost: readonly LostConsumer[];
  /** What lies on the tray, in the order it came off. */
  readonly off: readonly TrayItem[];
  /** Waits that run. */
  readonly waits: readonly Extract<Bell, { readonly kind: "wait" }>[];
  readonly findings: readonly Finding[];
  /** What goes in new and is not in yet. */
  readonly toFit: readonly NamedRenewal[];
  /** What is proven again first: nobody watched the section meanwhile. */
  readonly again: readonly Step[];
  readonly next: Step | undefined;
  /** Why the next step may not be done yet, where a look halted it. */
  readonly halted?: string;
  readonly minutesLeft: number;
  readonly notes: readonly { readonly at: number; readonly by: string; readonly text: string }[];
}

export function whereItStands(job: Run): WhereItStands {
  const { progress, status, shut, openRound, tray, plan, current, minutesLeft } = job;
  const again = status.kind === "stopped" ? provenAgain(job) : [];
  const kit = plan.steps.find((step) => step.kind === "kit");
  const halted = current === undefined ? undefined : haltedBy(job, current);
  return {
    status,
    shut: shut.map((link) => {
      const { entry = "", by, at } = progress.shut.get(link)!;
      return { link, lock: entry, by, at };
    }),
    openRound: [...openRound].map(([link, { by, at }]) => ({ link, by, at })),
    lost: isClosed(job) ? [] : outOfService(job),
    off: tray.items.filter((item) => item.place === "on-tray" && item.slackened !== true),
    waits: jobBells(job).filter((bell) => bell.kind === "wait"),
    findings: plan.findings,
    toFit: (kit?.renewals ?? []).filter(({ part }) => !progress.fitted.has(part)),
    again,
    next: again[0] ?? current,
    ...(halted !== undefined && { halted }),
    minutesLeft,
    notes: progress.notes.map(({ at, by, text }) => ({ at, by, text })),
  };
}
