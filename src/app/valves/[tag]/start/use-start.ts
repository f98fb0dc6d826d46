"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { asTold, type Chosen, placedAt, type Which } from "@/core/begin";
import type { JobInputs, Where } from "@/core/formats";
import { run } from "@/core/job";
import type { Problem } from "@/core/result";
import { openHereOrThere } from "@/device/begin-away";
import type { Crew } from "@/ui/job/crew";
import { newId } from "@/ui/new-id";
import { useProof } from "@/ui/proof/use-proof";
import { useSettings } from "@/ui/settings";
import { useSpeaker } from "@/ui/use-speaker";
import { beginRefused } from "@/words";
import { useDepth } from "./use-depth";
import { useSchools } from "./use-schools";

/** A job as it is offered: what it is made of, and what is chosen first. */
export interface Offered {
  readonly offer: JobInputs;
  /** The server's signature under the offer: with it a job can be begun without signal. */
  readonly seal: string;
  /** Tags of those that are shut off with it. */
  readonly together?: readonly string[];
  readonly first: Pick<Chosen, "reason" | "reach" | "renew"> & { readonly where: Where };
}

/** What is chosen of a job that is about to begin, and the job as it is compiled from that. */
export function useStart({ offer: base, seal, first, together }: Offered, crew: Crew) {
  const router = useRouter();
  const settings = useSettings();
  const words = useSpeaker();
  const { sheet, valve } = base;
  const [reason, setReason] = useState(first.reason);
  const [reach, setReach] = useState<readonly string[]>(first.reach);
  const [policy, setPolicy] = useState(base.policy);
  const [where, setWhere] = useState<Where>(first.where);
  const [which, setWhich] = useState<Which>({});
  const [by, setBy] = useState(settings.who);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [sending, setSending] = useState(false);
  const [deeper, setDeeper] = useState(first.renew);
  // What the reason, or the depth, renews has to be reached; a part that is left out of the reach is looked at only.
  const renew = useMemo(
    () =>
      (deeper ?? sheet.symptoms.find(({ id }) => id === reason.symptom)?.renews ?? []).filter((part) =>
        reach.includes(part),
      ),
    [sheet, reason.symptom, deeper, reach],
  );
  const looks = reach.length > 0 ? undefined : sheet.symptoms.find(({ id }) => id === reason.symptom)?.looks;
  const plain = useMemo(
    () =>
      reach.length === 0 && looks === undefined
        ? undefined
        : {
            ...placedAt(base, where),
            valve: asTold(valve, which),
            reason,
            reach: [...reach],
            policy,
            renew,
            ...(looks !== undefined && { looks }),
          },
    [base, valve, which, where, reason, reach, looks, policy, renew],
  );
  const schools = useSchools(plain);
  const inputs = useMemo(
    () => plain && { ...plain, ...(schools.chosen.length > 0 && { schools: schools.chosen }) },
    [plain, schools.chosen],
  );
  const basis = useMemo(
    () => ({ ...placedAt(base, where), valve: asTold(valve, which), reason, policy, reach: [] }),
    [base, where, valve, which, reason, policy],
  );
  const deep = useDepth(basis, (to, renews) => {
    setReach(to);
    setDeeper(renews);
  });
  const compiled = useMemo(() => inputs && run(inputs, []), [inputs]);
  const proof = useProof(inputs);
  const blocked = compiled?.ok === true && compiled.value.plan.steps.some(({ kind }) => kind === "blocked");
  const start = async () => {
    setSending(true);
    setProblems([]);
    const asked = {
      valve: valve.tag,
      id: newId(),
      where,
      reason,
      reach: [...reach],
      policy,
      renew,
      which,
      ...(schools.asked.length > 0 && { schools: [...schools.asked] }),
      ...(base.trouble !== undefined && { case: base.trouble.case }),
      ...(together !== undefined && { together: [...together] }),
      ...(deep.kept !== undefined && { depth: deep.kept }),
    };
    const opened = await openHereOrThere(asked, { offer: base, seal, by, crew });
    if (opened.ok) {
      // Without signal the browser asks the device for the page, which only a new page does.
      if (opened.value.where === "here") location.assign(opened.value.page);
      else router.push(opened.value.page);
      return;
    }
    setSending(false);
    setProblems(
      opened.error.kind === "refused-here"
        ? [{ path: opened.error.refusal.path, message: beginRefused(words, opened.error.refusal, sheet) }]
        : opened.error.problems,
    );
  };
  /** Takes a part among those to reach, or out of them; what stays in the body is not reached. */
  const toggle = (part: string) => {
    if (sheet.parts.find((each) => each.id === part)?.stays) return;
    deep.letGo();
    setReach(reach.includes(part) ? reach.filter((each) => each !== part) : [...reach, part]);
  };
  return {
    sheet,
    reason,
    setReason: (to: JobInputs["reason"]) => {
      setReason(to);
      if (to.symptom === reason.symptom) return;
      setDeeper(undefined);
      deep.letGo();
    },
    deep,
    schools,
    reach,
    /** Looked at only: nothing is reached. */
    looks,
    setReach,
    toggle,
    which,
    setWhich,
    where,
    setWhere,
    policy,
    setPolicy,
    /** What its sheet begins with, and why. */
    usually: sheet.renewal,
    by,
    setBy,
    plan: compiled?.ok ? compiled.value.plan : undefined,
    /** What the proof of this plan found; nothing while it is being tried. */
    proof,
    /** It hurts somebody as its sheet or line is written: it is a draft. */
    harmful:
      blocked === false && (proof?.proof?.harms.length ?? 0) + (proof?.proof?.differences.length ?? 0) > 0,
    /** Why nothing can be compiled from what is chosen. */
    refusal: compiled?.ok === false ? compiled.error : undefined,
    problems,
    sending,
    start,
  };
}

export type Start = ReturnType<typeof useStart>;
