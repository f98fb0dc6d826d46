"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useState } from "react";
import type { JobInputs } from "@/core/formats";
import { PHASE_NAMES, PHASES, run } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { OPEN_JOB } from "@/edge/contracts/jobs";
import { Axis } from "@/ui/draw/axis";
import { Notice } from "@/ui/notice";
import { Panel, ValveHead } from "@/ui/page";
import { useSettings } from "@/ui/settings";
import { WhoPicker } from "@/ui/who-picker";
import { BringPanel } from "./bring-panel";

const POLICIES = [
  ["on-condition", "On condition", "Renew what fails its check, and what the strip spoils."],
  ["what-was-disturbed", "What was disturbed", "Every soft part that was moved is renewed, as a set."],
  ["everything-open", "Everything open", "All that stock has for what comes off is renewed."],
] as const;

/** Why and how deep; the plan beside it is compiled anew with every choice. */
export function StartJob({ inputs: base }: { inputs: JobInputs }) {
  const router = useRouter();
  const settings = useSettings();
  const { sheet, valve } = base;
  const [reason, setReason] = useState(base.reason);
  const [reach, setReach] = useState<readonly string[]>(base.reach);
  const [policy, setPolicy] = useState(base.policy);
  const [by, setBy] = useState(settings.who);
  const [choosing, setChoosing] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [sending, setSending] = useState(false);
  const compiled = useMemo(
    () =>
      reach.length === 0
        ? undefined
        : run({ ...base, reason, reach: [...reach], policy }, [], settings.system),
    [base, reason, reach, policy, settings.system],
  );
  const plan = compiled?.ok ? compiled.value.plan : undefined;
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;

  const start = async () => {
    setSending(true);
    setProblems([]);
    const opened = await call(OPEN_JOB, { body: { valve: valve.tag, reason, reach: [...reach], policy } });
    if (opened.ok) {
      router.push(`/jobs/${encodeURIComponent(opened.value.id)}`);
      return;
    }
    setSending(false);
    setProblems(opened.error.problems);
  };
  const toggle = (part: string) => {
    const found = sheet.parts.find((each) => each.id === part);
    if (found?.stays) return;
    setReach(reach.includes(part) ? reach.filter((each) => each !== part) : [...reach, part]);
  };
  // On a phone the field may lie far above the button.
  useEffect(() => {
    if (problems.length > 0) document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus();
  }, [problems]);
  const problemAt = (path: string) =>
    problems.find((each) => each.path.startsWith(path) && path !== "")?.message;

  return (
    <div className="mx-auto grid max-w-[1240px] gap-4 px-4 py-4 md:px-5 lg:grid-cols-[300px_1fr_380px]">
      <ValveHead
        tag={valve.tag}
        href={`/valves/${valve.tag}`}
        title="Start a job"
        says={`${sheet.title}; ${valve.name}`}
        className="lg:col-span-3"
      />
      <section className="card flex h-[420px] flex-col overflow-hidden pt-3 lg:h-[640px]">
        <h2 className="caption px-4 pb-1">Tap the parts to reach</h2>
        <div className="min-h-0 flex-1">
          <Axis
            parts={sheet.parts.map((part) => ({
              part,
              place: part.stays
                ? ("stays" as const)
                : plan?.removed.includes(part.id)
                  ? ("comes-off" as const)
                  : ("in" as const),
              renew: plan?.renewals.some((each) => each.part === part.id) ?? false,
            }))}
            litSays="to reach"
            {...(reach[0] !== undefined && { lit: reach[0], chosen: reach[0] })}
            onChoose={toggle}
          />
        </div>
      </section>
      <div className="flex flex-col gap-4">
        <section className="card p-4" aria-label="Who">
          <h2 className="caption mb-2">Who</h2>
          {by === "" || choosing ? (
            <WhoPicker
              onChosen={(name) => {
                setBy(name);
                setChoosing(false);
              }}
            />
          ) : (
            <p className="flex items-center justify-between gap-3 text-lead">
              <b>{by}</b>
              <button type="button" className="btn btn-quiet" onClick={() => setChoosing(true)}>
                Somebody else
              </button>
            </p>
          )}
        </section>
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            void start();
          }}
        >
          <fieldset className="card p-4">
            <legend className="caption float-left mb-2">Why</legend>
            <div className="clear-both flex flex-col gap-2">
              {sheet.symptoms.map((symptom) => (
                <button
                  key={symptom.id}
                  type="button"
                  aria-pressed={reason.says === symptom.says}
                  onClick={() => {
                    setReason({ kind: symptom.id === "due" ? "due" : "symptom", says: symptom.says });
                    setReach(symptom.reach);
                  }}
                  className={clsx(
                    "btn justify-start text-left",
                    reason.says === symptom.says ? "border-2 border-ink bg-ink text-paper" : "btn-quiet",
                  )}
                >
                  {symptom.says}
                </button>
              ))}
              <label className="mt-1 block">
                <span className="font-semibold">In your words</span>
                <input
                  className="field mt-1"
                  value={reason.says}
                  maxLength={400}
                  aria-invalid={problemAt("/reason") !== undefined}
                  onChange={(event) =>
                    setReason({
                      ...reason,
                      kind: reason.kind === "due" ? "due" : "symptom",
                      says: event.target.value,
                    })
                  }
                />
                {problemAt("/reason") && (
                  <span role="alert" className="text-stop">
                    {problemAt("/reason")}
                  </span>
                )}
              </label>
            </div>
          </fieldset>
          <section className="card p-4">
            <h2 className="caption mb-2">Parts to reach</h2>
            {reach.length === 0 ? (
              <p role="alert" className="text-stop">
                Tap at least one part on the axis.
              </p>
            ) : (
              <ul className="flex flex-wrap gap-2">
                {reach.map((part) => (
                  <li key={part}>
                    <button
                      type="button"
                      className="plate min-h-11 rounded border-[1.5px] border-rule bg-card px-3 text-body"
                      onClick={() => toggle(part)}
                      aria-label={`Leave out ${name(part)}`}
                    >
                      {name(part)} ×
                    </button>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <fieldset className="card p-4">
            <legend className="caption float-left mb-2">How far to renew</legend>
            <div className="clear-both flex flex-col gap-1">
              {POLICIES.map(([id, title, says]) => (
                <label key={id} className="flex min-h-12 cursor-pointer items-center gap-3">
                  <input
                    type="radio"
                    name="policy"
                    className="size-5 accent-[var(--go)]"
                    checked={policy === id}
                    onChange={() => setPolicy(id)}
                  />
                  <span>
                    <b>{title}.</b> <span className="text-soft">{says}</span>
                  </span>
                </label>
              ))}
            </div>
          </fieldset>

          {problems
            .filter((each) => !each.path.startsWith("/reason"))
            .map((each) => (
              <Notice key={each.message} tone="stop" live>
                {each.message}
              </Notice>
            ))}
          {compiled !== undefined && !compiled.ok && <Notice tone="stop">{compiled.error}</Notice>}
          <button
            type="submit"
            className="btn btn-go min-h-16 text-lead"
            disabled={plan === undefined || sending || by === ""}
          >
            {sending
              ? "Compiling the job …"
              : plan === undefined
                ? "Choose what to reach"
                : by === ""
                  ? "Choose who does it"
                  : `Start the job, about ${formatDuration(plan.minutes * 60)}`}
          </button>
        </form>
      </div>
      <div className="flex flex-col gap-4">
        {plan !== undefined && (
          <>
            <Panel title="Shut" note={plan.isolation?.ok ? `${plan.isolation.value.minutes} min` : ""}>
              {plan.isolation === undefined && <p>{sheet.isolation.noLine}</p>}
              {plan.isolation?.ok === false && (
                <p className="text-stop">
                  There is no safe isolation as the line stands. The job will say what would make one.
                </p>
              )}
              <ol className="dashed">
                {plan.isolation?.ok &&
                  plan.isolation.value.closures.map((closure, index) => (
                    <li key={closure.link} className="flex gap-3 py-1.5">
                      <span className="plate grid size-7 shrink-0 place-items-center rounded-full bg-ink text-body text-card">
                        {index + 1}
                      </span>
                      <span>
                        {closure.link} {closure.name}
                        <small className="block text-fine text-soft">{closure.why}</small>
                      </span>
                    </li>
                  ))}
              </ol>
              {plan.isolation?.ok && plan.isolation.value.lost.length > 0 && (
                <p className="mt-2 text-stop">
                  Out of service: {plan.isolation.value.lost.map((each) => each.name).join(", ")}.
                </p>
              )}
            </Panel>
            <BringPanel plan={plan} name={name} />
            <Panel title="The way" note={`${plan.steps.length} steps`}>
              {PHASES.map((phase) => {
                const steps = plan.steps.filter((step) => step.phase === phase);
                return steps.length === 0 ? null : (
                  <details
                    key={phase}
                    className="border-rule border-t-[1.5px] border-dashed first:border-t-0"
                  >
                    <summary className="plate flex min-h-11 items-center justify-between text-lead">
                      {PHASE_NAMES[phase]}
                      <span className="text-soft">
                        {steps.length} {steps.length === 1 ? "step" : "steps"},{" "}
                        {formatDuration(steps.reduce((sum, step) => sum + step.minutes, 0) * 60)}
                      </span>
                    </summary>
                    <ol className="dashed pb-2 pl-2">
                      {steps.map((step) => (
                        <li key={step.id} className="py-1.5">
                          {step.title}
                          <small className="block text-fine text-soft">{step.why}</small>
                        </li>
                      ))}
                    </ol>
                  </details>
                );
              })}
            </Panel>
          </>
        )}
      </div>
    </div>
  );
}
