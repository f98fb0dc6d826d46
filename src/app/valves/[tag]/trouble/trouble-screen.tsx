"use client";

import Link from "next/link";
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { Sheet, Trouble, Valve } from "@/core/formats";
import type { Advice } from "@/core/trouble";
import type { KnownFacts } from "@/server/trouble/facts";
import type { Crew } from "@/ui/job/crew";
import { Notice } from "@/ui/notice";
import { Panel, ValveHead } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { useSettings } from "@/ui/settings";
import { useSpeaker } from "@/ui/use-speaker";
import { WhoPicker } from "@/ui/who-picker";
import { boundWords, endTitle, minutesWords } from "@/words";
import { BringCard } from "./bring-card";
import { ComplaintForm } from "./complaint-form";
import { CustomerPage } from "./customer-page";
import { EndCard } from "./end-card";
import { KnownPane } from "./known-pane";
import { LookCard } from "./look-card";
import { OddsPane } from "./odds-pane";
import { OnlyWhoMay } from "./only-who-may";
import { type Ending, useEnding } from "./use-ending";
import { type Stock, type TroubleInHand, useTrouble } from "./use-trouble";

const UNKNOWN_SAYS = "Cannot tell";

/** Something is wrong: from the complaint to its cause, one look at a time, until acting is cheaper. */
export function TroubleScreen({
  knowledge,
  known,
  sheet,
  valve,
  currency,
  stock,
  crew,
  openJob,
}: {
  knowledge: Trouble;
  known: KnownFacts;
  sheet: Sheet;
  valve: Valve;
  currency: string;
  stock: Stock;
  crew: Crew;
  openJob?: string;
}) {
  const trouble = useTrouble({ knowledge, known, sheet, tag: valve.tag, currency, stock, crew });
  const ending = useEnding(trouble);
  const { advice, inHand } = trouble;
  const say = useSpeaker().say.trouble.customer;
  const [forCustomer, setForCustomer] = useState(false);
  // One page takes the place of another: it is read from its top.
  useEffect(() => {
    if (forCustomer) window.scrollTo({ top: 0 });
  }, [forCustomer]);
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-4 px-4 py-4 md:px-5">
      <ValveHead
        tag={valve.tag}
        href={`/valves/${encodeURIComponent(valve.tag)}`}
        title={inHand === undefined ? "Something is wrong" : `“${inHand.says}”`}
        says={`${knowledge.title}, ${valve.place}`}
        action={
          forCustomer ? (
            <>
              <button type="button" className="btn btn-quiet" onClick={() => setForCustomer(false)}>
                {say.back}
              </button>
              <PrintButton />
            </>
          ) : (
            inHand !== undefined && ending.ended === undefined && <SoFar trouble={trouble} />
          )
        }
      />
      {ending.notTaken !== undefined && (
        <Notice tone="stop" live>
          <b>It waits on this device and was not taken.</b> {ending.notTaken}
        </Notice>
      )}
      {openJob !== undefined && ending.ended === undefined && (
        <Notice tone="wait">
          A job is open on this valve.{" "}
          <Link className="underline underline-offset-4" href={`/jobs/${encodeURIComponent(openJob)}`}>
            Go on with it
          </Link>{" "}
          where its parts are concerned.
        </Notice>
      )}
      {knowledge.demonstration && inHand === undefined && (
        <p className="text-note text-soft">
          Demonstration data: how often each cause is it was made up. Where it can hurt somebody, local code,
          the site’s procedure and licensed people decide.
        </p>
      )}
      {forCustomer && inHand !== undefined && advice !== undefined && trouble.facts !== undefined ? (
        <CustomerPage
          knowledge={knowledge}
          facts={trouble.facts}
          advice={advice}
          answers={trouble.given}
          sheet={sheet}
        />
      ) : ending.ended !== undefined ? (
        <Ended how={ending.ended} tag={valve.tag} onAgain={ending.again} />
      ) : inHand === undefined || advice === undefined ? (
        <ComplaintForm knowledge={knowledge} reported={valve.symptom} onBegin={trouble.begin} />
      ) : (
        <Looking trouble={trouble} advice={advice} ending={ending} onCustomer={() => setForCustomer(true)} />
      )}
    </div>
  );
}

function SoFar({ trouble: { inHand, knowledge } }: { trouble: TroubleInHand }) {
  const looked = knowledge.looks.filter(({ id }) => inHand?.answers.some(({ look }) => look === id));
  if (looked.length === 0) return null;
  const minutes = looked.reduce((sum, each) => sum + each.minutes, 0);
  return (
    <span className="plate self-center text-body">
      {looked.length === 1 ? "1 look" : `${looked.length} looks`} · {minutesWords(minutes)} so far
    </span>
  );
}

/** From where one asks, and the way back to the beginning. */
function Otherwise({ trouble, children }: { trouble: TroubleInHand; children: ReactNode }) {
  const telephone = trouble.inHand?.from === "telephone";
  return (
    <div className="grid grid-cols-2 gap-2 lg:grid-cols-1">
      <button
        type="button"
        className="btn btn-quiet"
        onClick={() => trouble.from(telephone ? "site" : "telephone")}
      >
        {telephone ? "I am there now" : "On the telephone"}
      </button>
      <button type="button" className="btn btn-quiet" onClick={trouble.letGo}>
        Another complaint
      </button>
      {children}
    </div>
  );
}

/** Which card stands in the middle: what was advised, or what somebody picked instead. */
type Picked = { readonly kind: "look"; readonly id: string } | { readonly kind: "act" };

function Looking({
  trouble,
  advice,
  ending,
  onCustomer,
}: {
  trouble: TroubleInHand;
  advice: Advice;
  ending: Ending;
  onCustomer: () => void;
}) {
  const words = useSpeaker();
  const [picked, setPicked] = useState<Picked>();
  const { knowledge, given } = trouble;
  const { next, actNow, danger } = advice;
  const top = useRef<HTMLDivElement>(null);
  const seen = useRef(given);
  // What was picked is answered: what is advised stands there again, in sight.
  useEffect(() => {
    if (seen.current === given) return;
    seen.current = given;
    setPicked(undefined);
    if (top.current !== null && top.current.getBoundingClientRect().top < 0)
      top.current.scrollIntoView({ block: "start" });
  }, [given]);
  const advised =
    next.kind === "look" ? ({ kind: "look", id: next.look } as const) : ({ kind: "act" } as const);
  const shown = picked ?? advised;
  const look = shown.kind === "look" ? knowledge.looks.find(({ id }) => id === shown.id) : undefined;
  const onTelephone = trouble.inHand?.from === "telephone";
  const [packing, setPacking] = useState(false);
  const complaint = trouble.inHand?.complaint ?? "";
  const barred = knowledge.looks.filter(
    ({ id, complaints }) =>
      trouble.barred.has(id) && !given.has(id) && (complaints?.includes(complaint) ?? true),
  );
  return (
    <div className="grid gap-4 lg:grid-cols-[310px_1fr_270px]">
      <div className="order-3 lg:order-none">
        <OddsPane knowledge={knowledge} advice={advice} unknown={UNKNOWN_SAYS} />
      </div>
      <div ref={top} className="order-first flex min-w-0 scroll-mt-4 flex-col gap-4 lg:order-none">
        {danger !== undefined ? (
          <ForWhom>
            <EndCard trouble={trouble} id={danger.end} urgent ending={ending} unknown={UNKNOWN_SAYS} />
          </ForWhom>
        ) : look !== undefined ? (
          <LookCard
            trouble={trouble}
            look={look}
            next={next.kind === "look" && next.look === look.id ? next : undefined}
            unknown={UNKNOWN_SAYS}
          />
        ) : (
          <ForWhom>
            <EndCard
              trouble={trouble}
              id={next.kind === "end" ? next.end : actNow.end}
              next={next.kind === "end" ? next : undefined}
              urgent={false}
              ending={ending}
              unknown={UNKNOWN_SAYS}
            />
          </ForWhom>
        )}
        {danger === undefined && shown.kind === "look" && (
          <button type="button" className="btn btn-quiet min-h-12" onClick={() => setPicked({ kind: "act" })}>
            Stop looking: {endTitle(words, knowledge, actNow.end)}
          </button>
        )}
        {picked !== undefined && (
          <button type="button" className="btn btn-quiet min-h-12" onClick={() => setPicked(undefined)}>
            Back to what is advised
          </button>
        )}
        {danger === undefined && (onTelephone || packing) && <BringCard trouble={trouble} />}
        {danger === undefined && (
          <OtherLooks
            trouble={trouble}
            advice={advice}
            shown={look?.id}
            onPick={(id) => setPicked({ kind: "look", id })}
          />
        )}
      </div>
      <div className="flex flex-col gap-4">
        <KnownPane
          trouble={trouble}
          unknown={UNKNOWN_SAYS}
          onChange={(id) => setPicked({ kind: "look", id })}
        />
        {danger === undefined && <ActNow advice={advice} trouble={trouble} />}
        <Otherwise trouble={trouble}>
          <button type="button" className="btn btn-quiet" onClick={onCustomer}>
            {words.say.trouble.customer.open}
          </button>
          {!onTelephone && danger === undefined && (
            <button
              type="button"
              className="btn btn-quiet"
              aria-expanded={packing}
              onClick={() => setPacking(!packing)}
            >
              {packing ? words.say.bring.hide : words.say.bring.ask}
            </button>
          )}
        </Otherwise>
        {!onTelephone && danger === undefined && barred.length > 0 && (
          <OnlyWhoMay trouble={trouble} looks={barred} />
        )}
        {onTelephone && (
          <Notice tone="wait">
            Only what a caller can see is asked. What wants a technician is not asked of them.
          </Notice>
        )}
      </div>
    </div>
  );
}

/** What is kept is kept in somebody's name. */
function ForWhom({ children }: { children: ReactNode }) {
  const { who } = useSettings();
  const [chosen, setChosen] = useState(who);
  return (
    <>
      {children}
      {chosen === "" && (
        <section className="card p-4" aria-label="Who">
          <h2 className="caption mb-2">Who keeps it</h2>
          <WhoPicker onChosen={setChosen} />
        </section>
      )}
    </>
  );
}

function ActNow({ advice, trouble }: { advice: Advice; trouble: TroubleInHand }) {
  const words = useSpeaker();
  const say = words.say.trouble;
  const { actNow, next } = advice;
  return (
    <Panel title="If you act now">
      <p className="plate text-figure leading-none">{minutesWords(actNow.cost)}</p>
      <p className="text-note text-soft">{say.actNow(endTitle(words, trouble.knowledge, actNow.end))}</p>
      {next.kind === "look" && (
        <>
          <p className="plate mt-2 text-figure text-go-text leading-none">{minutesWords(next.cost)}</p>
          <p className="text-note text-soft">{say.lookFirst}</p>
        </>
      )}
      <p className="mt-2 border-rule border-t pt-2 text-fine text-soft">
        Work, trips, outage, and being wrong, all in minutes of work. {boundWords(words, advice)}
      </p>
    </Panel>
  );
}

const MOST_OTHERS = 5;

function OtherLooks({
  trouble,
  advice,
  shown,
  onPick,
}: {
  trouble: TroubleInHand;
  advice: Advice;
  shown: string | undefined;
  onPick: (look: string) => void;
}) {
  const say = useSpeaker().say.trouble;
  const others = advice.looks.filter(({ look }) => look !== shown).slice(0, MOST_OTHERS);
  if (others.length === 0) return null;
  const telephone = trouble.inHand?.from === "telephone";
  return (
    <Panel title="Other looks">
      <ul className="dashed">
        {others.map(({ look: id, minutes, saves }) => {
          const look = trouble.knowledge.looks.find((each) => each.id === id);
          return (
            <li key={id}>
              <button
                type="button"
                className="grid min-h-12 w-full grid-cols-[1fr_auto] items-center gap-x-4 py-1.5 text-left sm:grid-cols-[1fr_80px_150px]"
                onClick={() => onPick(id)}
              >
                <span>{(telephone ? look?.caller : undefined) ?? look?.ask}</span>
                <span className="plate text-right">{minutesWords(minutes)}</span>
                <span className="col-span-2 text-note text-soft sm:col-span-1 sm:text-right">
                  {saves > 0.5 ? say.sparesThis(minutesWords(saves)) : say.notWorth}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}

function Ended({ how, tag, onAgain }: { how: "kept" | "waits"; tag: string; onAgain: () => void }) {
  const valve = `/valves/${encodeURIComponent(tag)}`;
  return (
    <Notice tone={how === "kept" ? "go" : "wait"} live>
      <b>{how === "kept" ? "Kept, with what was looked at." : "It waits on this device."}</b>{" "}
      {how === "waits" && "No answer from the server: it is sent as soon as there is a signal."}
      <span className="mt-3 flex flex-wrap gap-3">
        <Link href={valve} className="btn btn-go">
          Back to {tag}
        </Link>
        <Link href="/" className="btn btn-quiet">
          Today
        </Link>
        <button type="button" className="btn btn-quiet" onClick={onAgain}>
          Something else is wrong
        </button>
      </span>
    </Notice>
  );
}
