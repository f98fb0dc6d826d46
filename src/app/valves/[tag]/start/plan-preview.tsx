import type { Sheet } from "@/core/formats";
import { PHASES, type Plan } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { closureWhy, lostName, stepWords } from "@/words";
import { BringPanel } from "./bring-panel";

/** The job as it is compiled from what is chosen: what to shut, what to bring, the way. */
export function PlanPreview({ plan, sheet }: { plan: Plan; sheet: Sheet }) {
  const name = (id: string) => sheet.parts.find((part) => part.id === id)?.name ?? id;
  return (
    <>
      <ShutPanel plan={plan} noLine={sheet.isolation.noLine} />
      <BringPanel plan={plan} name={name} />
      <WayPanel plan={plan} />
    </>
  );
}

function ShutPanel({ plan, noLine }: { plan: Plan; noLine: string }) {
  const words = useSpeaker();
  return (
    <Panel title="Shut" note={plan.isolation?.ok ? `${plan.isolation.value.minutes} min` : ""}>
      {plan.isolation === undefined && (
        <p>
          {plan.steps.some(({ kind }) => kind === "away")
            ? "Nothing: it is not in its line. Look whether it is empty before a tool is on it."
            : plan.removed.length === 0
              ? "Nothing: it is looked at as it stands."
              : noLine}
        </p>
      )}
      {plan.isolation?.ok === false && (
        <p className="text-stop">
          There is no safe isolation as the line stands. The job will say what would make one.
        </p>
      )}
      <ol className="dashed">
        {plan.isolation?.ok &&
          plan.isolation.value.closures.map((closure, index) => (
            <li key={closure.link} className="flex gap-3 py-1.5">
              <span className="plate grid size-7 shrink-0 place-items-center rounded-full bg-ink text-body text-card">
                {index + 1}
              </span>
              <span>
                {closure.link} {closure.name}
                <small className="block text-fine text-soft">{closureWhy(words, closure)}</small>
              </span>
            </li>
          ))}
      </ol>
      {plan.isolation?.ok && plan.isolation.value.lost.length > 0 && (
        <p className="mt-2 text-stop">
          Out of service: {plan.isolation.value.lost.map((each) => lostName(words, each)).join(", ")}.
        </p>
      )}
    </Panel>
  );
}

function WayPanel({ plan }: { plan: Plan }) {
  const words = useSpeaker();
  return (
    <Panel title="The way" note={`${plan.steps.length} steps`}>
      {PHASES.map((phase) => {
        const steps = plan.steps.filter((step) => step.phase === phase);
        return steps.length === 0 ? null : (
          <details key={phase} className="border-rule border-t-[1.5px] border-dashed first:border-t-0">
            <summary className="plate flex min-h-11 items-center justify-between text-lead">
              {words.say.common.phases[phase]}
              <span className="text-soft">
                {steps.length} {steps.length === 1 ? "step" : "steps"},{" "}
                {formatDuration(steps.reduce((sum, step) => sum + step.minutes, 0) * 60)}
              </span>
            </summary>
            <ol className="dashed pb-2 pl-2">
              {steps.map((step) => {
                const { title, why } = stepWords(words, step);
                return (
                  <li key={step.id} className="py-1.5">
                    {title}
                    <small className="block text-fine text-soft">{why}</small>
                  </li>
                );
              })}
            </ol>
          </details>
        );
      })}
    </Panel>
  );
}
