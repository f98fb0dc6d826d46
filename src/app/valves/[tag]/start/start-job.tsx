"use client";

import { useState } from "react";
import type { JobInputs } from "@/core/formats";
import { Axis } from "@/ui/draw/axis";
import type { Crew } from "@/ui/job/crew";
import { BeforeTheTrip } from "@/ui/job/sign-on";
import { Notice } from "@/ui/notice";
import { ValveHead } from "@/ui/page";
import { NotForYou } from "@/ui/people/not-for-you";
import { ProofPanel } from "@/ui/proof/proof-panel";
import { useAlive } from "@/ui/use-alive";
import { WhoPicker } from "@/ui/who-picker";
import { PlanPreview } from "./plan-preview";
import { type Offered, type Start, useStart } from "./use-start";
import { WhyForm } from "./why-form";

/** Why and how deep; the plan beside it is compiled anew with every choice. */
export function StartJob({ crew, ...offered }: Offered & { crew: Crew }) {
  const { offer: inputs } = offered;
  const start = useStart(offered, crew);
  const { sheet, valve } = inputs;
  // A press before the page can take it would send the form away, and with it what was chosen.
  const alive = useAlive();
  return (
    <fieldset disabled={!alive} className="contents">
      <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[300px_1fr_380px]">
        <ValveHead
          tag={valve.tag}
          href={`/valves/${valve.tag}`}
          title="Start a job"
          says={`${sheet.title}; ${valve.name}`}
          className="lg:col-span-3"
        />
        <ReachPane start={start} />
        <div className="flex flex-col gap-4">
          <Who start={start} />
          <NotForYou asks="technician" />
          {offered.together !== undefined && (
            <Notice tone="wait">
              Shut off once with {offered.together.join(", ")}: what is shut here is shut for all of them, and
              each job has locks of its own.{" "}
              <a
                className="inline-block min-h-11 content-center underline underline-offset-4"
                href={`/valves/${encodeURIComponent(valve.tag)}/start`}
              >
                Start {valve.tag} by itself
              </a>
            </Notice>
          )}
          <FoundBefore inputs={inputs} />
          {start.plan !== undefined && <BeforeTheTrip inputs={inputs} plan={start.plan} crew={crew} />}
          <WhyForm start={start} valve={valve} />
        </div>
        <div className="flex flex-col gap-4">
          {start.plan !== undefined && (
            <>
              <ProofPanel
                answer={start.proof}
                names={{ sheet, ...(inputs.line !== undefined && { line: inputs.line }) }}
              />
              <PlanPreview plan={start.plan} sheet={sheet} />
            </>
          )}
        </div>
      </div>
    </fieldset>
  );
}

/** The axis, to tap what is to be reached; it shows what comes off for that and what is renewed. */
function ReachPane({ start: { sheet, plan, reach, toggle } }: { start: Start }) {
  return (
    <section className="card flex h-[420px] flex-col overflow-hidden pt-3 lg:h-[640px]">
      <h2 className="caption px-4 pb-1">Tap the parts to reach</h2>
      <div className="min-h-0 flex-1">
        <Axis
          parts={sheet.parts.map((part) => ({
            part,
            place: part.stays
              ? ("stays" as const)
              : plan?.removed.includes(part.id)
                ? ("comes-off" as const)
                : ("in" as const),
            renew: plan?.renewals.some((each) => each.part === part.id) ?? false,
          }))}
          litSays="to reach"
          {...(reach[0] !== undefined && { lit: reach[0], chosen: reach[0] })}
          onChoose={toggle}
        />
      </div>
    </section>
  );
}

/** What the case found: it is not asked again. */
function FoundBefore({ inputs: { trouble, sheet } }: { inputs: JobInputs }) {
  if (trouble === undefined) return null;
  const asked = trouble.found.flatMap(({ check }) => sheet.checks.find(({ id }) => id === check)?.ask ?? []);
  return (
    <section className="card p-4" aria-label="What was found before">
      <h2 className="caption mb-1">It comes of a complaint</h2>
      <p className="text-lead">“{trouble.says}”</p>
      {asked.length > 0 && (
        <p className="text-note text-soft">Answered already, and not asked again: {asked.join(" ")}</p>
      )}
    </section>
  );
}

function Who({ start: { by, setBy } }: { start: Start }) {
  const [choosing, setChoosing] = useState(false);
  return (
    <section className="card p-4" aria-label="Who">
      <h2 className="caption mb-2">Who</h2>
      {by === "" || choosing ? (
        <WhoPicker
          onChosen={(name) => {
            setBy(name);
            setChoosing(false);
          }}
        />
      ) : (
        <p className="flex items-center justify-between gap-3 text-lead">
          <b>{by}</b>
          <button type="button" className="btn btn-quiet" onClick={() => setChoosing(true)}>
            Somebody else
          </button>
        </p>
      )}
    </section>
  );
}
