import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import { formatDuration } from "@/core/quantity";
import {
  actWhy,
  actWords,
  lockedWords,
  lostName,
  proveWords,
  quantity,
  type Speaker,
  storedAt,
  storedKind,
  storedWords,
} from "@/words";

const LOCKED_ACTS: ReadonlySet<string> = new Set(["stop-pump", "switch-off", "shut", "turn", "hold-stem"]);

/** Rows that an A4 page holds at full size. */
const ROWS_ON_A_PAGE = 17;

/** The plan as rows to tick, with room for lock numbers, names and times; it fits one A4 page. */
export function IsolationSheet({ line, plan, words }: { line: Line; plan: IsolationPlan; words: Speaker }) {
  const name = (id: string) => line.nodes.find((node) => node.id === id)?.name ?? id;
  const closures = new Map(plan.closures.map((each) => [each.link, each]));
  const { drain } = plan.section;
  const cares = [
    ...plan.stored.map(
      (each) => `${storedAt(words, each)} (${storedKind(words, each)}): ${storedWords(words, each)}`,
    ),
    ...plan.locked
      .filter((piece) => !piece.untilDrained || piece.medium !== "water")
      .map((piece) => lockedWords(words, piece)),
    ...plan.permits.map((permit) => {
      const { title, says } = words.say.media.permits[permit];
      return `Permit: ${title}. ${says}`;
    }),
  ];
  const told = plan.lost.flatMap(({ node, name: lost }) => {
    const tell = line.nodes.find(({ id }) => id === node)?.tell;
    if (tell === undefined) return [];
    const { notice_days: days, ...contact } = tell;
    return [words.say.steps.notify.call({ ...contact, name: lost, ...(days !== undefined && { days }) })];
  });
  const rows = plan.shutting.length + plan.restoring.length + plan.prove.length + 2 * cares.length;
  return (
    <article
      className="fits-a-page flex flex-col gap-4 text-note leading-snug"
      style={{ "--fit": Math.min(1, ROWS_ON_A_PAGE / rows) } as React.CSSProperties}
    >
      <Rows
        title={`Shut, lock and tag: ${plan.minutes} min`}
        head={["", "What", "Where", "Lock no.", "By, time"]}
        rows={plan.shutting.map((act, index) => [
          String(index + 1),
          <>
            <b>{actWords(words, act)}</b>
            {closures.get(act.id)?.barrier === "outer" && " (second barrier)"}
          </>,
          closures.get(act.id)?.where ?? "",
          LOCKED_ACTS.has(act.kind) ? "" : "—",
          "",
        ])}
      />
      <section>
        <h2 className="caption">Drain and prove</h2>
        <ul className="dashed">
          {drain !== undefined && (
            <li className="py-1">
              Drain {quantity(words, drain.runs_L / 1000, "volume")} at {name(drain.node)}, about{" "}
              {formatDuration(drain.minutes * 60)}.
            </li>
          )}
          {plan.prove.map((point) => (
            <li key={point.medium} className="flex justify-between gap-6 py-1">
              <span>{proveWords(words, point)}</span>
              <span className="whitespace-nowrap text-soft">reading ______ again ______</span>
            </li>
          ))}
        </ul>
      </section>
      {plan.lost.length > 0 && (
        <p>
          <b>Out of service meanwhile:</b> {plan.lost.map((each) => lostName(words, each)).join(", ")}. Told:
          ____________________
          {told.length > 0 && <span className="block text-soft">{told.join(". ")}.</span>}
        </p>
      )}
      {cares.length > 0 && (
        <section>
          <h2 className="caption">Take care</h2>
          <ul className="list-disc pl-5">
            {cares.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </section>
      )}
      <Rows
        title="Bring back, in this order"
        head={["", "What", "Why", "By, time"]}
        rows={plan.restoring.map((act, index) => [
          String(index + 1),
          <b key="what">{actWords(words, act)}</b>,
          actWhy(words, act.why),
          "",
        ])}
      />
      <p className="text-soft">
        {line.demonstration === true && "Demonstration data: not for real equipment. "}
        Computed from the line as it was told. The site's procedure, local code and the licensed person
        decide; nothing is opened before zero is proven.
      </p>
    </article>
  );
}

function Rows({
  title,
  head,
  rows,
}: {
  title: string;
  head: readonly string[];
  rows: readonly (readonly React.ReactNode[])[];
}) {
  return (
    <section>
      <h2 className="caption">{title}</h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-fine text-soft">
            {head.map((each) => (
              <th key={each} className="border-rule border-b py-1 pr-2 font-normal">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index} className="align-top">
              {row.map((cell, column) => (
                <td key={head[column]} className="min-w-8 border-rule border-b py-1.5 pr-2">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
