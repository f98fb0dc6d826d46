"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import type { JobInputs, Valve, Where } from "@/core/formats";
import { run } from "@/core/job";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { OPEN_JOB } from "@/edge/contracts/jobs";
import { useProof } from "@/ui/proof/use-proof";
import { useSettings } from "@/ui/settings";
import { useDepth } from "./use-depth";
import { useSchools } from "./use-schools";

/** What is chosen of a job that is about to begin, and the job as it is compiled from that. */
export function useStart(base: JobInputs) {
  const router = useRouter();
  const settings = useSettings();
  const { sheet, valve } = base;
  const [reason, setReason] = useState(base.reason);
  const [reach, setReach] = useState<readonly string[]>(base.reach);
  const [policy, setPolicy] = useState(base.policy);
  const [where, setWhere] = useState<Where>(base.where ?? "line");
  const [which, setWhich] = useState<Which>({});
  const [by, setBy] = useState(settings.who);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [sending, setSending] = useState(false);
  const [deeper, setDeeper] = useState<readonly string[] | undefined>(base.trouble && base.renew);
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
            ...placed(base, where),
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
    () => ({ ...placed(base, where), valve: asTold(valve, which), reason, policy, reach: [] }),
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
    const opened = await call(OPEN_JOB, {
      body: {
        valve: valve.tag,
        where,
        reason,
        reach: [...reach],
        policy,
        renew,
        which,
        ...(schools.asked.length > 0 && { schools: [...schools.asked] }),
        ...(base.trouble !== undefined && { case: base.trouble.case }),
        ...(deep.kept !== undefined && { depth: deep.kept }),
      },
    });
    if (opened.ok) {
      router.push(`/jobs/${encodeURIComponent(opened.value.id)}`);
      return;
    }
    setSending(false);
    setProblems(opened.error.problems);
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

/** Which one it is, as far as it was told on this page. */
export type Which = Pick<Valve, "build" | "generation" | "fitted">;

const asTold = (valve: Valve, which: Which): Valve => ({
  ...valve,
  ...which,
  ...(which.fitted !== undefined && { fitted: { ...valve.fitted, ...which.fitted } }),
});

export type Start = ReturnType<typeof useStart>;

/** Out of its line nothing of it is shut, whatever is drawn. */
function placed(
  { line, held, where: _, looks: __, schools: ___, ...base }: JobInputs,
  where: Where,
): JobInputs {
  return where === "line"
    ? { ...base, ...(line !== undefined && { line }), ...(held !== undefined && { held }) }
    : { ...base, where };
}
