"use client";

import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import type { Moved, MyDay } from "@/core/due-work";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { MY_DAY, REPORT_WORK } from "@/edge/contracts/house-rounds";
import { useUndoEdit } from "@/ui/own/use-undo-edit";

export type MyDayState =
  | { readonly kind: "looking" }
  | { readonly kind: "day"; readonly day: MyDay }
  | { readonly kind: "none"; readonly problems: readonly Problem[] };

/** What one says of a piece of his day. */
export type Said =
  | { readonly kind: "runs-over"; readonly task: string; readonly min: number }
  | {
      readonly kind: "no-way-in";
      readonly task: string;
      readonly until: string;
      readonly why?: string;
    };

export interface OwnDay {
  readonly state: MyDayState;
  readonly busy: boolean;
  /** What the last that was said moved. */
  readonly moved: readonly Moved[] | undefined;
  readonly problems: readonly Problem[];
  readonly say: (said: Said) => Promise<void>;
  readonly undo: (() => void) | undefined;
}

/** The day of one of the crew; what he says of it is kept at once, plans the rest again, and can be undone. */
export function useMyDay(person: string): OwnDay {
  const [state, setState] = useState<MyDayState>({ kind: "looking" });
  const [busy, setBusy] = useState(false);
  const [moved, setMoved] = useState<readonly Moved[]>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [last, setLast] = useState<string>();
  const { undo } = useUndoEdit();
  const ask = useCallback(
    async (signal?: AbortSignal) => {
      const found = await call(MY_DAY, { query: { person }, ...(signal && { signal }) });
      if (signal?.aborted) return;
      setState(
        found.ok ? { kind: "day", day: found.value } : { kind: "none", problems: found.error.problems },
      );
    },
    [person],
  );
  useEffect(() => {
    if (person === "") return;
    const asked = new AbortController();
    void ask(asked.signal);
    return () => asked.abort();
  }, [ask, person]);
  const takeBack = async (edit: string) => {
    setBusy(true);
    setProblems(await undo(edit));
    setLast(undefined);
    setMoved(undefined);
    await ask();
    setBusy(false);
  };
  return {
    state,
    busy,
    moved,
    problems,
    undo: last === undefined ? undefined : () => void takeBack(last),
    async say(said) {
      setBusy(true);
      const done = await call(REPORT_WORK, { body: said });
      setProblems(done.ok ? [] : done.error.problems);
      if (done.ok) {
        const { edit, moved: elsewhere } = done.value;
        setMoved(elsewhere);
        setLast(edit);
        toast(elsewhere.length === 0 ? "The rest of the day stays as it is." : "The rest is planned again.");
        await ask();
      }
      setBusy(false);
    },
  };
}
