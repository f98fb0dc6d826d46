"use client";

import clsx from "clsx";
import { useState } from "react";
import { nextBolt, piecesLeft, type Run, type StepOf } from "@/core/job";
import { formatQuantity } from "@/core/quantity";
import { BoltCircle } from "../draw/bolt-circle";
import { StackCount } from "../draw/stack";
import { endWords } from "../end-words";
import { Counter } from "../kit/counter";
import { useSettings } from "../settings";
import { ComparePart, useComparison } from "./compare-part";
import { JoinDrawing } from "./join-drawing";
import { type BodyProps, StepForm } from "./step-form";
import { useWrench, WrenchPanel } from "./wrench";

const RULE_TONE = {
  orientation: "border-cold",
  lubricate: "border-go",
  dry: "border-stop",
  locker: "border-wait",
  "anti-seize": "border-wait",
  sealant: "border-wait",
  "as-noted": "border-cold",
} as const;
const RULE_NAME = {
  orientation: "Which way",
  lubricate: "Grease",
  dry: "DRY",
  locker: "Locker",
  "anti-seize": "Anti-seize",
  sealant: "Sealant",
  "as-noted": "As found",
} as const;

export function FitBody({ step, log }: BodyProps<"fit">) {
  const { system } = useSettings();
  const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
  const item = log.job.tray.items.find((each) => each.part === step.part);
  const [count, setCount] = useState(step.renew ? step.count : (item?.counted ?? step.count));
  const comparison = useComparison(log, part, step.features, step.id);
  const right = step.features.length === 0 || comparison.verdict?.kind === "right";
  const left = piecesLeft(step, log.job.progress);
  const counted = step.pieces.length - left;
  const done = () => {
    if (!right) void comparison.compare();
    else if (left > 0) log.add({ kind: "piece-set", step: step.id, piece: counted + 1 });
    else log.add({ kind: "step-done", step: step.id, ...(step.count > 1 && { entry: `${count}` }) });
  };
  return (
    <StepForm onDone={done}>
      {step.features.length > 0 && part !== undefined && (
        <ComparePart part={part} features={step.features} comparison={comparison} />
      )}
      {step.pieces.length > 0 && part !== undefined && right && (
        <div className="card px-4 py-3">
          <StackCount stack={part} counted={counted} upward />
        </div>
      )}
      <ul className="flex flex-col gap-2">
        {step.rules.map((rule) => (
          <li
            key={rule.kind + rule.says}
            className={clsx("card border-l-[6px] px-3.5 py-2", RULE_TONE[rule.kind])}
          >
            <b className="plate mr-2 text-body">{RULE_NAME[rule.kind]}</b>
            {rule.says}
            {rule.why && <small className="block text-note text-soft">{rule.why}</small>}
          </li>
        ))}
      </ul>
      <div className="card flex items-center gap-4 px-4 py-3">
        <JoinDrawing end={step.end} loose={step.loose} system={system} />
        <div>
          <span className="caption block">
            {step.end.kind === "seated" && !step.loose ? "Right when" : "Tighten"}
          </span>
          <b className="text-head leading-tight">
            {step.loose ? "By hand, and leave it loose for now" : endWords(step.end, system, step.torque_Nm)}
          </b>
          {step.end.kind === "torque" && step.end.holdAgainst && !step.loose && (
            <span className="mt-1 block text-soft">{step.end.holdAgainst}</span>
          )}
          {step.limit_Nm !== undefined && (
            <span className="mt-1 block text-soft">
              Never above {formatQuantity(step.limit_Nm, "torque", system)}.
            </span>
          )}
        </div>
      </div>
      {step.pieces.length === 0 && step.count > 1 && (
        <Counter label="Count what goes in" count={count} most={step.count} onCount={setCount} />
      )}
    </StepForm>
  );
}

/** The bolt in hand, in words and in the circle. */
export function tightenTitle(job: Run, step: StepOf<"tighten">, system: "metric" | "us"): string {
  const next = nextBolt(step, job.progress);
  if (next === undefined) return step.title;
  const pass = step.passes[next.pass - 1]!;
  const part = job.inputs.sheet.parts.find((each) => each.id === step.part)?.name ?? "Bolts";
  return `${part}, ${pass.circular ? "last round" : `pass ${next.pass}`} of ${step.passes.length}, to ${formatQuantity(pass.torque_Nm, "torque", system)}.`;
}

export function TightenBody({ step, log }: BodyProps<"tighten">) {
  const { progress } = log.job;
  const next = nextBolt(step, progress);
  const done = progress.bolts.get(step.id) ?? new Set<string>();
  const wanted = next === undefined ? undefined : step.passes[next.pass - 1]?.torque_Nm;
  const wrench = useWrench(wanted);
  const pull = wrench.whenRead((torque_Nm) => {
    if (next === undefined) return;
    const reading = torque_Nm === undefined ? {} : { reading_Nm: torque_Nm };
    if (log.add({ kind: "bolt-pulled", step: step.id, ...next, ...reading })) wrench.clear();
  });
  return (
    <StepForm onDone={pull}>
      <div className="card p-2">
        <BoltCircle
          bolts={step.bolts}
          order={step.order}
          passes={step.passes.length}
          circular
          done={(pass, bolt) => done.has(`${pass}:${bolt}`)}
          {...(next !== undefined && { next })}
          label={`${step.bolts} bolts, ${done.size} of ${step.bolts * step.passes.length} pulls done`}
          onPull={pull}
        />
      </div>
      <WrenchPanel wrench={wrench} {...(step.limit_Nm !== undefined && { limit_Nm: step.limit_Nm })} />
      <p className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-2.5">{step.note}</p>
    </StepForm>
  );
}
