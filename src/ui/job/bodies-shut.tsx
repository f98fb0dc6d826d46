"use client";

import { useState } from "react";
import { type Step, type StepOf, sweptWith } from "@/core/job";
import { Asked, needed, useAsked } from "../kit/asked";
import { TextField } from "../kit/text-field";
import { useSpeaker } from "../use-speaker";
import { type BodyProps, StepForm } from "./step-form";

/** A way in is shut and locked; those that follow it without a danger of their own are entered with it. */
export function ShutBody({ step, log }: BodyProps<"shut" | "stop-pump">) {
  const words = useSpeaker().say.card.lock;
  const form = useAsked({ lock: "" });
  // As it was when the card came: it is entered as a row, while the log goes on.
  const [swept] = useState(() => sweptWith(log.job));
  const [locks, setLocks] = useState<Readonly<Record<string, string>>>({});
  const lockOf = ({ id }: Step) => locks[id]?.trim() ?? "";
  const filled = swept.findIndex((each) => lockOf(each) === "");
  const row = filled === -1 ? swept : swept.slice(0, filled);
  const gap = swept.slice(row.length).find((each) => lockOf(each) !== "");
  return (
    <StepForm
      onDone={form.handleSubmit(({ lock }) => {
        if (gap !== undefined) return;
        const done = (which: string, entry: string) =>
          log.add({ kind: "step-done", step: which, ...(entry !== "" && { entry }) });
        // Each is judged by what the one before it made; the first that is not taken ends the row.
        if (done(step.id, lock.trim())) row.every((each) => done(each.id, lockOf(each)));
      })}
    >
      {step.kind === "shut" && step.where !== undefined && (
        <p className="text-body">{words.where(step.where)}</p>
      )}
      <Asked form={form} name="lock" {...(step.lockable && { refuse: needed(words.missing) })}>
        {(field) => (
          <TextField
            large
            measure
            label={step.lockable ? words.number : words.tag}
            hint={words.hint}
            {...field}
          />
        )}
      </Asked>
      {swept.length > 0 && (
        <details className="card px-4 py-1">
          <summary className="min-h-12 cursor-pointer content-center font-semibold">
            {words.sweep} ({swept.length})
          </summary>
          <p className="mb-2 text-note text-soft">{words.sweepWhy}</p>
          <ol className="grid gap-3 pb-3">
            {swept.map((each) => (
              <Next
                key={each.id}
                step={each}
                lock={locks[each.id] ?? ""}
                wrong={each === gap ? words.inOrder : undefined}
                onLock={(lock) => setLocks({ ...locks, [each.id]: lock })}
              />
            ))}
          </ol>
        </details>
      )}
    </StepForm>
  );
}

function Next({
  step: { link, name, where },
  lock,
  wrong,
  onLock,
}: {
  step: StepOf<"shut">;
  lock: string;
  wrong: string | undefined;
  onLock: (lock: string) => void;
}) {
  const words = useSpeaker().say.card.lock;
  const called = name === link ? link : `${link} ${name}`;
  return (
    <li>
      <TextField
        label={words.ofNext(called)}
        {...(where !== undefined && { hint: words.where(where) })}
        error={wrong}
        value={lock}
        onChange={onLock}
      />
    </li>
  );
}
