"use client";

import type { Static } from "@sinclair/typebox";
import { useLiveQuery } from "dexie-react-hooks";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { type End, triedAs } from "@/core/formats";
import { askOrKeep, type Done } from "@/device/acts";
import { deviceStore } from "@/device/store";
import { call } from "@/edge/client";
import { timeNow } from "@/edge/clock";
import { KEEP_CASE } from "@/edge/contracts/trouble";
import { useChanged } from "@/ui/own/use-changed";
import type { TroubleInHand } from "./use-trouble";

/** A case that has its end, and waits for a server to keep it. */
export type Waiting = Static<NonNullable<typeof KEEP_CASE.body>>;

/** Why cases that waited on this device were not taken; nothing when none was refused. */
async function notTakenNow(): Promise<string | undefined> {
  const refused = await deviceStore()
    .acts.where({ state: "refused" })
    .filter(({ act }) => act === "keepCase")
    .toArray();
  return refused.length === 0 ? undefined : refused.map(({ says, why }) => `${says}: ${why}`).join(" ");
}

/** How a case ends: kept with its record, or gone on with as a job. Without a server it waits on the device. */
export function useEnding(trouble: TroubleInHand) {
  const router = useRouter();
  const changed = useChanged();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const [cutOff, setCutOff] = useState(false);
  const notTaken = useLiveQuery(notTakenNow, []);
  const waits = useLiveQuery(() => deviceStore().acts.where({ state: "waiting" }).count(), []);
  const [ended, setEnded] = useState<"kept" | "waits">();
  // What waits is sent by whatever page is open.
  useEffect(() => {
    if (waits === 0 && notTaken === undefined) setEnded((how) => (how === "waits" ? "kept" : how));
  }, [waits, notTaken]);
  const end = async (
    id: string,
    more: Partial<Waiting> = {},
    mayWait = true,
  ): Promise<"kept" | "waits" | undefined> => {
    const { inHand, tag } = trouble;
    if (inHand === undefined) return undefined;
    setBusy(true);
    setRefused(undefined);
    setCutOff(false);
    const body: Waiting = {
      id: inHand.id,
      valve: tag,
      at: new Date(timeNow()).toISOString(),
      complaint: inHand.complaint,
      says: inHand.says,
      from: inHand.from,
      ...(inHand.with !== undefined && { with: inHand.with }),
      answers: [...inHand.answers],
      told: inHand.told,
      end: id,
      ...more,
    };
    const kept = mayWait
      ? await askOrKeep(
          deviceStore(),
          "keepCase",
          { body },
          { id: body.id, says: `${tag}: ${inHand.says}`, at: Date.parse(body.at ?? "") },
        )
      : await askNow(body);
    setBusy(false);
    switch (kept.kind) {
      case "done":
        changed(`Kept: ${inHand.says}`, kept.value.edit);
        return "kept";
      case "refused":
        setRefused(kept.error.problems.map(({ message }) => message).join(" "));
        return undefined;
      case "waits":
        return "waits";
    }
  };
  const finish = (how: "kept" | "waits") => {
    setEnded(how);
    trouble.letGo();
  };
  return {
    busy,
    refused,
    /** It asks for a job, and the server does not answer: the case stays in hand. */
    cutOff,
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
      if (done === "waits") setCutOff(true);
      if (done !== "kept" || of === undefined) return;
      trouble.letGo();
      router.push(`/valves/${encodeURIComponent(trouble.tag)}/start?case=${encodeURIComponent(of)}`);
    },
  };
}
export type Ending = ReturnType<typeof useEnding>;

/** A job begins with the server: until then its case stays in hand, and may come to another end. */
async function askNow(body: Waiting): Promise<Done<typeof KEEP_CASE>> {
  const kept = await call(KEEP_CASE, { body });
  if (kept.ok) return { kind: "done", value: kept.value };
  return kept.error.kind === "no-signal" ? { kind: "waits" } : { kind: "refused", error: kept.error };
}
