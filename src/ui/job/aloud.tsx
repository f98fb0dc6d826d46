"use client";

import { Check, RotateCcw, SkipForward, Volume2, VolumeX } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { heldAct, type Run } from "@/core/job";
import { aloudEnd, aloudWords, stepWords, tightenTitle } from "@/words";
import { typing } from "../keys";
import { useSpeaker } from "../use-speaker";
import { STEP_FORM } from "./step-form";
import { canSpeak, hush, onHeadset, speak } from "./voice";

/** What is not pressed for its own sake: a tap there says the next sentence. */
const PRESSED_ITSELF = "button, a, input, textarea, select, label, summary, [role=button], [data-pans]";

/** The card read out by the browser's voice, with hands that hold something else. */
export function useAloud(job: Run) {
  const words = useSpeaker();
  const [on, setOn] = useState(false);
  const [at, setAt] = useState(0);
  const { current } = job;
  const sentences = useMemo(() => {
    if (!on) return [];
    if (current === undefined || job.status.kind === "stopped") return [aloudEnd(words, job)];
    const title =
      current.kind === "tighten" ? tightenTitle(words, job, current) : stepWords(words, current).title;
    return aloudWords(words, current, title);
  }, [on, words, job, current]);
  const card = sentences.join(" ");
  const said = useRef({ sentences, current });
  said.current = { sentences, current };

  // A new card is read from its beginning.
  // biome-ignore lint/correctness/useExhaustiveDependencies: by what it says
  useEffect(() => setAt(0), [card]);
  useEffect(() => {
    if (!on) return;
    const sentence = sentences[at];
    if (sentence !== undefined) speak(sentence, () => setAt((now) => now + 1));
    else hush();
  }, [on, at, sentences]);
  useEffect(() => {
    if (on) return () => hush();
  }, [on]);

  const again = useCallback(() => setAt((now) => (now === 0 ? now : 0)), []);
  const next = useCallback(() => setAt((now) => (now >= said.current.sentences.length ? 0 : now + 1)), []);
  const done = useCallback(() => {
    const { current: step } = said.current;
    // What is let loose is held down with a finger, by somebody who looks at it.
    if (step !== undefined && heldAct(step)) speak(words.say.card.held.hint, () => {});
    else (document.getElementById(STEP_FORM) as HTMLFormElement | null)?.requestSubmit();
  }, [words]);

  useEffect(() => {
    if (!on) return;
    const headset = onHeadset({ again, next, done });
    const tap = ({ target }: MouseEvent) => {
      if (target instanceof Element && target.closest("main") !== null && !target.closest(PRESSED_ITSELF))
        next();
    };
    const key = (event: KeyboardEvent) => {
      if (typing(event) || event.target instanceof HTMLButtonElement) return;
      if (event.key === " " || event.key === "ArrowDown" || event.key === "ArrowRight") next();
      else if (event.key === "ArrowLeft" || event.key === "ArrowUp") again();
      else return;
      event.preventDefault();
    };
    document.addEventListener("click", tap);
    addEventListener("keydown", key);
    return () => {
      headset();
      document.removeEventListener("click", tap);
      removeEventListener("keydown", key);
    };
  }, [on, again, next, done]);

  return {
    on,
    turn: useCallback(() => setOn((now) => canSpeak() && !now), []),
    sentence: sentences[at],
    again,
    next,
    done,
  };
}

/** Turns reading aloud on and off. */
export function AloudSwitch({ aloud }: { aloud: ReturnType<typeof useAloud> }) {
  const words = useSpeaker().say.card.aloud;
  const [can, setCan] = useState(false);
  useEffect(() => setCan(canSpeak()), []);
  if (!can) return null;
  const Icon = aloud.on ? VolumeX : Volume2;
  return (
    <button
      type="button"
      aria-pressed={aloud.on}
      aria-label={words.read}
      title={words.readByKey}
      onClick={aloud.turn}
      className="grid size-12 shrink-0 place-items-center rounded-full border-[1.5px] border-rule bg-card aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
    >
      <Icon size={22} aria-hidden="true" />
    </button>
  );
}

/** What is being said, and what the headset does, as buttons. */
export function AloudBar({ aloud }: { aloud: ReturnType<typeof useAloud> }) {
  const words = useSpeaker().say.card.aloud;
  if (!aloud.on) return null;
  return (
    <section aria-label={words.read} className="card mb-2 flex flex-wrap items-center gap-2 px-3 py-2">
      <p className="min-w-0 flex-1 basis-40 text-note text-soft">{aloud.sentence ?? words.over}</p>
      <span className="flex gap-2">
        <button type="button" className="btn btn-quiet px-3" onClick={aloud.again}>
          <RotateCcw size={18} aria-hidden="true" /> {words.again}
        </button>
        <button type="button" className="btn btn-quiet px-3" onClick={aloud.next}>
          <SkipForward size={18} aria-hidden="true" /> {words.next}
        </button>
        <button type="button" className="btn btn-quiet px-3" onClick={aloud.done}>
          <Check size={18} aria-hidden="true" /> {words.done}
        </button>
      </span>
    </section>
  );
}
