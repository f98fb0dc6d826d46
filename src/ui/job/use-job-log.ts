"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import type { JobEvent, JobInputs, Meanwhile } from "@/core/formats";
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
import { outboxOf, type Refused } from "@/device/entries";
import { hearLog } from "@/device/jobs";
import { deviceStore } from "@/device/store";
import type { Standing } from "@/device/sync";
import { tellKept } from "@/device/tell-kept";
import { clockAhead } from "@/edge/clock";
import { entryWords, refusalWords, type Speaker, stripMessage } from "@/words";
import { newId } from "../new-id";
import { NEWS } from "../use-news";
import { useStanding } from "../use-standing";
import type { Crew } from "./crew";
import { useOnDevice } from "./use-on-device";

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

export interface JobLog {
  readonly job: Run;
  readonly saving: Saving;
  /** Whether all that is shown lies on the disk, or on the server: before, the page must not be left. */
  readonly onDisk: boolean;
  /** Whether the server has the entry that closes the job. */
  readonly closedThere: boolean;
  /** What the last entry changed in the plan. */
  readonly change: PlanChange | undefined;
  /** Why the last entry was not taken. */
  readonly refusal: string | undefined;
  /** It was about what stood in the field: as soon as that is typed over, it is about nothing. */
  readonly forgetRefusal: () => void;
  readonly add: (event: Draft, more?: AddedWith) => boolean;
  readonly undo: () => void;
  /** What had become otherwise on the server when a job begun on this device was handed in. */
  readonly meanwhile: readonly Meanwhile[] | undefined;
  /** Entries made on this device that the server did not take: somebody else went on meanwhile. */
  readonly refused: readonly Refused[];
  /** Writes them into the log as notes, so that what was read stands there all the same. */
  readonly noteRefused: () => void;
  /** Lets them go; the way back puts them there again. */
  readonly letGo: () => () => void;
}

/** Where the entries are, by how the last round of sending ended. */
function savingOf(waiting: number | undefined, standing: Standing): Saving {
  if (waiting === 0) return { kind: "saved" };
  switch (standing.kind) {
    case "no-signal":
      return { kind: "waiting-for-signal" };
    case "cannot-store":
    case "nobody":
      return { kind: "not-stored", why: standing.why };
    case "all-there":
    case "sending":
      return { kind: "sending" };
  }
}

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
  const [change, setChange] = useState<PlanChange>();
  const [refusal, setRefusal] = useState<string>();
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

  const { waiting, onDisk, closedThere, refused, hold, letHold, meanwhile } = useOnDevice({
    job,
    stored,
    crew,
    latest,
    replaceLog,
  });
  const saving = savingOf(waiting, useStanding());

  // What other jobs shut or opened meanwhile stands in the log on the server.
  useEffect(() => {
    const look = () => void hearLog(deviceStore(), inputs.id, Date.now());
    addEventListener(NEWS, look);
    return () => removeEventListener(NEWS, look);
  }, [inputs.id]);

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
      // Shown at once, and said to be kept when it is on the disk; what the device cannot keep is taken off again.
      setChange(planChange(before, taken.value));
      hold(event);
      stand(taken.value);
      outboxOf(deviceStore(), inputs.id)
        .keep(event)
        .then(tellKept, () => {
          letHold(event.id);
          replaceLog(latest.current.log.filter(({ id }) => id !== event.id));
          setRefusal(words.say.card.notKept);
        });
      return true;
    },
    [inputs.id, who, words, crew, hold, letHold, stand, replaceLog],
  );

  const undo = useCallback(() => {
    const last = newestOwn(job.progress);
    if (last === undefined) setRefusal(words.say.refusals.nothingToUndo);
    else add({ kind: "undone", event: last.id });
  }, [job, words, add]);

  const box = () => outboxOf(deviceStore(), inputs.id);
  const noteRefused = () => {
    const noted: string[] = [];
    for (const { event, why } of refused) {
      const { what, entry } = entryWords(words, entryAt(latest.current, event), inputs.sheet);
      const text = words.say.card.refused.note(why, what, entry);
      if (!add({ kind: "note-added", text: text.slice(0, MOST_LETTERS) })) break;
      noted.push(event.id);
    }
    void box().letGo(noted);
  };
  const letGo = () => {
    const had = refused;
    void box().letGo(had.map((each) => each.event.id));
    return () => {
      for (const each of had) void box().refuse(each);
    };
  };

  const forgetRefusal = useCallback(() => setRefusal(undefined), []);

  return {
    job,
    saving,
    onDisk,
    closedThere,
    meanwhile,
    change,
    refusal,
    forgetRefusal,
    add,
    undo,
    refused,
    noteRefused,
    letGo,
  };
}
