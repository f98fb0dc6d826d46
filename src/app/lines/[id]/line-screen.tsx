"use client";

import { ChevronLeft, ChevronRight, X } from "lucide-react";
import Link from "next/link";
import { useCallback, useMemo, useState } from "react";
import type { Line } from "@/core/formats";
import {
  actWords,
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  isolationMessage,
} from "@/core/isolation";
import type { Setting } from "@/core/line";
import { isThreeWay } from "@/core/line";
import { kindsOf, LineDrawing } from "@/ui/draw/line-drawing";
import { PipeKey } from "@/ui/draw/pipe";
import { lineView } from "@/ui/line-view";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useSettings } from "@/ui/settings";
import { useIsolation } from "@/ui/use-isolation";
import { useLaidOut } from "@/ui/use-laid-out";
import { CarePanel, OthersPanel, OutagePanel, ProvePanel, ShuttingPanel } from "./plan-panels";
import { type Target, TargetPicker } from "./target-picker";
import { StemPanel, ValvePanel } from "./valve-panel";
import { actAt, settingAfter } from "./walk-through";

/** More links than this are not edited by hand. */
const MOST_EDITED = 600;

/** What the technician told of today, beside what the line knows. */
interface Told {
  readonly avoid: readonly string[];
  readonly passing: readonly string[];
  readonly keep: readonly string[];
  readonly pumpedOut: readonly string[];
}
const NOTHING_TOLD: Told = { avoid: [], passing: [], keep: [], pumpedOut: [] };
const toggled = (list: readonly string[], id: string) =>
  list.includes(id) ? list.filter((each) => each !== id) : [...list, id];

/** The line, what has to be shut to open a place, and what if: tap a valve to ask about it. */
export function LineScreen({
  line: stored,
  held,
  registered,
  first,
  source,
}: {
  line: Line;
  /** Where the worker can fetch a large line for itself. */
  source?: string;
  held: readonly string[];
  registered: readonly Target[];
  first: string;
}) {
  const { system } = useSettings();
  const line = useLaidOut(stored);
  const [target, setTarget] = useState(first);
  const [told, setTold] = useState<Told>(NOTHING_TOLD);
  const [trial, setTrial] = useState<Setting>();
  const [chosen, setChosen] = useState<string>();
  const [step, setStep] = useState<number>();
  const demand = useMemo<IsolationDemand | undefined>(
    () => (target === "" ? undefined : { open: [target], ...told }),
    [target, told],
  );
  const planned = useIsolation(stored, demand, source);
  const made = planned.kind === "made" ? planned : undefined;
  const plan = made?.plan.ok ? made.plan.value : undefined;
  const setting = useMemo<Setting>(() => {
    if (trial !== undefined) return { ...trial, shut: new Set([...held, ...trial.shut]) };
    return plan === undefined
      ? { shut: new Set(held) }
      : settingAfter(plan, step ?? plan.shutting.length, held);
  }, [trial, plan, step, held]);
  const view = useMemo(
    () =>
      lineView(line, setting, trial === undefined ? plan : undefined, {
        target,
        passing: told.passing,
        avoided: told.avoid,
        ...(chosen !== undefined && { chosen }),
      }),
    [line, setting, trial, plan, target, told, chosen],
  );
  const nodeName = useCallback((id: string) => line.nodes.find((node) => node.id === id)?.name ?? id, [line]);
  const choose = useCallback(
    (node: string) => {
      const place = line.nodes.find((each) => each.id === node);
      if (place !== undefined && isThreeWay(place)) return setChosen(node);
      setTarget(node);
      setTold((now) => ({ ...now, keep: [], pumpedOut: [] }));
      setTrial(undefined);
      setStep(undefined);
    },
    [line],
  );
  const tell = (change: Partial<Told>) => {
    setTold((now) => ({ ...now, ...change }));
    setTrial(undefined);
    setStep(undefined);
  };
  const interactive = useMemo(() => ({ ...view, onValve: setChosen, onNode: choose }), [view, choose]);
  const kinds = useMemo(() => kindsOf(view.line), [view.line]);
  const valve = line.links.find((link) => link.id === chosen);
  const stem = line.nodes.find((node) => node.id === chosen);
  const tried = trial ?? { shut: new Set<string>() };
  const known = registered.find((each) => each.id === target);
  const sheetHref = `/lines/${line.id}/isolation?${new URLSearchParams([
    ["open", target],
    ...Object.entries(told).flatMap(([key, ids]) => (ids as readonly string[]).map((id) => [key, id])),
  ])}`;
  return (
    <div className="grid gap-4 px-4 py-3 md:px-5 lg:h-[calc(100dvh-56px)] lg:grid-cols-[minmax(0,1fr)_350px]">
      <section className="card relative flex min-h-[520px] flex-col overflow-hidden">
        <header className="flex flex-col gap-x-4 gap-y-2 px-4 pt-3 sm:flex-row sm:items-end">
          <div className="min-w-0 flex-1">
            <h1 className="font-bold text-head leading-tight">{line.name}</h1>
            <p className="text-note text-soft" aria-live="polite">
              {trial !== undefined
                ? "What if"
                : planned.kind === "waiting"
                  ? "Working it out …"
                  : plan !== undefined
                    ? `To open ${nodeName(target)}: ${plan.shutting.length} to do${plan.section.drain ? `, drain at ${nodeName(plan.section.drain.node)}` : ""}`
                    : target === ""
                      ? "Choose what is to be opened"
                      : ""}
            </p>
          </div>
          <TargetPicker line={line} registered={registered} value={target} onChange={choose} />
        </header>
        <Chips told={told} nodeName={nodeName} onChange={tell} />
        <div className="min-h-[400px] flex-1">
          <LineDrawing view={interactive} />
        </div>
        {plan !== undefined && trial === undefined && <Walk plan={plan} step={step} onStep={setStep} />}
        <footer className="flex flex-wrap items-center justify-between gap-2 px-4 pb-3">
          <PipeKey kinds={kinds} unknown={view.doubt} />
          <span className="text-note text-soft">
            {made !== undefined && line.links.length > MOST_EDITED
              ? `Planned in ${Math.max(1, Math.round(made.took))} ms.`
              : "Tap a valve to ask about it, a place to open it."}
          </span>
        </footer>
      </section>
      <div
        className="flex min-h-0 flex-col gap-3 lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Plan"
      >
        {valve?.kind === "valve" && (
          <ValvePanel
            valve={valve}
            shut={tried.shut.has(valve.id)}
            avoided={told.avoid.includes(valve.id)}
            passing={told.passing.includes(valve.id)}
            onTrial={() => {
              const shut = new Set(toggled([...tried.shut], valve.id));
              setTrial({ ...tried, shut });
              setStep(undefined);
            }}
            onAvoid={() => tell({ avoid: toggled(told.avoid, valve.id) })}
            onPasses={() => tell({ passing: toggled(told.passing, valve.id) })}
            onOpen={() => {
              setTarget(valve.id);
              tell({ keep: [], pumpedOut: [] });
            }}
            onClose={() => setChosen(undefined)}
          />
        )}
        {stem !== undefined && isThreeWay(stem) && (
          <StemPanel
            stem={stem}
            position={setting.turned?.get(stem.id) ?? stem.threeWay.normally}
            onTurn={(position) =>
              setTrial({ ...tried, turned: new Map([...(tried.turned ?? []), [stem.id, position]]) })
            }
            onOpen={() => {
              setTarget(stem.id);
              tell({ keep: [], pumpedOut: [] });
            }}
            onClose={() => setChosen(undefined)}
          />
        )}
        {trial !== undefined ? (
          <Panel title="What if" note={`${trial.shut.size + (trial.turned?.size ?? 0)} changed`}>
            <p aria-live="polite">
              {view.lost.size === 0
                ? "Nobody loses service: another way still feeds them."
                : `Without service: ${[...view.lost].map(nodeName).join(", ")}.`}
            </p>
            {target !== "" && (
              <p className="mt-1">
                {nodeName(target)}:{" "}
                {
                  {
                    live: "still live.",
                    dead: "dead.",
                    "shut-in": "shut in.",
                    unknown: "not known: only a valve that passes or a check valve holds.",
                  }[stateOfTarget(view, target, line)]
                }
              </p>
            )}
            <button type="button" className="btn btn-quiet mt-3 w-full" onClick={() => setTrial(undefined)}>
              Back to the plan
            </button>
          </Panel>
        ) : (
          <>
            {planned.kind === "waiting" && <p role="status">Working out what to shut …</p>}
            {made !== undefined && !made.plan.ok && (
              <Refusal
                failure={made.plan.error}
                onPumpOut={(node) => tell({ pumpedOut: [...told.pumpedOut, node] })}
              />
            )}
            {plan !== undefined && (
              <>
                <ShuttingPanel plan={plan} at={step} />
                <ProvePanel plan={plan} system={system} nodeName={nodeName} />
                <OutagePanel plan={plan} />
                <CarePanel plan={plan} system={system} />
                <OthersPanel
                  others={made?.others ?? []}
                  kept={told.keep.length > 0}
                  onKeep={(node) => tell({ keep: node === undefined ? [] : [node] })}
                />
                {known !== undefined && (
                  <Link href={`/valves/${known.id}/start`} className="btn btn-go min-h-14 shrink-0">
                    Take {known.id} into a job
                  </Link>
                )}
                <Link href={sheetHref} className="btn btn-quiet shrink-0">
                  Isolation sheet to print
                </Link>
              </>
            )}
          </>
        )}
        {line.links.length <= MOST_EDITED && (
          <Link href={`/lines/${line.id}/edit`} className="btn btn-quiet shrink-0">
            Change the line
          </Link>
        )}
        <a href={`/api/v1/lines/${line.id}`} download className="btn btn-quiet shrink-0">
          Take the line as a file
        </a>
      </div>
    </div>
  );
}

function stateOfTarget(view: ReturnType<typeof lineView>, target: string, line: Line) {
  const link = view.line.links.find((each) => each.id === target);
  return view.stateOf(
    link?.from ?? line.nodes.find((node) => node.id === target || node.asset === target)?.id ?? target,
  );
}

/** Steps through shutting and restoring, drawn as it goes. */
function Walk({
  plan,
  step,
  onStep,
}: {
  plan: IsolationPlan;
  step: number | undefined;
  onStep: (step: number | undefined) => void;
}) {
  const acts = plan.shutting.length + plan.restoring.length;
  const at = step ?? plan.shutting.length;
  const act = actAt(plan, at);
  const label =
    at === 0
      ? "As it stands today"
      : at <= plan.shutting.length
        ? `Shutting ${at} of ${plan.shutting.length}`
        : `Restoring ${at - plan.shutting.length} of ${plan.restoring.length}`;
  return (
    <div className="flex items-center gap-3 border-rule border-t px-4 py-2">
      <button
        type="button"
        className="btn btn-quiet px-3!"
        aria-label="One step back"
        disabled={at === 0}
        onClick={() => onStep(at - 1)}
      >
        <ChevronLeft aria-hidden />
      </button>
      <p className="min-w-0 flex-1 text-note leading-tight" aria-live="polite">
        <span className="caption block">{label}</span>
        {act !== undefined && <b>{actWords(act)}</b>}
      </p>
      <button
        type="button"
        className="btn btn-quiet px-3!"
        aria-label="One step on"
        disabled={at === acts}
        onClick={() => onStep(at + 1)}
      >
        <ChevronRight aria-hidden />
      </button>
    </div>
  );
}

function Refusal({ failure, onPumpOut }: { failure: IsolationFailure; onPumpOut: (node: string) => void }) {
  const vessels =
    failure.kind === "unprotected"
      ? failure.vessels
      : failure.kind === "no-isolation" && failure.pumpOut !== undefined
        ? [failure.pumpOut]
        : [];
  return (
    <Notice tone="stop" live>
      {isolationMessage(failure)}
      {vessels.map((vessel) => (
        <button
          key={vessel.id}
          type="button"
          className="btn btn-quiet mt-2 w-full bg-card"
          onClick={() => onPumpOut(vessel.id)}
        >
          Plan it with {vessel.name} pumped out
        </button>
      ))}
    </Notice>
  );
}

const TOLD_WORDS: Record<keyof Told, (name: string) => string> = {
  avoid: (name) => `avoid ${name}`,
  passing: (name) => `${name} passes`,
  keep: (name) => `keep ${name} in service`,
  pumpedOut: (name) => `${name} pumped out`,
};

function Chips({
  told,
  nodeName,
  onChange,
}: {
  told: Told;
  nodeName: (id: string) => string;
  onChange: (change: Partial<Told>) => void;
}) {
  const chips = (Object.keys(TOLD_WORDS) as (keyof Told)[]).flatMap((key) =>
    told[key].map((id) => ({ key, id })),
  );
  if (chips.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2 px-4 pt-2">
      {chips.map(({ key, id }) => (
        <li key={key + id}>
          <button
            type="button"
            className="btn btn-quiet min-h-11! px-3! text-note!"
            onClick={() => onChange({ [key]: told[key].filter((each) => each !== id) })}
          >
            {TOLD_WORDS[key](nodeName(id))}
            <X size={16} aria-label="take back" />
          </button>
        </li>
      ))}
    </ul>
  );
}
