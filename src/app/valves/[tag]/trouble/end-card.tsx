"use client";

import clsx from "clsx";
import { type ReactNode, useState } from "react";
import { type End, UNLISTED } from "@/core/formats";
import type { Next } from "@/core/trouble";
import { TextField } from "@/ui/kit/text-field";
import { Money } from "@/ui/money";
import { Notice } from "@/ui/notice";
import { useSpeaker } from "@/ui/use-speaker";
import { answerWords, endKind, inHundred, minutesWords } from "@/words";
import type { Ending } from "./use-ending";
import type { TroubleInHand } from "./use-trouble";

/** It is time to act: what to do, how sure that is, what would change it. */
export function EndCard({
  trouble,
  id,
  next,
  urgent,
  ending,
  unknown,
}: {
  trouble: TroubleInHand;
  id: string;
  /** Nothing where it was gone to because of a danger, or picked before it was advised. */
  next?: Extract<Next, { kind: "end" }> | undefined;
  urgent: boolean;
  ending: Ending;
  unknown: string;
}) {
  const words = useSpeaker();
  const say = words.say.trouble;
  const end = trouble.knowledge.ends.find((each) => each.id === id);
  return (
    <section className="flex min-w-0 flex-col gap-3" aria-label="What to do">
      <p className={clsx("caption", urgent && "text-stop!")}>{endKind(words, end)}</p>
      <h2 className="font-bold text-title leading-tight" role={urgent ? "alert" : undefined}>
        {id === UNLISTED ? say.unlisted : end?.says}
      </h2>
      {next !== undefined && <p className="text-soft">{say.right(inHundred(words, next.right))}</p>}
      {end?.why !== undefined && <p>{end.why}</p>}
      <CannotWait acts={end?.cannotWait} />
      {id === UNLISTED || end === undefined ? (
        <HandOver
          says={say.unlistedDo}
          label="Who takes it on"
          button="Hand it over"
          id={id}
          ending={ending}
        />
      ) : (
        <Doing end={end} trouble={trouble} ending={ending} />
      )}
      {next !== undefined && next.wouldChange.length > 0 && (
        <div className="card p-4">
          <h3 className="caption mb-1">What would change this</h3>
          <ul className="text-note">
            {next.wouldChange.map(({ look, answer, chance }) => {
              const found = trouble.knowledge.looks.find((each) => each.id === look);
              return (
                found !== undefined && (
                  <li key={look + answer}>
                    {say.wouldChange(
                      found.ask,
                      answerWords(found, answer, unknown),
                      inHundred(words, chance),
                    )}
                  </li>
                )
              );
            })}
          </ul>
        </div>
      )}
      {ending.refused !== undefined && (
        <p role="alert" className="text-stop">
          {ending.refused}
        </p>
      )}
      {ending.cutOff && (
        <Notice tone="wait" live>
          <p>{say.noJobYet}</p>
          {/* Without signal the browser asks the device for the page, which only a new page does. */}
          <a className="btn btn-quiet mt-2 bg-card" href={`/valves/${encodeURIComponent(trouble.tag)}/start`}>
            {say.startByHand(trouble.tag)}
          </a>
        </Notice>
      )}
    </section>
  );
}

/** What cannot wait, people first. */
function CannotWait({ acts }: { acts: readonly string[] | undefined }) {
  if (acts === undefined) return null;
  return (
    <ol className="flex flex-col gap-2 rounded border-stop border-l-[6px] bg-stop-bg px-4 py-3 text-lead">
      {acts.map((act, index) => (
        <li key={act} className="flex gap-3">
          <b className="plate">{index + 1}</b>
          <span>{act}</span>
        </li>
      ))}
    </ol>
  );
}

function Doing({ end, trouble, ending }: { end: End; trouble: TroubleInHand; ending: Ending }) {
  const say = useSpeaker().say.trouble;
  switch (end.kind) {
    case "do-now":
      return <DoNow end={end} trouble={trouble} ending={ending} />;
    case "job":
      return <JobEnd end={end} trouble={trouble} ending={ending} />;
    case "leak":
      return (
        <HandOver
          id={end.id}
          ending={ending}
          says={`${say.grade(end.grade)}. ${say.gradeWhy}`}
          label={`Who took it on: ${end.to}`}
          button="It is handed over"
        />
      );
    case "order":
      return (
        <HandOver
          id={end.id}
          ending={ending}
          says={say.within(end.within_days)}
          label="Who takes it on"
          button="Write the repair order"
        />
      );
    case "call":
      return (
        <HandOver
          id={end.id}
          ending={ending}
          says={`Call ${end.who}.`}
          label="Who answered"
          button="They know of it"
        />
      );
    case "watch":
      return (
        <Acts>
          <p className="basis-full text-lead">{say.watchAgain(end.days, end.look)}</p>
          <Main busy={ending.busy} onPress={() => void ending.keep(end.id)}>
            Watch it
          </Main>
        </Acts>
      );
  }
}

function DoNow({
  end,
  trouble,
  ending,
}: {
  end: Extract<End, { kind: "do-now" }>;
  trouble: TroubleInHand;
  ending: Ending;
}) {
  return (
    <>
      {trouble.inHand?.from === "telephone" && end.caller !== true && (
        <p role="note" className="rounded border-wait border-l-[6px] bg-wait-bg px-4 py-3">
          <b>Not for a caller.</b> Somebody goes there for it.
        </p>
      )}
      {end.hazard !== undefined && (
        <p role="note" className="rounded border-stop border-l-[6px] bg-stop-bg px-4 py-3">
          <b>{end.hazard.can}</b> {end.hazard.do}
        </p>
      )}
      <div className="rounded border-go border-l-[6px] bg-go-bg px-4 py-3 text-lead">
        <b>{end.do}.</b> <span>Then look: {end.look.charAt(0).toLowerCase() + end.look.slice(1)}?</span>
        <span className="block text-note">{minutesWords(end.minutes)}, no part.</span>
      </div>
      <Acts>
        <Main busy={ending.busy} onPress={() => void ending.cured(end.id)}>
          Done, it works
        </Main>
        <button type="button" className="btn btn-quiet min-h-14" onClick={() => trouble.tried(end.id, false)}>
          It did not help
        </button>
      </Acts>
    </>
  );
}

function JobEnd({
  end,
  trouble,
  ending,
}: {
  end: Extract<End, { kind: "job" }>;
  trouble: TroubleInHand;
  ending: Ending;
}) {
  const say = useSpeaker().say.trouble;
  const cost = trouble.facts?.costs?.[end.id];
  return (
    <>
      <p className="text-lead">
        {minutesWords(cost?.minutes ?? end.minutes)}
        {cost?.money !== undefined && cost.money > 0 && (
          <>
            , parts <Money amount={cost.money} currency={trouble.currency} />
          </>
        )}
        {cost?.outage_min !== undefined && `, ${say.outage(minutesWords(cost.outage_min))}`}
      </p>
      <Acts>
        <Main busy={ending.busy} onPress={() => void ending.job(end)}>
          Go on to the job
        </Main>
      </Acts>
    </>
  );
}

function HandOver({
  says,
  label,
  button,
  id,
  ending,
}: {
  says: string;
  label: string;
  button: string;
  id: string;
  ending: Ending;
}) {
  const [to, setTo] = useState("");
  const [asked, setAsked] = useState(false);
  return (
    <div className="card flex flex-col gap-3 p-4">
      <p className="text-lead">{says}</p>
      <TextField
        label={label}
        value={to}
        maxLength={200}
        onChange={setTo}
        error={asked && to.trim() === "" ? "Write a name: whoever asks later wants to know." : undefined}
      />
      <Main
        busy={ending.busy}
        onPress={() => {
          setAsked(true);
          if (to.trim() !== "") void ending.keep(id, to.trim());
        }}
      >
        {button}
      </Main>
    </div>
  );
}

const Acts = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap gap-3">{children}</div>
);

const Main = ({ children, busy, onPress }: { children: ReactNode; busy: boolean; onPress: () => void }) => (
  <button type="button" className="btn btn-go min-h-16 flex-1 text-lead" disabled={busy} onClick={onPress}>
    {busy ? "One moment …" : children}
  </button>
);
