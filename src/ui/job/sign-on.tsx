"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import type { ReactNode } from "react";
import type { Competence } from "@/core/formats";
import { asksAt, asksOfJob, isProof, lacking, lackingOn, type Run, whoShut } from "@/core/job";
import { certificateWords, competences } from "@/words";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { useNow } from "../when";
import { WhoPicker } from "../who-picker";
import type { Crew } from "./crew";
import type { JobLog } from "./use-job-log";

/** What the step in hand asks of whoever holds the device, and this one has not; nothing when it may be done. */
export function askedOf(
  { current, inputs, progress, status }: Run,
  who: string,
): readonly Competence[] | "another-proves" | undefined {
  if (current === undefined || who === "" || status.kind === "stopped") return undefined;
  if (inputs.people?.anotherProves === true && isProof(current) && whoShut(progress).has(who))
    return "another-proves";
  const asked = asksAt(inputs, current);
  return lackingOn(progress, who, asked, Date.now()).length > 0 ? asked : undefined;
}

const whoMay = (crew: Crew, asked: readonly Competence[], at: number): string[] =>
  [...crew].flatMap(([name, may]) => (lacking(asked, may, at).length === 0 ? [name] : []));

/** Before anybody sets out: what the job asks of people, and who of the crew has it. */
export const BeforeTheTrip = ({ inputs, plan, crew }: Pick<Run, "inputs" | "plan"> & { crew: Crew }) => (
  <WhoMayDoIt asked={asksOfJob(inputs, plan.steps)} crew={crew} />
);

/** What is asked of whoever does it, and who of the crew has it; nothing where nothing is asked. */
export function WhoMayDoIt({ asked, crew }: { asked: readonly Competence[]; crew: Crew }) {
  const words = useSpeaker();
  const { signOn } = words.say.card;
  const now = useNow(60_000);
  if (asked.length === 0 || now === null) return null;
  const what = competences(words, asked);
  const each = asked.map((one) => whoMay(crew, [one], now));
  const somebody = each.every((names) => names.length > 0);
  return (
    <Notice tone={somebody ? "wait" : "stop"}>
      {somebody
        ? signOn.beforeTrip(what, words.say.common.commas([...new Set(each.flat())]))
        : signOn.beforeTripNobody(what)}
    </Notice>
  );
}

/** Whoever begins on what can hurt others signs on: as one who may, or under the eye of one who may. */
export function SignOn({
  log,
  who,
  asked,
  crew,
  signedIn,
  children,
}: {
  log: JobLog;
  who: string;
  asked: readonly Competence[];
  crew: Crew;
  signedIn: ReadonlySet<string> | undefined;
  /** Undo, note, stop. */
  children: ReactNode;
}) {
  const words = useSpeaker();
  const { signOn } = words.say.card;
  const path = usePathname();
  const now = useNow(60_000) ?? Date.now();
  const { people } = log.job.progress;
  const what = competences(words, asked);
  const mine = crew.get(who) ?? {};
  const missing = lacking(asked, mine, now);
  const others = whoMay(crew, missing, now).filter((name) => name !== who);
  const isOn = (name: string) => people.has(name);
  /** The one who watches signs on as well: under that one's own name. */
  const watch = (name: string) => {
    const there = isOn(name) || log.add({ kind: "signed-on", may: crew.get(name) ?? {} }, { by: name });
    if (there) log.add({ kind: "signed-on", under: name, may: mine });
  };
  return (
    <section
      aria-label={signOn.title(what)}
      className="card flex min-h-0 flex-col gap-3 overflow-y-auto border-t-[7px] border-t-stop p-5"
    >
      <h1 className="font-bold text-title leading-tight">{signOn.title(what)}</h1>
      <p>{signOn.why}</p>
      {log.refusal !== undefined && (
        <Notice tone="stop" live>
          {log.refusal}
        </Notice>
      )}
      {missing.length === 0 ? (
        <>
          <p className="text-soft">{signOn.yours(who, certificateWords(words, mine))}</p>
          <button
            type="button"
            className="btn btn-go min-h-14 text-lead"
            onClick={() => log.add({ kind: "signed-on", may: mine })}
          >
            {signOn.alone(who)}
          </button>
        </>
      ) : (
        <>
          <Notice tone="stop">{signOn.lacks(who, competences(words, missing))}</Notice>
          {others.length === 0 ? (
            <Notice tone="stop">{signOn.nobody(what)}</Notice>
          ) : (
            <>
              <p className="font-semibold">{signOn.under}</p>
              {others.map((name) =>
                signedIn === undefined || signedIn.has(name) || isOn(name) ? (
                  <button
                    key={name}
                    type="button"
                    className="btn btn-quiet min-h-14 text-lead"
                    onClick={() => watch(name)}
                  >
                    {signOn.watches(name)}
                  </button>
                ) : (
                  <Link
                    key={name}
                    href={`/sign-in?to=${encodeURIComponent(path)}`}
                    className="btn btn-quiet min-h-14 text-lead"
                  >
                    {signOn.signsInFirst(name)}
                  </Link>
                ),
              )}
            </>
          )}
        </>
      )}
      <div className="border-rule border-t-[1.5px] pt-3">
        <h2 className="caption mb-2">{words.say.card.who.ask}</h2>
        <WhoPicker />
      </div>
      <div className="flex flex-wrap gap-2">{children}</div>
    </section>
  );
}

/** The one who shut it off does not say that it is dead. */
export function AnotherProves({ who, children }: { who: string; children: ReactNode }) {
  const { signOn, who: asking } = useSpeaker().say.card;
  return (
    <section
      aria-label={signOn.anotherProves}
      className="card flex flex-col gap-3 border-t-[7px] border-t-stop p-5"
    >
      <h1 className="font-bold text-title leading-tight">{signOn.anotherProves}</h1>
      <p>{signOn.anotherProvesWhy(who)}</p>
      <h2 className="caption">{asking.ask}</h2>
      <WhoPicker />
      <div className="flex flex-wrap gap-2">{children}</div>
    </section>
  );
}
