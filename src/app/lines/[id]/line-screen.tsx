"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import type { Line } from "@/core/formats";
import { alternatives, isolationMessage, planIsolation } from "@/core/isolation";
import { formatDuration, formatQuantity } from "@/core/quantity";
import { LineDrawing, PipeKey } from "@/ui/draw/line-drawing";
import { lineView } from "@/ui/line-view";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useSettings } from "@/ui/settings";

/** The line, what has to be shut to open a place, and what if: tap a valve to see what else goes dead. */
export function LineScreen({
  line,
  held,
  targets,
  first,
}: {
  line: Line;
  held: readonly string[];
  targets: readonly { tag: string; node: string; name: string }[];
  first: string;
}) {
  const { system } = useSettings();
  const [target, setTarget] = useState(first);
  const [keep, setKeep] = useState<string>();
  const [trial, setTrial] = useState<ReadonlySet<string>>(new Set());
  const planned = useMemo(
    () =>
      target === ""
        ? undefined
        : planIsolation(line, { open: [target], ...(keep !== undefined && { keep: [keep] }) }),
    [line, target, keep],
  );
  const plan = planned?.ok ? planned.value : undefined;
  const others = useMemo(() => {
    if (target === "") return [];
    const plain = planIsolation(line, { open: [target] });
    return plain.ok ? alternatives(line, { open: [target] }, plain.value) : [];
  }, [line, target]);
  const trying = trial.size > 0;
  const shut = useMemo(
    () => new Set([...held, ...(trying ? trial : (plan?.closures.map((closure) => closure.link) ?? []))]),
    [held, trying, trial, plan],
  );
  const view = useMemo(
    () => lineView(line, shut, trying ? undefined : plan, { target }),
    [line, shut, trying, plan, target],
  );
  const nodeName = (id: string) => line.nodes.find((node) => node.id === id)?.name ?? id;
  const registered = targets.find((each) => each.node === target);
  const choose = (node: string) => {
    setTarget(node);
    setKeep(undefined);
    setTrial(new Set());
  };
  const toggle = (link: string) => {
    const next = new Set(trial);
    if (next.has(link)) next.delete(link);
    else next.add(link);
    setTrial(next);
  };
  const lostNames = [...view.lost].map(nodeName);
  return (
    <div className="grid gap-4 px-4 py-3 md:px-5 lg:h-[calc(100dvh-56px)] lg:grid-cols-[minmax(0,1fr)_340px]">
      <section className="card relative flex min-h-[420px] flex-col overflow-hidden">
        <header className="flex flex-wrap items-end gap-x-4 gap-y-2 px-4 pt-3">
          <div className="min-w-0 flex-1">
            <h1 className="font-bold text-[21px] leading-tight">{line.name}</h1>
            <p className="text-[15px] text-soft">
              {trying
                ? `What if ${[...trial].join(", ")} ${trial.size === 1 ? "is" : "are"} shut`
                : plan
                  ? `To open ${nodeName(target)}: shut ${plan.closures.length}${plan.section.drain ? `, drain at ${nodeName(plan.section.drain.node)}` : ""}`
                  : "Choose what is to be opened"}
            </p>
          </div>
          <label className="text-[15px]">
            <span className="caption block">To open</span>
            <select
              className="field min-h-11! py-1!"
              value={target}
              onChange={(event) => choose(event.target.value)}
            >
              {targets.map((each) => (
                <option key={each.tag} value={each.node}>
                  {each.tag}
                </option>
              ))}
              {targets.length === 0 && <option value="">nothing registered here</option>}
            </select>
          </label>
        </header>
        <div className="min-h-[380px] flex-1">
          <LineDrawing {...view} onValve={toggle} onNode={choose} />
        </div>
        <footer className="flex flex-wrap items-center justify-between gap-2 px-4 pb-3">
          <PipeKey />
          <span className="text-[14.5px] text-soft">Tap a valve to see what happens if it is shut.</span>
        </footer>
      </section>
      <div
        className="flex min-h-0 flex-col gap-3 lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Plan"
      >
        {trying ? (
          <Panel title="What if" note={`${trial.size} shut`}>
            <p>
              {lostNames.length === 0
                ? "Nobody loses service: another way still feeds them."
                : `Without service: ${lostNames.join(", ")}.`}
            </p>
            <button type="button" className="btn btn-quiet mt-3 w-full" onClick={() => setTrial(new Set())}>
              Back to the plan
            </button>
          </Panel>
        ) : (
          <>
            {planned !== undefined && !planned.ok && (
              <Notice tone="stop" live>
                {isolationMessage(planned.error)}
              </Notice>
            )}
            {plan !== undefined && (
              <>
                <Panel title="Shut, in this order" note={`${plan.minutes} min`}>
                  <ol className="dashed">
                    {plan.closures.map((closure, index) => (
                      <li key={closure.link} className="grid grid-cols-[30px_1fr_auto] gap-1.5 py-1.5">
                        <span className="plate grid size-[26px] place-items-center rounded-full bg-ink text-[17px] text-card">
                          {index + 1}
                        </span>
                        <span>
                          {closure.link} {closure.name}
                          <small className="block text-[14px] text-soft leading-tight">{closure.why}</small>
                        </span>
                        <span className="plate text-[15px] text-soft">{closure.minutes} min</span>
                      </li>
                    ))}
                  </ol>
                </Panel>
                <Panel title="Then">
                  <ul className="dashed">
                    {plan.section.drain !== undefined && (
                      <li className="py-1.5">
                        Drain{" "}
                        {formatQuantity(
                          (plan.section.volume_L - plan.section.drain.staysBelow_L) / 1000,
                          "volume",
                          system,
                        )}{" "}
                        at {nodeName(plan.section.drain.node)}
                        <small className="block text-[14px] text-soft">
                          lowest drain of the section, about {formatDuration(plan.section.drain.minutes * 60)}
                        </small>
                      </li>
                    )}
                    <li className="py-1.5">
                      Prove zero at {nodeName(target)}
                      <small className="block text-[14px] text-soft">
                        a gauge, a wait, and the gauge again
                      </small>
                    </li>
                  </ul>
                </Panel>
                {plan.lost.length > 0 && (
                  <section className="rounded-lg border-[1.5px] border-stop bg-stop-bg p-4">
                    <h2 className="caption text-stop!">Out of service meanwhile</h2>
                    <p className="mt-1">
                      <b>{plan.lost.map((each) => each.name).join(", ")}.</b>{" "}
                      {plan.lost.some((each) => each.hydrant || each.protects) &&
                        "Tell the fire service and the duty officer first. A watch must be posted after the hours your authority sets."}
                    </p>
                  </section>
                )}
                {(others.length > 0 || keep !== undefined) && (
                  <Panel title="Other ways">
                    <ul className="flex flex-col gap-2">
                      {keep !== undefined && (
                        <li>
                          <button
                            type="button"
                            className="btn btn-quiet w-full"
                            onClick={() => setKeep(undefined)}
                          >
                            Back to the quickest way
                          </button>
                        </li>
                      )}
                      {keep === undefined &&
                        others.map((other) => (
                          <li key={other.keep}>
                            <button
                              type="button"
                              className="btn btn-quiet w-full justify-between text-left"
                              onClick={() => setKeep(other.keep)}
                            >
                              <span>
                                Keep {other.name} in service: shut {other.closures}
                              </span>
                              <b className="whitespace-nowrap">
                                {other.extraMinutes >= 0 ? "+" : "−"} {Math.abs(other.extraMinutes)} min
                              </b>
                            </button>
                          </li>
                        ))}
                    </ul>
                  </Panel>
                )}
              </>
            )}
            {registered !== undefined && (
              <Link href={`/valves/${registered.tag}/start`} className="btn btn-go min-h-14 shrink-0">
                Take {registered.tag} into a job
              </Link>
            )}
            <a href={`/api/v1/lines/${line.id}`} download className="btn btn-quiet shrink-0">
              Take the line as a file
            </a>
          </>
        )}
      </div>
    </div>
  );
}
