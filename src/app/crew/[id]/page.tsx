import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { historyOf } from "@/server/own/history";
import { services } from "@/server/services";
import { HistoryPanel } from "@/ui/own/history-panel";
import { PapersPanel } from "@/ui/own/papers-panel";
import { TakeAway } from "@/ui/own/take-away";
import { Page } from "@/ui/page";
import { EditPerson } from "../edit-person";
import { LeavePanel } from "../leave-panel";
import { personSections } from "../person-sections";

type Params = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).id) };
}

export default async function PersonPage({ params }: Params) {
  const id = pathId((await params).id);
  const all = services();
  const person = all.library.people().find((each) => each.id === id);
  if (person === undefined) notFound();
  const places = all.things.all("place").map(({ name }) => name);
  const shifts = all.things.one("house", "house")?.shifts ?? [];
  return (
    <Page
      title={person.name}
      says={person.may}
      action={<TakeAway kind="person" id={id} name={person.name} to="/crew" />}
    >
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[1fr_340px]">
        <EditPerson
          key={JSON.stringify(person)}
          person={person}
          sections={personSections(shifts, places, false)}
        />
        <div className="flex flex-col gap-4">
          <LeavePanel person={id} name={person.name} />
          <PapersPanel of="person" owner={id} papers={all.things.papersOf("person", id)} />
          <HistoryPanel edits={historyOf(all, "person", id)} />
        </div>
      </div>
    </Page>
  );
}
