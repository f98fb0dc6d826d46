import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { services } from "@/server/services";
import { endWords } from "@/ui/end-words";
import { limitWords } from "@/ui/limit-words";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { SheetAxis } from "@/ui/sheet-axis";

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ part?: string; revision?: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: services().library.sheet(pathId((await params).id))?.title ?? "Sheet" };
}

export default async function SheetPage({ params, searchParams }: Props) {
  const { system } = await readSettings();
  const { library } = services();
  const id = pathId((await params).id);
  const { part, revision } = await searchParams;
  const revisions = library.revisions(id);
  const sheet = library.sheet(id, revision === undefined ? undefined : Number(revision));
  if (sheet === undefined) notFound();
  const newest = sheet.revision === revisions.at(-1);
  const name = (id: string) => sheet.parts.find((each) => each.id === id)?.name ?? id;
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[auto_minmax(270px,1fr)]">
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
      {revisions.length > 1 && (
        <nav
          aria-label="Revisions"
          className="plate flex flex-wrap items-center gap-2 text-body lg:col-span-2"
        >
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
      )}
      {!newest && (
        <div className="lg:col-span-2">
          <Notice tone="wait">
            An older revision. Jobs that began with it go on with it; new ones take revision{" "}
            {revisions.at(-1)}.
          </Notice>
        </div>
      )}
      {sheet.demonstration && (
        <div className="lg:col-span-2">
          <Notice tone="wait">
            <b>Demonstration data: not for real equipment.</b> Every figure on this sheet is invented.
          </Notice>
        </div>
      )}
      <section className="card flex h-[620px] flex-col overflow-hidden pt-3 lg:h-[720px]">
        <h2 className="caption px-4 pb-1">The axis: tap a part</h2>
        <SheetAxis key={part} sheet={sheet} {...(part !== undefined && { first: part })} />
      </section>
      <div className="flex flex-col gap-4">
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
                    {each.fit ? `. Back: ${endWords(each.fit.end, system)}` : ""}
                  </small>
                </li>
              ))}
          </ul>
        </Panel>
      </div>
      <div className="flex flex-col gap-4">
        <Panel title="Checks">
          <ul className="dashed">
            {sheet.checks.map((check) => (
              <li key={check.id} className="py-2">
                {check.ask} <span className="plate text-soft">{check.phase}</span>
                <small className="block text-note text-soft">
                  {check.kind === "choice" &&
                    check.options.map((option) => `${option.label}: ${option.means}`).join("; ")}
                  {check.kind === "trick" &&
                    `${check.go.label}: ${check.go.means}; ${check.noGo.label}: ${check.noGo.means}`}
                  {check.kind === "measure" && limitWords(check, system)}
                </small>
              </li>
            ))}
          </ul>
        </Panel>
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
        <Panel title="Rings">
          <ul className="dashed">
            {sheet.intervals.map((interval) => (
              <li key={interval.id} className="py-2">
                Every {interval.every_months} months: {interval.what}
                <small className="block text-note text-soft">{interval.source}</small>
              </li>
            ))}
          </ul>
        </Panel>
      </div>
    </div>
  );
}
