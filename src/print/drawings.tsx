import { renderToStaticMarkup } from "react-dom/server";
import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import { judgedTraces, type Run, run } from "@/core/job";
import type { PaperTask } from "@/server/papers/print-task";
import { Axis } from "@/ui/draw/axis";
import { LineStill } from "@/ui/draw/line-drawing";
import { axisParts } from "@/ui/job/axis-parts";
import { lineView } from "@/ui/line-view";
import { KeptTrace } from "@/ui/paper/kept-traces";
import { SettingsProvider, USUALLY } from "@/ui/settings";
import { type Drawn, speaker } from "@/words";
import { svgToPdf } from "./svg-to-pdf";

/** Room for a drawing, pt: the width between the margins, and what leaves space for its title. */
const ROOM = { width: 515, height: 640 };
const SETTINGS = { ...USUALLY, theme: "light", motion: "off" } as const;

/** A drawing as the screens draw it; none where there is nothing to draw. */
export function drawing(of: Drawn, task: PaperTask) {
  const drawn = drawnOf(of, task);
  if (drawn === undefined) return undefined;
  return svgToPdf(
    renderToStaticMarkup(
      <SettingsProvider settings={{ ...SETTINGS, ...task.notation }} signedIn={undefined} crew={[]}>
        {drawn}
      </SettingsProvider>,
    ),
    ROOM,
  );
}

function drawnOf(of: Drawn, task: PaperTask) {
  if (of === "axis") return axis(task);
  if (of === "section") return section(task, 0);
  return "trace" in of ? trace(task, of.trace) : section(task, of.section);
}

function jobOf({ job }: PaperTask): Run | undefined {
  const made = job === undefined ? undefined : run(job.inputs, job.events);
  return made?.ok === true ? made.value : undefined;
}

function axis(task: PaperTask) {
  const job = jobOf(task);
  return job === undefined ? undefined : <Axis parts={axisParts(job)} form="wide" />;
}

/** What an instrument showed over a time. */
function trace(task: PaperTask, event: string) {
  const job = jobOf(task);
  const judged =
    job === undefined
      ? undefined
      : judgedTraces(job, new Map(job.plan.steps.map((step) => [step.id, step] as const))).find(
          (each) => each.trace.event === event,
        );
  if (job === undefined || judged === undefined) return undefined;
  const { zero_bar } = job.inputs.sheet.isolation;
  return <KeptTrace words={speaker(task.notation)} judged={judged} zero_bar={zero_bar} />;
}

/** The line as it stands while the section is dead: all that is shut for it is shut. */
function section(task: PaperTask, at: number) {
  const job = jobOf(task);
  if (job === undefined) {
    const section = task.sections?.[at];
    return section && still(section.line, section.plan, section.target, [], []);
  }
  const { inputs, plan, progress } = job;
  const { line, valve } = inputs;
  if (line === undefined || plan.isolation?.ok !== true) return undefined;
  const shut = [...progress.shut.keys()];
  return still(line, plan.isolation.value, valve.node ?? valve.tag, shut, progress.passing);
}

function still(
  line: Line,
  plan: IsolationPlan,
  target: string | undefined,
  shut: readonly string[],
  passing: readonly string[],
) {
  const setting = {
    shut: new Set([...shut, ...plan.closures.map(({ link }) => link)]),
    turned: new Map(plan.turned.map((each) => [each.node, each.to.id])),
  };
  const view = lineView(line, setting, plan, { passing, ...(target !== undefined && { target }) });
  return <LineStill view={{ ...view, line: nearBy(view.line, plan) }} />;
}

/** The section and what it ends at: of the main of a town nobody could read more on paper. */
function nearBy(line: Line, plan: IsolationPlan): Line {
  const closures = new Set(plan.closures.map(({ link }) => link));
  const section = new Set(plan.section.nodes);
  const near = new Set(
    line.links.flatMap(({ id, from, to }) =>
      closures.has(id) || section.has(from) || section.has(to) ? [from, to] : [],
    ),
  );
  return {
    ...line,
    nodes: line.nodes.filter(({ id }) => near.has(id)),
    links: line.links.filter(({ from, to }) => near.has(from) && near.has(to)),
  };
}
