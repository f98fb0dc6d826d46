"use client";

import clsx from "clsx";
import type { ReactNode } from "react";
import { flangeOf } from "@/core/build";
import type { AnyWay, Sheet, Topic } from "@/core/formats";
import type { WayCost } from "@/core/job";
import { type Offer, type WayHere, withWays } from "@/core/schools";
import { FlangeGasket } from "@/ui/draw/flange-gasket";
import { Folded } from "@/ui/kit/folded";
import { TextField } from "@/ui/kit/text-field";
import { useSpeaker } from "@/ui/use-speaker";
import { barredWhy, keepsWords, usualName, usualWhy, wayCosts, wayName, wayRisk } from "@/words";
import type { Schools } from "./use-schools";

/** Where practitioners differ: the usual way with why, the others with what they cost and risk on this valve. */
export function HowWorked({
  schools,
  sheet,
  refused,
}: {
  schools: Schools;
  sheet: Sheet;
  /** What was refused, by topic. */
  refused: (topic: Topic) => string | undefined;
}) {
  const { say } = useSpeaker();
  const { offers } = schools;
  if (offers.length === 0) return null;
  return (
    <section className="card p-4" aria-label={say.schools.title}>
      <h2 className="caption mb-1">{say.schools.title}</h2>
      <p className="mb-1 text-note text-soft">{say.schools.says}</p>
      {offers.map((offer) => (
        <OneTopic
          key={offer.topic}
          offer={offer}
          schools={schools}
          sheet={sheet}
          refused={refused(offer.topic)}
        />
      ))}
    </section>
  );
}

function OneTopic({
  offer,
  schools,
  sheet,
  refused,
}: {
  offer: Offer;
  schools: Schools;
  sheet: Sheet;
  refused: string | undefined;
}) {
  const words = useSpeaker();
  const { topic, usual, because, ways } = offer;
  const asked = schools.asked.find((each) => each.topic === topic);
  const way = asked?.way ?? usual;
  const costs = schools.costs?.get(topic);
  const usualCost = costs?.get(usual);
  const topicName = words.say.schools.topics[topic];
  return (
    <div className="border-rule border-t-[1.5px] border-dashed first-of-type:border-t-0">
      <Folded title={topicName} says={way === usual ? usualName(words, offer) : wayName(words, topic, way)}>
        <div role="radiogroup" aria-label={topicName} className="flex flex-col gap-2 pb-3">
          {ways.map((each) => (
            <OneWay
              key={each.way}
              topic={topic}
              {...(each.way === usual && { usual: words.say.schools.usual(usualWhy(words, because)) })}
              here={each}
              name={each.way === usual ? usualName(words, offer) : wayName(words, topic, each.way)}
              chosen={each.way === way}
              costs={
                each.way === usual || usualCost === undefined
                  ? []
                  : costOf(words, costs?.get(each.way), usualCost, schools.currency)
              }
              picture={
                topic === "gasket" &&
                each.barred === undefined && <Cut sheet={sheet} offer={offer} way={each.way} />
              }
              onChoose={() => schools.choose(topic, each.way, usual)}
            />
          ))}
          {asked !== undefined && (
            <TextField
              label={words.say.schools.why}
              value={asked.why ?? ""}
              maxLength={400}
              error={refused}
              onChange={(why) => schools.because(topic, why)}
            />
          )}
        </div>
      </Folded>
    </div>
  );
}

const costOf = (
  words: ReturnType<typeof useSpeaker>,
  cost: WayCost | undefined,
  usual: WayCost,
  currency: string,
): string[] => (cost === undefined ? [] : wayCosts(words, cost, usual, currency));

/** One way: its name, what it may do, what it costs beside the usual one; one that must not be taken says why. */
function OneWay({
  topic,
  usual,
  here: { way, barred, keeps },
  name,
  chosen,
  costs,
  picture,
  onChoose,
}: {
  topic: Topic;
  /** Why it is the usual one. */
  usual?: string;
  here: WayHere;
  name: string;
  chosen: boolean;
  costs: readonly string[];
  picture: ReactNode;
  onChoose: () => void;
}) {
  const words = useSpeaker();
  return (
    <label
      className={clsx(
        "flex gap-3 rounded-md border-2 px-3 py-2",
        chosen ? "border-ink bg-lit-bg" : "border-edge bg-paper",
        barred === undefined ? "cursor-pointer" : "bg-sunk",
      )}
    >
      <input
        type="radio"
        name={topic}
        className="mt-1 size-5 shrink-0 accent-[var(--go)]"
        checked={chosen}
        disabled={barred !== undefined}
        onChange={onChoose}
      />
      <span className="grow text-note">
        <b className="text-body">{name}</b>
        {barred === undefined ? (
          <>
            {usual !== undefined && <span className="block">{usual}</span>}
            <span className="block text-soft">{wayRisk(words, topic, way)}</span>
            {costs.length > 0 && <span className="block">{costs.join("; ")}.</span>}
            {keepsWords(words, keeps).map((each) => (
              <span key={each} className="block text-soft">
                {each}
              </span>
            ))}
          </>
        ) : (
          <span className="block text-stop">{barredWhy(words, barred)}</span>
        )}
      </span>
      {picture}
    </label>
  );
}

/** The gasket as this way has it cut. */
function Cut({ sheet, offer: { topic, usual, about }, way }: { sheet: Sheet; offer: Offer; way: AnyWay }) {
  const worked = withWays(sheet, [{ topic, way, usual, why: way }]);
  const part = worked.parts.find(({ name }) => name === about[0]);
  const flange = part && flangeOf(worked, part);
  if (part === undefined || flange === undefined) return null;
  return (
    <FlangeGasket
      bolts={flange.bolts.quantity}
      circle_mm={flange.circle_mm}
      bolt_mm={flange.bolt_mm ?? 0}
      outside_mm={part.shape.diameter_mm}
      bore_mm={part.shape.bore_mm ?? 0}
    />
  );
}
