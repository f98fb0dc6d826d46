import Link from "next/link";
import type { Sheet } from "@/core/formats";
import type { Notation } from "@/core/quantity";
import { Panel } from "@/ui/page";
import { endWords, limitWords, speaker } from "@/words";

const nameIn = (sheet: Sheet) => (id: string) => sheet.parts.find((each) => each.id === id)?.name ?? id;

/** What the sheet is of, and what can be done with it. */
export function Head({ sheet, newest }: { sheet: Sheet; newest: boolean }) {
  return (
    <header className="flex flex-wrap items-end gap-4 lg:col-span-2">
      <div className="min-w-0 basis-full md:flex-1 md:basis-0">
        <h1 className="font-bold text-title leading-tight">{sheet.title}</h1>
        <p className="text-soft">
          {sheet.maker} {sheet.model}, revision {sheet.revision}. {sheet.summary}
        </p>
      </div>
      <Link href={`/sheets/${sheet.id}/print`} className="btn btn-quiet">
        Print
      </Link>
      <a href={`/api/v1/sheets/${sheet.id}?revision=${sheet.revision}`} download className="btn btn-quiet">
        Take it as a file
      </a>
      <Link href={`/sheets/${sheet.id}/edit?copy`} className="btn btn-quiet">
        Adapt a copy
      </Link>
      {newest && (
        <Link href={`/sheets/${sheet.id}/edit`} className="btn btn-go">
          Edit
        </Link>
      )}
    </header>
  );
}

/** Every stored state of it. */
export function Revisions({ sheet, revisions }: { sheet: Sheet; revisions: readonly number[] }) {
  return (
    <nav aria-label="Revisions" className="plate flex flex-wrap items-center gap-2 text-body lg:col-span-2">
      Revisions
      {revisions.map((each) => (
        <Link
          key={each}
          href={`/sheets/${sheet.id}?revision=${each}`}
          aria-current={each === sheet.revision ? "page" : undefined}
          className="grid min-h-11 min-w-11 place-items-center rounded border-[1.5px] border-rule px-2 aria-[current]:border-ink aria-[current]:bg-ink aria-[current]:text-paper"
        >
          {each}
        </Link>
      ))}
    </nav>
  );
}

/** What can happen at such a valve and what to do, and who may work on it. */
export function Hazards({ sheet }: { sheet: Sheet }) {
  return (
    <Panel title="What can happen">
      <ul className="dashed">
        {sheet.hazards.map((hazard) => (
          <li key={hazard.id} className="py-2">
            <b>{hazard.can}</b> {hazard.do}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-soft">{sheet.competence}</p>
    </Panel>
  );
}

/** What holds each part, and how it goes back. */
export function OffAndBack({ sheet, notation }: { sheet: Sheet; notation: Notation }) {
  const name = nameIn(sheet);
  return (
    <Panel title="Off, and back">
      <ul className="dashed">
        {sheet.parts
          .filter((each) => !each.stays)
          .map((each) => (
            <li key={each.id} className="py-2">
              <b>{each.name}</b>
              <small className="block text-note text-soft">
                {each.ways
                  .map((way) =>
                    way.heldBy.length === 0 ? "free" : `after ${way.heldBy.map(name).join(", ")}`,
                  )
                  .join("; or ")}
                {each.fit ? `. Back: ${endWords(speaker(notation), each.fit.end)}` : ""}
              </small>
            </li>
          ))}
      </ul>
    </Panel>
  );
}

/** What is looked at and measured, and what each answer means. */
export function Checks({ sheet, notation }: { sheet: Sheet; notation: Notation }) {
  return (
    <Panel title="Checks">
      <ul className="dashed">
        {sheet.checks.map((check) => (
          <li key={check.id} className="py-2">
            {check.ask} <span className="plate text-soft">{check.phase}</span>
            <small className="block text-note text-soft">
              {(check.kind === "choice" || check.kind === "pieces") &&
                check.options.map((option) => `${option.label}: ${option.means}`).join("; ")}
              {check.kind === "trick" &&
                `${check.go.label}: ${check.go.means}; ${check.noGo.label}: ${check.noGo.means}`}
              {check.kind === "measure" && limitWords(speaker(notation), check)}
            </small>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** What each kit brings, and for which generation. */
export function Kits({ sheet }: { sheet: Sheet }) {
  const name = nameIn(sheet);
  return (
    <Panel title="Kits">
      <ul className="dashed">
        {sheet.kits.map((kit) => (
          <li key={kit.id} className="py-2">
            <b>{kit.name}</b>{" "}
            {kit.generations === undefined ? "fits all" : `fits generation ${kit.generations.join(", ")}`}
            <small className="block text-note text-soft">
              {kit.contents
                .map((item) => `${name(item.part)}${item.quantity > 1 ? ` × ${item.quantity}` : ""}`)
                .join(", ")}
              {kit.leftovers.map((left) => `; left over: ${left.name} (${left.why})`).join("")}
            </small>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** When such a valve rings. */
export function Intervals({ sheet }: { sheet: Sheet }) {
  return (
    <Panel title="Rings">
      <ul className="dashed">
        {sheet.intervals.map((interval) => (
          <li key={interval.id} className="py-2">
            Every {interval.every_months} months: {interval.what}
            {interval.counts !== undefined &&
              `, or every ${interval.counts.every} ${interval.counts.what.replaceAll("-", " ")}`}
            {interval.season !== undefined && (
              <small className="block text-note">
                Only from {interval.season.from} to {interval.season.to} (month-day). {interval.season.why}
              </small>
            )}
            <small className="block text-note text-soft">{interval.source}</small>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
