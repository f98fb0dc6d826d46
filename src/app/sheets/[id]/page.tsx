import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { unsourced } from "@/core/build";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { PapersPanel } from "@/ui/own/papers-panel";
import { TakeAway } from "@/ui/own/take-away";
import { Panel } from "@/ui/page";
import { SheetAxis } from "@/ui/sheet-axis";
import { Checks, Hazards, Head, Intervals, Kits, OffAndBack, Revisions } from "./panels";

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ part?: string; revision?: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: services().library.sheet(pathId((await params).id))?.title ?? "Sheet" };
}

export default async function SheetPage({ params, searchParams }: Props) {
  const notation = await readSettings();
  const all = services();
  const { library } = all;
  const id = pathId((await params).id);
  const { part, revision } = await searchParams;
  const revisions = library.revisions(id);
  const sheet = library.sheet(id, revision === undefined ? undefined : Number(revision));
  if (sheet === undefined) notFound();
  const bare = unsourced(sheet);
  const registered = all.register.ofSheet(id).length;
  const newest = sheet.revision === revisions.at(-1);
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-4 px-4 py-4 md:px-5 lg:grid-cols-[auto_minmax(270px,1fr)]">
      <Head sheet={sheet} newest={newest} />
      {revisions.length > 1 && <Revisions sheet={sheet} revisions={revisions} />}
      {!newest && (
        <div className="lg:col-span-2">
          <Notice tone="wait">
            An older revision. Jobs that began with it go on with it; new ones take revision{" "}
            {revisions.at(-1)}.
          </Notice>
        </div>
      )}
      {bare.length > 0 && (
        <div className="lg:col-span-2">
          <Notice tone="wait">
            <b>{bare.length} figures have no source:</b>{" "}
            {bare
              .slice(0, 12)
              .map(({ of }) => of)
              .join(", ")}
            {bare.length > 12 && " …"}. They are marked on every card until somebody is named for them.
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
      {sheet.vouched !== undefined && (
        <p className="text-soft lg:col-span-2">
          {sheet.vouched.by} vouches for its figures: {sheet.vouched.source}
        </p>
      )}
      <section className="card flex h-[620px] flex-col overflow-hidden pt-3 lg:h-[720px]">
        <h2 className="caption px-4 pb-1">The axis: tap a part</h2>
        <SheetAxis key={part} sheet={sheet} {...(part !== undefined && { first: part })} />
      </section>
      <div className="flex flex-col gap-4">
        <Hazards sheet={sheet} />
        <OffAndBack sheet={sheet} notation={notation} />
      </div>
      <div className="flex flex-col gap-4">
        <Checks sheet={sheet} notation={notation} />
        <Kits sheet={sheet} />
        <Intervals sheet={sheet} />
      </div>
      <div className="no-print grid items-start gap-4 md:grid-cols-2 lg:col-span-2">
        <PapersPanel of="sheet" owner={id} papers={all.things.papersOf("sheet", id)} />
        <Panel title="This sheet">
          <p className="mb-2 text-soft">
            {registered === 0
              ? "No valve is registered under it."
              : `${registered} ${registered === 1 ? "valve is" : "valves are"} registered under it.`}
          </p>
          <div className="flex flex-wrap gap-2">
            <Link href={`/valves/new?sheet=${encodeURIComponent(id)}`} className="btn btn-quiet">
              Register a valve under it
            </Link>
            <TakeAway kind="sheet" id={id} name={sheet.title} to="/sheets" />
          </div>
        </Panel>
      </div>
    </div>
  );
}
