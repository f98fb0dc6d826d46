"use client";

import { useLiveQuery } from "dexie-react-hooks";
import { type RefObject, useCallback, useEffect, useMemo, useRef } from "react";
import type { JobEvent, Meanwhile } from "@/core/formats";
import type { Run } from "@/core/job";
import { outboxOf, type Refused } from "@/device/entries";
import { hearLog, keepJob } from "@/device/jobs";
import type { KeptLog } from "@/device/kept";
import { deviceStore } from "@/device/store";
import type { Crew } from "./crew";

interface OnDevice {
  /** How many entries the server does not have; nothing until the device has said it. */
  readonly waiting: number | undefined;
  /** Whether all that is shown lies on the disk, or on the server. */
  readonly onDisk: boolean;
  /** Whether the server has the entry that closes the job: what waits here beside it comes back taken or refused. */
  readonly closedThere: boolean;
  /** Entries made on this device that the server did not take. */
  readonly refused: readonly Refused[];
  /** An entry is about to be kept: until it is, it stands in the log all the same. */
  readonly hold: (event: JobEvent) => void;
  readonly letHold: (id: string) => void;
  /** What had become otherwise on the server when a job begun here was handed in. */
  readonly meanwhile: readonly Meanwhile[] | undefined;
}

const NONE: readonly Refused[] = [];

/** A job as this device keeps it: what the server has of its log, and what waits here, in every open page the same. */
export function useOnDevice({
  job,
  stored,
  crew,
  latest,
  replaceLog,
}: {
  job: Run;
  stored: readonly JobEvent[];
  crew: Crew;
  latest: RefObject<Run>;
  replaceLog: (events: readonly JobEvent[]) => void;
}): OnDevice {
  const { inputs, log } = job;
  const held = useRef<readonly JobEvent[]>([]);
  const waited = useRef<readonly JobEvent[]>([]);
  // The page is there without signal from now on.
  useEffect(() => {
    void keepJob(deviceStore(), { id: inputs.id, inputs, stored, crew, heard: Date.now() });
  }, [inputs, stored, crew]);

  const here = useLiveQuery(() => {
    const store = deviceStore();
    const box = outboxOf(store, inputs.id);
    // At one moment: an entry that is sent goes from the one to the other.
    return store.transaction("r", store.logs, store.entries, async () => ({
      known: await store.logs.get(inputs.id),
      waiting: await box.waiting(),
      refused: await box.refused(),
    }));
  }, [inputs.id]);

  useEffect(() => {
    if (here === undefined) return;
    const { known, waiting, refused } = here;
    // The server had opened it before its answer was lost: it goes by what stands there.
    if (known !== undefined && known.openedAt !== inputs.openedAt) location.reload();
    const there = onServer(known, stored);
    const aside = new Set(refused.map(({ event }) => event.id));
    const kept = new Set([...there, ...waiting].map(({ id }) => id));
    held.current = [...held.current, ...waited.current].filter(({ id }) => !kept.has(id) && !aside.has(id));
    // Sent before this page had told what it knows of the job: the server says where it stands.
    if (waited.current.some(({ id }) => !kept.has(id) && !aside.has(id)))
      void hearLog(deviceStore(), inputs.id, Date.now());
    waited.current = waiting;
    const whole = distinct([...there, ...waiting, ...held.current]);
    if (!sameLog(whole, latest.current.log)) replaceLog(whole);
  }, [here, inputs.id, inputs.openedAt, stored, latest, replaceLog]);

  // By what is shown: an entry made since the device was asked last is not on the server either.
  const waiting = useMemo(() => {
    if (here === undefined) return undefined;
    const there = new Set(onServer(here.known, stored).map(({ id }) => id));
    return log.filter(({ id }) => !there.has(id)).length;
  }, [here, stored, log]);

  const onDisk = useMemo(() => {
    if (here === undefined) return false;
    const kept = new Set([...onServer(here.known, stored), ...here.waiting].map(({ id }) => id));
    return log.every(({ id }) => kept.has(id));
  }, [here, stored, log]);

  return {
    waiting,
    onDisk,
    closedThere: onServer(here?.known, stored).some(
      ({ kind }) => kind === "signed-off" || kind === "given-up",
    ),
    refused: here?.refused ?? NONE,
    meanwhile: here?.known?.meanwhile,
    hold: useCallback((event: JobEvent) => {
      held.current = [...held.current, event];
    }, []),
    letHold: useCallback((id: string) => {
      held.current = held.current.filter((event) => event.id !== id);
    }, []),
  };
}

/** What the server has of it: a page may know less than the device has heard since. */
const onServer = (known: KeptLog | undefined, stored: readonly JobEvent[]): readonly JobEvent[] =>
  known !== undefined && known.stored.length >= stored.length ? known.stored : stored;

/** Each once, as it stands first: what the server has goes before what is kept here. */
function distinct(log: readonly JobEvent[]): JobEvent[] {
  const seen = new Set<string>();
  return log.filter(({ id }) => !seen.has(id) && seen.add(id));
}

/** An entry made under a wrong clock comes back put right, one beside another device's settled: then it is another one. */
const sameLog = (one: readonly JobEvent[], other: readonly JobEvent[]): boolean =>
  one.length === other.length && one.every((event, index) => sameEntry(event, other[index]!));

const sameEntry = (one: JobEvent, other: JobEvent): boolean =>
  one.id === other.id && one.at === other.at && one.elsewhere?.settled === other.elsewhere?.settled;
