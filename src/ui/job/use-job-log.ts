"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { Certificates, JobEvent, JobInputs } from "@/core/formats";
import {
  accept,
  type JudgedBy,
  newestOwn,
  type PlanChange,
  planChange,
  type Run,
  run,
  type Step,
} from "@/core/job";
import { call } from "@/edge/client";
import { clockAhead } from "@/edge/clock";
import { GET_JOB } from "@/edge/contracts/jobs";
import { entryWords, refusalWords, type Speaker, stripMessage } from "@/words";
import { newId } from "../new-id";
import { NEWS } from "../use-news";
import { Outbox, type Refused, sendEntries } from "./outbox";

/** How the newest entries stand: on the server, or kept on this device until it answers. */
export type Saving =
  | { readonly kind: "saved" }
  | { readonly kind: "sending" }
  | { readonly kind: "waiting-for-signal" }
  /** The server answers, but not to store: that is no matter of signal. */
  | { readonly kind: "not-stored"; readonly why: string };

type Draft = {
  [K in JobEvent["kind"]]: Omit<Extract<JobEvent, { kind: K }>, "v" | "id" | "at" | "by">;
}[JobEvent["kind"]];

interface AddedWith {
  /** Who answers for it, where that is asked anew; else the one who holds the device. */
  readonly by?: string;
  /** Works a kept result out again. */
  readonly workAgain?: JudgedBy["workAgain"];
}

/** What each of the crew may do alone, by name. */
export type Crew = ReadonlyMap<string, Certificates>;

export interface JobLog {
  readonly job: Run;
  readonly saving: Saving;
  /** What the last entry changed in the plan. */
  readonly change: PlanChange | undefined;
  /** Why the last entry was not taken. */
  readonly refusal: string | undefined;
  /** It was about what stood in the field: as soon as that is typed over, it is about nothing. */
  readonly forgetRefusal: () => void;
  readonly add: (event: Draft, more?: AddedWith) => boolean;
  readonly undo: () => void;
  /** Entries made on this device that the server did not take: somebody else went on meanwhile. */
  readonly refused: readonly Refused[];
  /** Writes them into the log as notes, so that what was read stands there all the same. */
  readonly noteRefused: () => void;
  /** Lets them go; the way back puts them there again. */
  readonly letGo: () => () => void;
}

const RETRY_MS = 3000;
const SAVED: Saving = { kind: "saved" };

function standing(inputs: JobInputs, events: readonly JobEvent[], words: Speaker): Run {
  const made = run(inputs, events);
  if (!made.ok) throw new Error(stripMessage(words, made.error, inputs.sheet));
  return made.value;
}

/** An event with the step it was made at, as the plan has it now. */
export const entryAt = ({ plan }: Run, event: JobEvent): { event: JobEvent; step?: Step } => {
  const step = "step" in event ? plan.steps.find((each) => each.id === event.step) : undefined;
  return { event, ...(step !== undefined && { step }) };
};

/** Of a note. */
const MOST_LETTERS = 400;

/**
 * The log of a job in the browser: an entry is judged by the same rules as on the server, kept on the device, shown at
 * once, and sent until the server has it.
 */
export function useJobLog(
  inputs: JobInputs,
  stored: readonly JobEvent[],
  who: string,
  words: Speaker,
  crew: Crew,
): JobLog {
  const [job, setJob] = useState<Run>(() => standing(inputs, stored, words));
  const [waiting, setWaiting] = useState<readonly JobEvent[]>([]);
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const [saving, setSaving] = useState<Saving>(SAVED);
  const [change, setChange] = useState<PlanChange>();
  const [refusal, setRefusal] = useState<string>();
  const sending = useRef(false);
  // Two taps may come before the next paint: each is judged by what the one before made.
  const latest = useRef(job);
  const stand = useCallback((made: Run) => {
    latest.current = made;
    setJob(made);
  }, []);
  const replaceLog = useCallback(
    (events: readonly JobEvent[]) => stand(standing(inputs, events, words)),
    [inputs, words, stand],
  );

  // Entries that were made without signal, before this page was closed.
  useEffect(() => {
    const box = new Outbox(inputs.id);
    setRefused(box.refused());
    const known = new Set(stored.map((each) => each.id));
    const left = box.waiting();
    box.drop(left.filter((event) => known.has(event.id)).map((event) => event.id));
    const waiting = left.filter((event) => !known.has(event.id));
    if (waiting.length === 0) return;
    replaceLog([...stored, ...waiting]);
    setWaiting(waiting);
  }, [inputs.id, stored, replaceLog]);

  const send = useCallback(async () => {
    if (sending.current || waiting.length === 0) return;
    sending.current = true;
    setSaving((was) => (was.kind === "saved" ? { kind: "sending" } : was));
    const sent = await sendEntries(inputs.id, waiting, words.say.card.notStored.refused);
    sending.current = false;
    const box = new Outbox(inputs.id);
    switch (sent.kind) {
      case "no-signal":
        return setSaving({ kind: "waiting-for-signal" });
      case "cannot-store":
      case "nobody":
        return setSaving({ kind: "not-stored", why: sent.why });
      case "stored": {
        const there = new Map(sent.events.map((event) => [event.id, event]));
        box.drop(there.keys());
        setWaiting((now) => now.filter((event) => !there.has(event.id)));
        if (sent.events.some((event) => event.off_s !== undefined))
          replaceLog(latest.current.log.map((event) => there.get(event.id) ?? event));
        return setSaving(SAVED);
      }
      case "refused": {
        // The server's log is the truth: somebody else went on meanwhile. What it did not take is put aside, not lost;
        // what came after is judged on its own.
        box.refuse(sent);
        setRefused(box.refused());
        const gone = sent.event.id;
        const fresh = await call(GET_JOB, { params: { id: inputs.id } });
        const there = fresh.ok ? fresh.value.events.map((each) => each.event) : undefined;
        const known = new Set(there?.map((event) => event.id));
        replaceLog(
          there === undefined
            ? latest.current.log.filter((event) => event.id !== gone)
            : [...there, ...box.waiting().filter((event) => !known.has(event.id))],
        );
        setWaiting((now) => now.filter((event) => event.id !== gone));
        return setSaving(SAVED);
      }
    }
  }, [waiting, inputs.id, replaceLog, words]);

  useEffect(() => {
    if (waiting.length === 0) return;
    void send();
    const timer = setInterval(() => void send(), RETRY_MS);
    addEventListener("online", send);
    return () => {
      clearInterval(timer);
      removeEventListener("online", send);
    };
  }, [waiting, send]);

  const lookAgain = useCallback(async () => {
    const fresh = await call(GET_JOB, { params: { id: inputs.id } });
    if (!fresh.ok) return;
    const there = fresh.value.events.map((each) => each.event);
    const ours = new Set(latest.current.log.map((event) => event.id));
    if (there.every((event) => ours.has(event.id))) return;
    const known = new Set(there.map((event) => event.id));
    const unsent = new Outbox(inputs.id).waiting().filter((event) => !known.has(event.id));
    for (const event of unsent) known.add(event.id);
    // An answer that is older than what was entered meanwhile: the next one knows more.
    if (latest.current.log.some((event) => !known.has(event.id))) return;
    replaceLog([...there, ...unsent]);
  }, [inputs.id, replaceLog]);

  // What other jobs shut or opened meanwhile stands in the log on the server.
  useEffect(() => {
    const look = () => void lookAgain();
    addEventListener(NEWS, look);
    return () => removeEventListener(NEWS, look);
  }, [lookAgain]);

  const add = useCallback(
    (draft: Draft, { by = who, workAgain }: AddedWith = {}): boolean => {
      if (by === "") {
        setRefusal(words.say.card.who.missing);
        return false;
      }
      // By the server's clock: a wrong one of this device is put right by what was measured, and that is marked.
      const ahead = clockAhead();
      const now = Date.now() - ahead;
      const event = {
        v: 1,
        id: newId(),
        at: new Date(now).toISOString(),
        by,
        ...(ahead !== 0 && { off_s: Math.round(ahead / 1000) }),
        ...draft,
      } as JobEvent;
      const before = latest.current;
      const taken = accept(before, event, {
        now,
        mayOf: (name) => crew.get(name),
        ...(workAgain !== undefined && { workAgain }),
      });
      if (!taken.ok) {
        setRefusal(refusalWords(words, taken.error, before));
        return false;
      }
      setRefusal(undefined);
      setChange(planChange(before, taken.value));
      new Outbox(inputs.id).keep(event);
      stand(taken.value);
      setWaiting((now) => [...now, event]);
      return true;
    },
    [inputs.id, who, words, crew, stand],
  );

  const undo = useCallback(() => {
    const last = newestOwn(job.progress);
    if (last === undefined) setRefusal(words.say.refusals.nothingToUndo);
    else add({ kind: "undone", event: last.id });
  }, [job, words, add]);

  const noteRefused = () => {
    const box = new Outbox(inputs.id);
    for (const { event, why } of refused) {
      const { what, entry } = entryWords(words, entryAt(job, event), inputs.sheet);
      const text = words.say.card.refused.note(why, what, entry);
      if (!add({ kind: "note-added", text: text.slice(0, MOST_LETTERS) })) break;
      box.letGo([event.id]);
    }
    setRefused(box.refused());
  };
  const letGo = () => {
    const box = new Outbox(inputs.id);
    const had = refused;
    box.letGo(had.map((each) => each.event.id));
    setRefused([]);
    return () => {
      for (const each of had) box.refuse(each);
      setRefused(box.refused());
    };
  };

  const forgetRefusal = useCallback(() => setRefusal(undefined), []);

  return { job, saving, change, refusal, forgetRefusal, add, undo, refused, noteRefused, letGo };
}
