import type { Alternative, IsolationPlan } from "@/core/isolation";
import { WATCH_AFTER_H } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import {
  actWhy,
  actWords,
  closureWhy,
  lockedWords,
  lostName,
  proveWords,
  quantity,
  storedAt,
  storedKind,
  storedWords,
} from "@/words";

/** What is done to make the line dead, numbered as on the drawing. */
export function ShuttingPanel({ plan, at }: { plan: IsolationPlan; at: number | undefined }) {
  const words = useSpeaker();
  const closures = new Map(plan.closures.map((each) => [each.link, each]));
  return (
    <Panel title="Shut, in this order" note={`${plan.minutes} min`}>
      {plan.shutting.length === 0 && <p>Nothing: no energy reaches it as the line stands.</p>}
      <ol className="dashed">
        {plan.shutting.map((act, index) => {
          const closure = closures.get(act.id);
          return (
            <li
              key={act.id}
              className={`grid grid-cols-[30px_1fr_auto] gap-1.5 py-1.5 ${at === index + 1 ? "rounded bg-brass-bg" : ""}`}
              aria-current={at === index + 1 ? "step" : undefined}
            >
              <span className="plate grid size-[26px] place-items-center rounded-full bg-ink text-body text-card">
                {index + 1}
              </span>
              <span>
                {actWords(words, act)}
                {closure?.barrier === "outer" && (
                  <span className="plate ml-1.5 rounded bg-sunk px-1.5 text-fine">second barrier</span>
                )}
                <small className="block text-fine text-soft leading-tight">
                  {closure !== undefined && `${closureWhy(words, closure)} `}
                  {actWhy(words, act.why)}
                  {closure?.where !== undefined &&
                    closure.where !== closure.name &&
                    ` Where: ${closure.where}.`}
                </small>
              </span>
              {closure !== undefined && (
                <span className="plate text-note text-soft">{closure.minutes} min</span>
              )}
            </li>
          );
        })}
      </ol>
      {!plan.exact && (
        <p className="mt-2 text-note text-soft">
          The search stopped at its bound: this plan is safe, a cheaper one may exist.
        </p>
      )}
    </Panel>
  );
}

export function ProvePanel({ plan, nodeName }: { plan: IsolationPlan; nodeName: (id: string) => string }) {
  const words = useSpeaker();
  const { drain } = plan.section;
  return (
    <Panel title="Then drain and prove">
      <ul className="dashed">
        {drain !== undefined && (
          <li className="py-1.5">
            Drain {quantity(words, drain.runs_L / 1000, "volume")} at {nodeName(drain.node)}
            <small className="block text-fine text-soft">
              lowest drain of the section, about {formatDuration(drain.minutes * 60)}
              {plan.section.vent !== undefined && `; air in at ${nodeName(plan.section.vent.node)}`}
            </small>
          </li>
        )}
        {plan.prove.map((point) => (
          <li key={point.medium} className={`py-1.5 ${point.how === "nowhere" ? "text-stop" : ""}`}>
            {proveWords(words, point)}
          </li>
        ))}
      </ul>
    </Panel>
  );
}

export function OutagePanel({ plan }: { plan: IsolationPlan }) {
  const words = useSpeaker();
  if (plan.lost.length === 0) return null;
  const fire = plan.lost.some((each) => each.hydrant || each.protects);
  return (
    <section className="rounded-lg border-[1.5px] border-stop bg-stop-bg p-4">
      <h2 className="caption text-stop!">Out of service meanwhile</h2>
      <p className="mt-1">
        <b>{plan.lost.map((each) => lostName(words, each)).join(", ")}.</b>{" "}
        {fire
          ? `Tell the fire service and the duty officer first. The clock starts with the first valve; after ${WATCH_AFTER_H} h somebody must stand watch, or sooner where your authority says so.`
          : "Tell the users before you shut."}
      </p>
    </section>
  );
}

/** Energy that stays, liquid that is locked in, permits to ask for. */
export function CarePanel({ plan }: { plan: IsolationPlan }) {
  const words = useSpeaker();
  const locked = plan.locked.filter((piece) => !piece.untilDrained || piece.medium !== "water");
  if (plan.stored.length + locked.length + plan.permits.length === 0) return null;
  return (
    <Panel title="Take care">
      <ul className="dashed">
        {plan.stored.map((each) => (
          <li key={each.kind + (each.at ?? "")} className="py-1.5">
            <b className="capitalize">{storedKind(words, each)}</b>, {storedAt(words, each)}:{" "}
            {storedWords(words, each)}
            {each.wait_min !== undefined && ` Wait ${each.wait_min} min.`}
          </li>
        ))}
        {locked.map((piece) => (
          <li key={piece.nodes.join()} className="py-1.5">
            <b>Locked liquid.</b> {lockedWords(words, piece)}
          </li>
        ))}
        {plan.permits.map((permit) => (
          <li key={permit} className="py-1.5">
            <b>Permit: {words.say.media.permits[permit].title}.</b> {words.say.media.permits[permit].says}
          </li>
        ))}
      </ul>
    </Panel>
  );
}

export function OthersPanel({
  others,
  kept,
  onKeep,
}: {
  others: readonly Alternative[];
  kept: boolean;
  onKeep: (node: string | undefined) => void;
}) {
  if (others.length === 0 && !kept) return null;
  return (
    <Panel title="Other ways">
      <ul className="flex flex-col gap-2">
        {kept && (
          <li>
            <button type="button" className="btn btn-quiet w-full" onClick={() => onKeep(undefined)}>
              Back to the quickest way
            </button>
          </li>
        )}
        {!kept &&
          others.map((other) => (
            <li key={other.keep}>
              <button
                type="button"
                className="btn btn-quiet w-full justify-between text-left"
                onClick={() => onKeep(other.keep)}
              >
                <span>
                  Keep {other.name} in service: shut {other.closures}
                </span>
                <b className="whitespace-nowrap">
                  {other.extraMinutes >= 0 ? "+" : "−"} {Math.abs(other.extraMinutes)} min
                </b>
              </button>
            </li>
          ))}
      </ul>
    </Panel>
  );
}
