"use client";

import { useState } from "react";
import { toast } from "sonner";
import type { Moved } from "@/core/due-work";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { MOVE_WORK, PLAN_AGAIN, PUBLISH_WEEK } from "@/edge/contracts/house-rounds";
import { useUndoEdit } from "@/ui/own/use-undo-edit";
import type { Target } from "./week-moves";

interface Done {
  readonly edit?: string;
}

/** What can be done with the plan: each is kept at once, told, and can be undone. */
export interface Plan {
  /** What is being done. */
  readonly busy: "move" | "publish" | "again" | undefined;
  readonly problems: readonly Problem[];
  /** What planning again moved last. */
  readonly moved: readonly Moved[] | undefined;
  readonly move: (tag: string, to: Pick<Target, "crew" | "from"> | "out" | "loose") => void;
  readonly publish: (week: string, says: string) => void;
  readonly again: () => void;
  /** The last that was done, as long as it can be undone. */
  readonly last: string | undefined;
  readonly undo: () => void;
}

export function usePlan(reload: () => Promise<void>): Plan {
  const [busy, setBusy] = useState<Plan["busy"]>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [moved, setMoved] = useState<readonly Moved[]>();
  const [last, setLast] = useState<string>();
  const { undo } = useUndoEdit();
  const takeBack = async (edit: string) => {
    setProblems(await undo(edit));
    setLast(undefined);
    setMoved(undefined);
    await reload();
  };
  const through = async <T extends Done>(
    kind: NonNullable<Plan["busy"]>,
    asked: Promise<{ ok: true; value: T } | { ok: false; error: { problems: readonly Problem[] } }>,
    says: (value: T) => string,
  ) => {
    setBusy(kind);
    const done = await asked;
    setProblems(done.ok ? [] : done.error.problems);
    if (done.ok) {
      const { edit } = done.value;
      setLast(edit);
      toast(says(done.value), edit === undefined ? {} : undoes(() => void takeBack(edit)));
      await reload();
    }
    setBusy(undefined);
  };
  return {
    busy,
    problems,
    moved,
    last,
    undo: () => last !== undefined && void takeBack(last),
    move(tag, to) {
      const body =
        to === "out"
          ? { task: tag, out: true as const }
          : to === "loose"
            ? { task: tag, loose: true as const }
            : { task: tag, to: { crew: to.crew, from: to.from } };
      void through("move", call(MOVE_WORK, { body }), () => movedSays(tag, to));
    },
    publish: (week, says) => void through("publish", call(PUBLISH_WEEK, { body: { week } }), () => says),
    again: () =>
      void through("again", call(PLAN_AGAIN), (value) => {
        setMoved(value.moved);
        return value.moved.length === 0
          ? "Planned again: nothing moved."
          : `Planned again: ${value.moved.length} moved.`;
      }),
  };
}

const undoes = (onClick: () => void) => ({ action: { label: "Undo", onClick } });

function movedSays(tag: string, to: Parameters<Plan["move"]>[1]): string {
  if (to === "out") return `${tag} is out of the plan.`;
  if (to === "loose") return `${tag} may be moved when all is planned again.`;
  return `${tag} is with ${to.crew} now.`;
}
