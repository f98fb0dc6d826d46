"use client";

import type { Static } from "@sinclair/typebox";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { type End, triedAs } from "@/core/formats";
import { call } from "@/edge/client";
import { KEEP_CASE } from "@/edge/contracts/trouble";
import { useChanged } from "@/ui/own/use-changed";
import type { TroubleInHand } from "./use-trouble";

/** A case that has its end, and waits for a server to keep it. */
export type Waiting = Static<NonNullable<typeof KEEP_CASE.body>>;

const WAITING = "loftbell.cases.waiting";

const waitingNow = (): Waiting[] => JSON.parse(localStorage.getItem(WAITING) ?? "[]") as Waiting[];

/** Sends what waits on this device. What is not taken stays, also what is refused: it is lost by nobody's silence. */
async function sendWaiting(): Promise<{ readonly left: number; readonly refused?: string }> {
  const refused: string[] = [];
  for (const each of waitingNow()) {
    const kept = await call(KEEP_CASE, { body: each });
    if (kept.ok)
      localStorage.setItem(WAITING, JSON.stringify(waitingNow().filter(({ id }) => id !== each.id)));
    else if (kept.error.kind === "refused")
      refused.push(
        `${each.valve}, “${each.says}”: ${kept.error.problems.map(({ message }) => message).join(" ")}`,
      );
    else break;
  }
  const left = waitingNow().length;
  return refused.length === 0 ? { left } : { left, refused: refused.join(" ") };
}

/** How a case ends: kept with its record, or gone on with as a job. Without a server it waits on the device. */
export function useEnding(trouble: TroubleInHand) {
  const router = useRouter();
  const changed = useChanged();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const [notTaken, setNotTaken] = useState<string>();
  const [ended, setEnded] = useState<"kept" | "waits">();
  // What waits is sent as soon as there is a signal, and whenever this screen is opened.
  useEffect(() => {
    const send = async () => {
      const { left, refused } = await sendWaiting();
      setNotTaken(refused);
      if (left === 0) setEnded((how) => (how === "waits" ? "kept" : how));
    };
    void send();
    window.addEventListener("online", send);
    return () => window.removeEventListener("online", send);
  }, []);
  const end = async (
    id: string,
    more: Partial<Waiting> = {},
    mayWait = true,
  ): Promise<"kept" | "waits" | undefined> => {
    const { inHand, tag } = trouble;
    if (inHand === undefined) return undefined;
    setBusy(true);
    setRefused(undefined);
    const body: Waiting = {
      id: inHand.id,
      valve: tag,
      at: new Date().toISOString(),
      complaint: inHand.complaint,
      says: inHand.says,
      from: inHand.from,
      ...(inHand.with !== undefined && { with: inHand.with }),
      answers: [...inHand.answers],
      told: inHand.told,
      end: id,
      ...more,
    };
    const kept = await call(KEEP_CASE, { body });
    setBusy(false);
    if (kept.ok) {
      changed(`Kept: ${inHand.says}`, kept.value.edit);
      return "kept";
    }
    if (kept.error.kind === "refused") {
      setRefused(kept.error.problems.map(({ message }) => message).join(" "));
      return undefined;
    }
    // A job begins with the server: until then its case stays in hand, and may come to another end.
    if (!mayWait) return "waits";
    localStorage.setItem(
      WAITING,
      JSON.stringify([...waitingNow().filter((each) => each.id !== body.id), body]),
    );
    return "waits";
  };
  const finish = (how: "kept" | "waits") => {
    setEnded(how);
    trouble.letGo();
  };
  return {
    busy,
    refused,
    /** What waited here and was not taken, and why. */
    notTaken,
    ended,
    again: () => setEnded(undefined),
    async keep(id: string, to?: string) {
      const done = await end(id, to === undefined ? {} : { to });
      if (done !== undefined) finish(done);
    },
    async cured(id: string) {
      const answers = [
        ...(trouble.inHand?.answers.filter(({ look }) => look !== triedAs(id)) ?? []),
        { look: triedAs(id), answer: "cured" },
      ];
      const done = await end(id, { answers });
      if (done !== undefined) finish(done);
    },
    async job({ id }: Extract<End, { kind: "job" }>) {
      const of = trouble.inHand?.id;
      const done = await end(id, {}, false);
      if (done === "waits")
        setRefused("No answer from the server: a job begins with it. What was found stays here.");
      if (done !== "kept" || of === undefined) return;
      trouble.letGo();
      router.push(`/valves/${encodeURIComponent(trouble.tag)}/start?case=${encodeURIComponent(of)}`);
    },
  };
}
export type Ending = ReturnType<typeof useEnding>;
