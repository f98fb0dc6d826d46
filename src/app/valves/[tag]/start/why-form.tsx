"use client";

import clsx from "clsx";
import { useEffect, useRef } from "react";
import type { Topic, Valve } from "@/core/formats";
import { formatDuration } from "@/core/quantity";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { useSpeaker } from "@/ui/use-speaker";
import { stripMessage } from "@/words";
import { HowDeep } from "./how-deep";
import { HowWorked } from "./how-worked";
import type { Start } from "./use-start";
import { WhichOne } from "./which-one";

const POLICIES = [
  ["on-condition", "On condition", "Renew what fails its check, and what the strip spoils."],
  ["what-was-disturbed", "What was disturbed", "Every soft part that was moved is renewed, as a set."],
  ["everything-open", "Everything open", "All that stock has for what comes off is renewed."],
] as const;

const nameOf = (policy: (typeof POLICIES)[number][0]) =>
  POLICIES.find(([id]) => id === policy)![1].toLowerCase();

/** Why the job is done, what it reaches, how far it renews, and its beginning. */
export function WhyForm({ start, valve }: { start: Start; valve: Valve }) {
  const words = useSpeaker();
  const { problems, refusal, plan, sending, by, harmful } = start;
  const form = useRef<HTMLFormElement>(null);
  // On a phone the field may lie far above the button.
  useEffect(() => {
    if (problems.length > 0) form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [problems]);
  return (
    <form
      ref={form}
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void start.start();
      }}
    >
      <Why start={start} />
      <HowDeep deep={start.deep} sheet={start.sheet} />
      <WhichOne start={start} valve={valve} />
      <PartsToReach start={start} />
      <WhereItIs start={start} />
      <HowFar start={start} />
      <HowWorked schools={start.schools} sheet={start.sheet} refused={refusedWay(start)} />
      {problems
        .filter((each) => !each.path.startsWith("/reason") && !isWhyOfWay(each.path))
        .map((each) => (
          <Notice key={each.message} tone="stop" live>
            {each.message}
          </Notice>
        ))}
      {refusal !== undefined && <Notice tone="stop">{stripMessage(words, refusal, start.sheet)}</Notice>}
      <button
        type="submit"
        className="btn btn-go min-h-16 text-lead"
        disabled={plan === undefined || sending || by === "" || harmful}
      >
        {sending
          ? "Compiling the job …"
          : plan === undefined
            ? "Choose what to reach"
            : harmful
              ? "Not proven: nobody works by it"
              : by === ""
                ? "Choose who does it"
                : `Start the job, about ${formatDuration(plan.minutes * 60)}`}
      </button>
    </form>
  );
}

const isWhyOfWay = (path: string) => path.startsWith("/schools/") && path.endsWith("/why");

/** What was refused of another way, by its place among those that were asked for. */
const refusedWay =
  ({ problems, schools }: Start) =>
  (topic: Topic) =>
    problems.find(
      ({ path }) => path === `/schools/${schools.asked.findIndex((each) => each.topic === topic)}/why`,
    )?.message;

function Why({ start: { sheet, reason, setReason, setReach, problems } }: { start: Start }) {
  const refused = problems.find((each) => each.path.startsWith("/reason"))?.message;
  return (
    <fieldset className="card p-4">
      <legend className="caption float-left mb-2">Why</legend>
      <div className="clear-both flex flex-col gap-2">
        {sheet.symptoms.map((symptom) => (
          <button
            key={symptom.id}
            type="button"
            aria-pressed={reason.symptom === symptom.id}
            onClick={() => {
              setReason({
                kind: symptom.interval === undefined ? "symptom" : "due",
                says: symptom.says,
                symptom: symptom.id,
              });
              setReach(symptom.reach);
            }}
            className={clsx(
              "btn justify-start text-left",
              reason.symptom === symptom.id ? "border-2 border-ink bg-ink text-paper" : "btn-quiet",
            )}
          >
            {symptom.says}
          </button>
        ))}
        <TextField
          label="In your words"
          value={reason.says}
          maxLength={400}
          error={refused}
          onChange={(says) => setReason({ ...reason, says })}
        />
      </div>
    </fieldset>
  );
}

function PartsToReach({ start: { sheet, reach, looks, toggle } }: { start: Start }) {
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;
  return (
    <section className="card p-4">
      <h2 className="caption mb-2">Parts to reach</h2>
      {looks !== undefined ? (
        <p>
          None: it is looked at as it stands. Nothing is shut and nothing comes off, unless what is found asks
          for it. Tap a part on the axis to reach it all the same.
        </p>
      ) : reach.length === 0 ? (
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
  );
}

const PLACES = [
  ["line", "In its line", "Shut off, proven dead, tested there."],
  ["bench", "On the bench", "Taken out before: nothing is shut for it, its line tests it later."],
  ["carried", "Carried", "Comes with a vehicle or a case, and belongs to no line."],
] as const;

const WhereItIs = ({ start: { where, setWhere } }: { start: Start }) => (
  <OneOf title="Where it is" of={PLACES} chosen={where} onChoose={setWhere} />
);

const HowFar = ({ start: { policy, setPolicy, usually } }: { start: Start }) => (
  <OneOf
    title="How far to renew"
    of={POLICIES}
    chosen={policy}
    onChoose={setPolicy}
    {...(usually !== undefined && { note: `Usual here: ${nameOf(usually.usual)}. ${usually.why}` })}
  />
);

/** One of a few, each with what it means. */
function OneOf<Id extends string>({
  title,
  of,
  chosen,
  onChoose,
  note,
}: {
  title: string;
  note?: string;
  of: readonly (readonly [id: Id, name: string, says: string])[];
  chosen: Id;
  onChoose: (id: Id) => void;
}) {
  return (
    <fieldset className="card p-4">
      <legend className="caption float-left mb-2">{title}</legend>
      {note !== undefined && <p className="clear-both text-note text-soft">{note}</p>}
      <div className="clear-both flex flex-col gap-1">
        {of.map(([id, name, says]) => (
          <label key={id} className="flex min-h-12 cursor-pointer items-center gap-3">
            <input
              type="radio"
              name={title}
              className="size-5 shrink-0 accent-[var(--go)]"
              checked={chosen === id}
              onChange={() => onChoose(id)}
            />
            <span>
              <b>{name}.</b> <span className="text-soft">{says}</span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
