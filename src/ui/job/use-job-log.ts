"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { JobEvent, JobInputs, SealedEvent } from "@/core/formats";
import { accept, entryWords, type PlanChange, planChange, type Run, run } from "@/core/job";
import type { UnitSystem } from "@/core/quantity";
import { Outbox, type Refused, sendEntries } from "./outbox";

/** How the newest entries stand: on the server, or kept on this device until it answers. */
export type Saving = "saved" | "sending" | "waiting-for-signal";

type Draft = {
  [K in JobEvent["kind"]]: Omit<Extract<JobEvent, { kind: K }>, "v" | "id" | "at" | "by">;
}[JobEvent["kind"]];

export interface JobLog {
  readonly job: Run;
  readonly saving: Saving;
  /** What the last entry changed in the plan. */
  readonly change: PlanChange | undefined;
  /** Why the last entry was not taken. */
  readonly refusal: string | undefined;
  /** It was about what stood in the field: as soon as that is typed over, it is about nothing. */
  readonly forgetRefusal: () => void;
  readonly add: (event: Draft) => boolean;
  readonly undo: () => void;
  /** Entries made on this device that the server did not take: somebody else went on meanwhile. */
  readonly refused: readonly Refused[];
  /** Writes them into the log as notes, so that what was read stands there all the same. */
  readonly noteRefused: () => void;
  /** Lets them go; the way back puts them there again. */
  readonly letGo: () => () => void;
}

const RETRY_MS = 3000;
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
  system: UnitSystem,
): JobLog {
  const [events, setEvents] = useState<readonly JobEvent[]>(stored);
  const [waiting, setWaiting] = useState<readonly JobEvent[]>([]);
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const [saving, setSaving] = useState<Saving>("saved");
  const [change, setChange] = useState<PlanChange>();
  const [refusal, setRefusal] = useState<string>();
  const sending = useRef(false);
  // Two taps may come before the next paint: each is judged by what the one before made.
  const latest = useRef(events);
  useEffect(() => {
    latest.current = events;
  }, [events]);

  const job = useMemo(() => {
    const made = run(inputs, events, system);
    if (!made.ok) throw new Error(made.error);
    return made.value;
  }, [inputs, events, system]);

  // Entries that were made without signal, before this page was closed.
  useEffect(() => {
    const box = new Outbox(inputs.id);
    setRefused(box.refused());
    const known = new Set(stored.map((each) => each.id));
    const left = box.waiting();
    box.drop(left.filter((event) => known.has(event.id)).map((event) => event.id));
    const waiting = left.filter((event) => !known.has(event.id));
    if (waiting.length === 0) return;
    setEvents([...stored, ...waiting]);
    setWaiting(waiting);
  }, [inputs.id, stored]);

  const send = useCallback(async () => {
    if (sending.current || waiting.length === 0) return;
    sending.current = true;
    setSaving((was) => (was === "waiting-for-signal" ? was : "sending"));
    const sent = await sendEntries(inputs.id, waiting);
    sending.current = false;
    const box = new Outbox(inputs.id);
    if (sent.kind === "no-signal") return setSaving("waiting-for-signal");
    if (sent.kind === "stored") {
      const ids = new Set(sent.ids);
      box.drop(ids);
      setWaiting((now) => now.filter((event) => !ids.has(event.id)));
      return setSaving("saved");
    }
    // The server's log is the truth: somebody else went on meanwhile. What it did not take is put aside, not lost; what
    // came after is judged on its own.
    box.refuse(sent);
    setRefused(box.refused());
    const gone = sent.event.id;
    const fresh = await fetch(`/api/v1/jobs/${inputs.id}`).then(
      (each) => each.json() as Promise<{ events?: SealedEvent[] }>,
      () => undefined,
    );
    setEvents((now) => {
      const there = fresh?.events?.map((each) => each.event) ?? [];
      const known = new Set(there.map((event) => event.id));
      const mine = box.waiting().filter((event) => !known.has(event.id));
      return fresh?.events === undefined ? now.filter((event) => event.id !== gone) : [...there, ...mine];
    });
    setWaiting((now) => now.filter((event) => event.id !== gone));
    setSaving("saved");
  }, [waiting, inputs.id]);

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

  const add = useCallback(
    (draft: Draft): boolean => {
      const now = Date.now();
      const event = {
        v: 1,
        id: crypto.randomUUID(),
        at: new Date(now).toISOString(),
        by: who,
        ...draft,
      } as JobEvent;
      const taken = accept(inputs, latest.current, event, now);
      if (!taken.ok) {
        setRefusal(taken.error.message);
        return false;
      }
      setRefusal(undefined);
      setChange(planChange(job, taken.value));
      new Outbox(inputs.id).keep(event);
      latest.current = [...latest.current, event];
      setEvents(latest.current);
      setWaiting((now) => [...now, event]);
      return true;
    },
    [inputs, job, who],
  );

  const undo = useCallback(() => {
    const last = job.progress.effective.at(-1);
    if (last === undefined) setRefusal("There is nothing to undo.");
    else add({ kind: "undone", event: last.id });
  }, [job, add]);

  const noteRefused = () => {
    const box = new Outbox(inputs.id);
    for (const { event, why } of refused) {
      const { what, entry } = entryWords(job, event);
      const text = `Not taken (${why}) ${what}${entry === "" ? "" : `: ${entry}`}`;
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
