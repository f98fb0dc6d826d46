"use client";

import type { Look } from "@/core/formats";
import { triedAs, UNKNOWN } from "@/core/formats";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { answerWords, takenWithWords } from "@/words";
import type { TroubleInHand } from "./use-trouble";

const TELLING = [
  { id: "hard", label: "The water is hard" },
  { id: "dirty", label: "It carries dirt" },
] as const;

/** What was found so far: each of it can be changed. And what only somebody there can tell. */
export function KnownPane({
  trouble,
  unknown,
  onChange,
}: {
  trouble: TroubleInHand;
  unknown: string;
  onChange: (look: string) => void;
}) {
  const words = useSpeaker();
  const { inHand, knowledge } = trouble;
  const answers = inHand?.answers ?? [];
  const water = inHand?.told.water ?? [];
  // What changes no odds of this complaint is not asked.
  const telling = TELLING.filter(({ id }) =>
    knowledge.causes.some(
      ({ weights, likelier = [] }) =>
        weights[inHand?.complaint ?? ""] !== undefined &&
        likelier.some(({ when }) => when.kind === "water" && when.is === id),
    ),
  );
  return (
    <Panel title="Known">
      {answers.length === 0 && <p className="text-soft">Nothing was looked at yet.</p>}
      <ul className="dashed">
        {answers.map(({ look: id, answer, typed, with: taken = {} }) => {
          const look = knowledge.looks.find((each) => each.id === id);
          const tried = knowledge.ends.find((end) => triedAs(end.id) === id);
          return (
            <li key={id} className="flex items-start gap-2 py-1.5">
              <span className="min-w-0 flex-1">
                <span className="block leading-tight">
                  {look?.ask ?? (tried?.kind === "do-now" ? tried.do : id)}
                </span>
                <b>{look === undefined ? "It did not help" : said(look, answer, typed, unknown)}</b>
                {Object.entries(taken).map(([name, each]) => (
                  <span key={name} className="block text-note text-soft">
                    {takenWithWords(words, each)}
                  </span>
                ))}
              </span>
              <button
                type="button"
                className="btn btn-quiet min-h-11 px-3 text-note"
                aria-label={look === undefined ? "Take back" : `Change: ${look.ask}`}
                onClick={() => (look === undefined ? trouble.takeBack(id) : onChange(id))}
              >
                {look === undefined ? "Take back" : "Change"}
              </button>
            </li>
          );
        })}
      </ul>
      <fieldset className={telling.length === 0 ? "hidden" : "mt-3 border-rule border-t pt-2"}>
        <legend className="sr-only">What you know besides</legend>
        {telling.map(({ id, label }) => (
          <label key={id} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-[var(--go)]"
              checked={water.includes(id)}
              onChange={(event) =>
                trouble.tell({
                  ...inHand?.told,
                  water: event.target.checked ? [...water, id] : water.filter((each) => each !== id),
                })
              }
            />
            {label}
          </label>
        ))}
      </fieldset>
    </Panel>
  );
}

function said(
  look: Look,
  answer: string | undefined,
  typed: Readonly<Record<string, string>> | undefined,
  unknown: string,
): string {
  const words = answerWords(look, answer ?? UNKNOWN, unknown);
  return typed?.reading === undefined ? words : `${Object.values(typed).join(", ")}: ${words}`;
}
