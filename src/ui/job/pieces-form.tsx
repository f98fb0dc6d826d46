"use client";

import clsx from "clsx";
import { useState } from "react";
import type { Check } from "@/core/formats";
import { optionsOf, type StepOf } from "@/core/job";
import { PieceMarks } from "../draw/piece-marks";
import { Choices } from "../kit/choices";
import { useSpeaker } from "../use-speaker";
import { pictured } from "./pictured";
import { StepForm } from "./step-form";
import type { JobLog } from "./use-job-log";

type PiecesCheck = Extract<Check, { kind: "pieces" }>;

/** Each piece of a stack is looked at by itself, from the bottom up: the next is offered, any can be taken again. */
export function PiecesForm({ step, check, log }: { step: StepOf<"check">; check: PiecesCheck; log: JobLog }) {
  const { look } = useSpeaker().say.card;
  const stack = log.job.inputs.sheet.parts.find((part) => part.id === check.part);
  const pieces = step.pieces ?? [];
  const answer = log.job.progress.answers.get(check.id)?.answer;
  const given = answer?.kind === "pieces" ? answer.given : {};
  const next = pieces.findIndex((_, index) => given[index + 1] === undefined) + 1;
  const [taken, setTaken] = useState<number>();
  const [missing, setMissing] = useState(false);
  const piece = taken ?? next;
  const named = pieces[piece - 1];
  if (stack === undefined || named === undefined) return null;
  const options = optionsOf(check, named);
  return (
    <StepForm onDone={() => setMissing(true)}>
      <div className="card grid grid-cols-[auto_1fr] gap-x-2 gap-y-3 px-2 py-3 sm:gap-x-5 sm:px-4">
        <PieceMarks
          stack={stack}
          lit={piece}
          graded={(number) => check.options.find((option) => option.id === given[number])}
          onChoose={setTaken}
        />
        <div>
          <p className="text-lead">
            <span className="caption block">{look.piece(piece, pieces.length)}</span>
            <b>{named.name}</b>
            {named.odd !== undefined && <small className="block text-note text-soft">{named.odd}</small>}
          </p>
          <Choices
            bare
            label={check.ask}
            options={options.map((option) => pictured(check.rubric, option))}
            value={given[piece] ?? ""}
            onChange={(said) => {
              if (log.add({ kind: "piece-judged", step: step.id, check: check.id, piece, answer: said }))
                setTaken(undefined);
            }}
          />
          <p
            className={clsx("mt-2 text-note", missing ? "text-stop" : "text-soft")}
            {...(missing && { role: "alert" })}
          >
            {look.eachPiece}
          </p>
        </div>
      </div>
    </StepForm>
  );
}
