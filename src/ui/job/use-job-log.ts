"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { JobEvent, JobInputs, SealedEvent } from "@/core/formats";
import { accept, type PlanChange, planChange, type Run, run } from "@/core/job";
import type { UnitSystem } from "@/core/quantity";

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
  readonly add: (event: Draft) => boolean;
  readonly undo: () => void;
}

const RETRY_MS = 3000;

const keep = (job: string) => `loftbell.outbox.${job}`;

function readOutbox(job: string): JobEvent[] {
  try {
    return JSON.parse(localStorage.getItem(keep(job)) ?? "[]") as JobEvent[];
  } catch {
    return [];
  }
}

/**
 * The log of a job in the browser: an entry is judged by the same rules as on the server, shown at once, kept on the
 * device, and sent until the server has it. Sending twice is harmless: the server knows each entry by its id.
 */
export function useJobLog(
  inputs: JobInputs,
  stored: readonly JobEvent[],
  who: string,
  system: UnitSystem,
): JobLog {
  const [events, setEvents] = useState<readonly JobEvent[]>(stored);
  const [outbox, setOutbox] = useState<readonly JobEvent[]>([]);
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
    const left = readOutbox(inputs.id).filter((event) => !stored.some((each) => each.id === event.id));
    if (left.length === 0) return;
    setEvents([...stored, ...left]);
    setOutbox(left);
  }, [inputs.id, stored]);

  const send = useCallback(async () => {
    if (sending.current || outbox.length === 0) return;
    sending.current = true;
    setSaving((was) => (was === "waiting-for-signal" ? was : "sending"));
    const batch = outbox;
    const answer = await fetch(`/api/v1/jobs/${inputs.id}/events`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events: batch }),
    }).catch(() => undefined);
    sending.current = false;
    if (answer === undefined || answer.status >= 500) {
      setSaving("waiting-for-signal");
      return;
    }
    const body = (await answer.json().catch(() => ({}))) as {
      events?: SealedEvent[];
      errors?: { message: string }[];
    };
    if (answer.ok && body.events !== undefined) {
      const sent = new Set(batch.map((event) => event.id));
      setOutbox((now) => now.filter((event) => !sent.has(event.id)));
      setSaving("saved");
      return;
    }
    // The server's log is the truth: somebody else went on meanwhile. What is refused is said, not hidden.
    setRefusal(`Not stored: ${body.errors?.[0]?.message ?? "the server refused it"}`);
    setOutbox([]);
    localStorage.removeItem(keep(inputs.id));
    const fresh = await fetch(`/api/v1/jobs/${inputs.id}`).then(
      (each) => each.json() as Promise<{ events: SealedEvent[] }>,
      () => undefined,
    );
    if (fresh !== undefined) setEvents(fresh.events.map((each) => each.event));
    setSaving("saved");
  }, [outbox, inputs.id]);

  useEffect(() => {
    if (outbox.length === 0) {
      localStorage.removeItem(keep(inputs.id));
      return;
    }
    localStorage.setItem(keep(inputs.id), JSON.stringify(outbox));
    void send();
    const timer = setInterval(() => void send(), RETRY_MS);
    addEventListener("online", send);
    return () => {
      clearInterval(timer);
      removeEventListener("online", send);
    };
  }, [outbox, send, inputs.id]);

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
      latest.current = [...latest.current, event];
      setEvents(latest.current);
      setOutbox((waiting) => [...waiting, event]);
      return true;
    },
    [inputs, job, who],
  );

  const undo = useCallback(() => {
    const last = job.progress.effective.at(-1);
    if (last === undefined) setRefusal("There is nothing to undo.");
    else add({ kind: "undone", event: last.id });
  }, [job, add]);

  return { job, saving, change, refusal, add, undo };
}
