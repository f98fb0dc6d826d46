"use client";

import { useEffect, useMemo, useState } from "react";
import {
  type Sheet,
  type Store,
  type Trouble,
  type TroubleAnswer,
  type TroubleFacts,
  triedAs,
  UNKNOWN,
} from "@/core/formats";
import { err, type Problem, type Result } from "@/core/result";
import { advise, answersGiven, barredTo, judged, refuseHandedOver } from "@/core/trouble";
import { timeNow } from "@/edge/clock";
import type { KnownFacts } from "@/server/trouble/facts";
import type { Crew } from "@/ui/job/crew";
import { useSettings } from "@/ui/settings";

/** What somebody tells of it besides, that no register knows. */
export type Told = Pick<TroubleFacts, "water" | "duty">;

/** A case as it stands on this device. */
export interface CaseInHand {
  readonly id: string;
  readonly complaint: string;
  readonly says: string;
  readonly from: NonNullable<TroubleFacts["from"]>;
  readonly answers: readonly TroubleAnswer[];
  readonly told: Told;
  /** What is in the bag already, by its line of the packing list. */
  readonly packed?: readonly string[];
  /** Who is there, too, and may do what one may not oneself. */
  readonly with?: string;
}

/** Where kits and parts for it lie, and which generation they have to fit. */
export interface Stock {
  readonly store?: Store;
  readonly generation?: string;
}

interface Asked {
  readonly knowledge: Trouble;
  readonly known: KnownFacts;
  readonly sheet: Sheet;
  readonly tag: string;
  /** Of the store that prices are in; empty where there is none. */
  readonly currency: string;
  readonly stock: Stock;
  readonly crew: Crew;
}

/** Fewer than a server may look at: an answer is painted at once, also on a phone. */
const MOMENTS = 600;

/** What is wrong with a valve, as far as it was looked into: kept on the device until it has an end. */
export function useTrouble({ knowledge, known, sheet, tag, currency, stock, crew }: Asked) {
  const key = `loftbell.case.${tag}`;
  const [inHand, setInHand] = useState<CaseInHand>();
  useEffect(() => {
    try {
      const kept = localStorage.getItem(key);
      const read = kept === null ? undefined : (JSON.parse(kept) as CaseInHand);
      if (read !== undefined && knowledge.complaints.some(({ id }) => id === read.complaint)) setInHand(read);
    } catch {
      localStorage.removeItem(key);
    }
  }, [key, knowledge]);
  const { who } = useSettings();
  const beside = inHand?.with;
  const barred = useMemo(
    () => barredTo(knowledge, [crew.get(who), crew.get(beside ?? "")], Date.now()),
    [knowledge, crew, who, beside],
  );
  const keep = (to: CaseInHand | undefined) => {
    setInHand(to);
    if (to === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(to));
  };
  // What is packed changes nothing of what is judged: only what is judged by makes it anew.
  const { complaint, from, told, answers } = inHand ?? {};
  const facts = useMemo((): TroubleFacts | undefined => {
    if (complaint === undefined || from === undefined) return undefined;
    const { foundFor, ...rest } = known;
    return {
      ...rest,
      ...told,
      complaint,
      from,
      found: foundFor[complaint] ?? {},
      ...(from === "site" && { cannot: [...barred] }),
    };
  }, [known, complaint, from, told, barred]);
  const given = useMemo(() => {
    const read = answersGiven(knowledge, answers ?? [], sheet);
    return read.ok ? read.value : new Map<string, string>();
  }, [knowledge, answers, sheet]);
  const advice = useMemo(() => facts && advise(knowledge, facts, given, MOMENTS), [knowledge, facts, given]);
  const put = (answer: TroubleAnswer) => {
    if (inHand === undefined) return;
    const others = inHand.answers.filter(({ look }) => look !== answer.look);
    keep({ ...inHand, answers: [...others, answer] });
  };
  return {
    knowledge,
    sheet,
    tag,
    currency,
    stock,
    crew,
    inHand,
    /** Looks that whoever is there may not do. */
    barred,
    /** Who of the crew may, by name. */
    whoMay: (look: string) =>
      [...crew].flatMap(([name, may]) => (barredTo(knowledge, [may], Date.now()).has(look) ? [] : [name])),
    beside: (name: string) => inHand && keep({ ...inHand, with: name }),
    facts,
    given,
    advice,
    begin: (begun: Omit<CaseInHand, "id" | "answers" | "told">) =>
      keep({ ...begun, id: crypto.randomUUID(), answers: [], told: {} }),
    packed: inHand?.packed ?? [],
    pack(line: string, is: boolean) {
      if (inHand === undefined) return;
      const others = (inHand.packed ?? []).filter((each) => each !== line);
      keep({ ...inHand, packed: is ? [...others, line] : others });
    },
    letGo: () => keep(undefined),
    from: (from: CaseInHand["from"]) => inHand && keep({ ...inHand, from }),
    tell: (told: Told) => inHand && keep({ ...inHand, told }),
    answer: (look: string, answer: string) => put({ look, answer }),
    unknown: (look: string) => put({ look, answer: UNKNOWN }),
    tried: (end: string, helped: boolean) => put({ look: triedAs(end), answer: helped ? "cured" : "not" }),
    /** Takes a figure; what is wrong with it is said at its field. */
    measured(
      look: string,
      typed: Record<string, string>,
      taken: NonNullable<TroubleAnswer["with"]>,
    ): Result<unknown, Problem[]> {
      const found = knowledge.looks.find(({ id }) => id === look);
      if (found?.kind !== "measure") throw new Error(`${look} is not measured`);
      const other = refuseHandedOver([{ look, typed, with: taken }], sheet, timeNow());
      if (other.length > 0)
        return err(other.map((each) => ({ ...each, path: each.path.replace("/answers/0", "") })));
      const read = judged(found, typed, sheet);
      if (read.ok)
        put({
          look,
          answer: read.value.band,
          typed,
          ...(Object.keys(taken).length > 0 && { with: taken }),
        });
      return read;
    },
    takeBack: (look: string) =>
      inHand && keep({ ...inHand, answers: inHand.answers.filter((each) => each.look !== look) }),
  };
}
export type TroubleInHand = ReturnType<typeof useTrouble>;
