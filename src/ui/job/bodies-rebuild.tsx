"use client";

import clsx from "clsx";
import { useState } from "react";
import type { EndCondition } from "@/core/formats";
import { type FitRule, nextBolt, piecesLeft, WIPED } from "@/core/job";
import { timeNow } from "@/edge/clock";
import { useFigures } from "@/ui/use-figures";
import { endWords, fitRuleWords, threadNote } from "@/words";
import { BoltCircle } from "../draw/bolt-circle";
import { StackCount } from "../draw/stack-count";
import { keepTraces } from "../instruments/keep-traces";
import { Counter } from "../kit/counter";
import { useSpeaker } from "../use-speaker";
import { ComparePart, useComparison } from "./compare-part";
import { JoinDrawing } from "./join-drawing";
import { PhotoStrip } from "./photo-strip";
import { StandIn } from "./stand-in";
import { type BodyProps, StepForm } from "./step-form";
import { TickLines } from "./tick-lines";
import { Traced } from "./traced";
import { useWrench, WrenchPanel } from "./wrench";

const RULE_TONE = {
  orientation: "border-cold",
  lubricate: "border-go",
  cut: "border-wait",
  "keep-off": "border-stop",
  "stays-dry": "border-stop",
  "thread-dry": "border-stop",
  locker: "border-wait",
  "anti-seize": "border-wait",
  sealant: "border-wait",
  "as-noted": "border-cold",
} as const satisfies Record<FitRule["kind"], string>;
export function FitBody({ step, log }: BodyProps<"fit">) {
  const words = useSpeaker();
  const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
  const item = log.job.tray.items.find((each) => each.part === step.part);
  const [count, setCount] = useState(step.renewal !== undefined ? step.count : (item?.counted ?? step.count));
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
          <StackCount
            stack={part}
            counted={counted}
            upward
            {...(step.fresh !== undefined && { fresh: step.fresh })}
          />
        </div>
      )}
      <ul className="flex flex-col gap-2">
        {step.rules.map((rule) => {
          const { says, why } = fitRuleWords(words, rule);
          return (
            <li
              key={rule.kind + says}
              className={clsx("card border-l-[6px] px-3.5 py-2", RULE_TONE[rule.kind])}
            >
              <b className="plate mr-2 text-body">{words.say.card.fit.rules[rule.kind]}</b>
              {says}
              {why !== undefined && <small className="block text-note text-soft">{why}</small>}
            </li>
          );
        })}
      </ul>
      {step.standIn !== undefined && <StandIn of={step.standIn} />}
      {step.wipe === true && (
        <TickLines
          step={{ id: step.id, lines: [{ id: WIPED, name: words.say.card.ticks.wiped, pieces: 1 }] }}
          log={log}
        />
      )}
      <HowTight {...step} />
      {step.part !== undefined && <PhotoStrip log={log} step={`strip:${step.part}`} />}
      {step.pieces.length === 0 && step.count > 1 && (
        <Counter label={words.say.card.fit.count} count={count} most={step.count} onCount={setCount} />
      )}
    </StepForm>
  );
}

/** What was left loose, tightened now. */
export function TightenOneBody({ step, log }: BodyProps<"tighten-one">) {
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <HowTight {...step} loose={false} />
    </StepForm>
  );
}

/** Where tightening ends, drawn and said. */
function HowTight({
  end,
  loose,
  torque_Nm,
  limit_Nm,
}: {
  end: EndCondition;
  loose: boolean;
  torque_Nm?: number;
  limit_Nm?: number;
}) {
  const { quantity } = useFigures();
  const speaker = useSpeaker();
  const { fit } = speaker.say.card;
  return (
    <div className="card flex items-center gap-4 px-4 py-3">
      <JoinDrawing end={end} loose={loose} />
      <div>
        <span className="caption block">{end.kind === "seated" && !loose ? fit.rightWhen : fit.tighten}</span>
        <b className="text-head leading-tight">
          {loose ? fit.looseForNow : endWords(speaker, end, torque_Nm)}
        </b>
        {end.kind === "torque" && end.holdAgainst && !loose && (
          <span className="mt-1 block text-soft">{end.holdAgainst}</span>
        )}
        {limit_Nm !== undefined && (
          <span className="mt-1 block text-soft">{fit.never(quantity(limit_Nm, "torque"))}</span>
        )}
      </div>
    </div>
  );
}

export function TightenBody({ step, log }: BodyProps<"tighten">) {
  const words = useSpeaker();
  const { progress } = log.job;
  const next = nextBolt(step, progress);
  const done = progress.bolts.get(step.id) ?? new Set<string>();
  const wanted = next === undefined ? undefined : step.passes[next.pass - 1]?.torque_Nm;
  const wrench = useWrench(wanted);
  const [since] = useState(timeNow);
  const pull = wrench.whenRead((pulled) => {
    if (next === undefined) return;
    // What the wrench showed up to its click stands before the pull it belongs to.
    if (pulled.with !== undefined) keepTraces(log, step.id, pulled.with.serial);
    if (log.add({ kind: "bolt-pulled", step: step.id, ...next, ...pulled })) wrench.clear();
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
          label={words.say.card.fit.pulls(step.bolts, done.size, step.bolts * step.passes.length)}
          onPull={pull}
        />
      </div>
      <Traced log={log} step={step} since={since} />
      <WrenchPanel wrench={wrench} {...(step.limit_Nm !== undefined && { limit_Nm: step.limit_Nm })} />
      <p className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-2.5">{threadNote(words, step)}</p>
    </StepForm>
  );
}
