import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { historyOf } from "@/server/own/history";
import { services } from "@/server/services";
import { HistoryPanel } from "@/ui/own/history-panel";
import { PapersPanel } from "@/ui/own/papers-panel";
import { TakeAway } from "@/ui/own/take-away";
import { Page } from "@/ui/page";
import { EditInstrument } from "../edit-instrument";

type Params = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).id) };
}

export default async function InstrumentPage({ params }: Params) {
  const id = pathId((await params).id);
  const all = services();
  const instrument = all.things.one("instrument", id);
  if (instrument === undefined) notFound();
  return (
    <Page
      title={`${id}, ${instrument.name}`}
      action={<TakeAway kind="instrument" id={id} to="/instruments" />}
    >
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[1fr_340px]">
        <EditInstrument
          key={JSON.stringify(instrument)}
          instrument={instrument}
          keepers={all.library.crew().map(({ name }) => name)}
        />
        <div className="flex flex-col gap-4">
          <PapersPanel of="instrument" owner={id} papers={all.things.papersOf("instrument", id)} />
          <HistoryPanel edits={historyOf(all, "instrument", id)} />
        </div>
      </div>
    </Page>
  );
}
