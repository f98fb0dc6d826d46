"use client";

import { useCallback, useMemo, useState } from "react";
import type { Line } from "@/core/formats";
import type { IsolationDemand } from "@/core/isolation";
import { isThreeWay, type Setting } from "@/core/line";
import { lineView } from "@/ui/line-view";
import { useIsolation } from "@/ui/use-isolation";
import { useLaidOut } from "@/ui/use-laid-out";
import { NOTHING_TOLD, type Told } from "./told";
import { settingAfter } from "./walk-through";

export const toggled = (list: readonly string[], id: string) =>
  list.includes(id) ? list.filter((each) => each !== id) : [...list, id];

/**
 * What is asked of a line, what is planned for it, and how it stands while one looks: as it is, at a step of the plan,
 * or as tried.
 *
 * @param held links that open jobs hold shut · @param first what is to be opened · @param source where the worker can
 * fetch a large line for itself
 */
export function useLineScreen(stored: Line, held: readonly string[], first: string, source?: string) {
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
  const open = (id: string) => {
    setTarget(id);
    tell({ keep: [], pumpedOut: [] });
  };
  const turn = (change: (now: Setting) => Setting) => {
    setTrial(change(trial ?? { shut: new Set<string>() }));
    setStep(undefined);
  };
  return {
    line,
    target,
    told,
    tell,
    /** Something else is to be opened; a valve of three ways is asked about first. */
    choose,
    open,
    chosen,
    setChosen,
    trial,
    turn,
    endTrial: () => setTrial(undefined),
    step,
    setStep,
    planned,
    made,
    plan,
    setting,
    view,
    nodeName,
  };
}

export type LineAsked = ReturnType<typeof useLineScreen>;
