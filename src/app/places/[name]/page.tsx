import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { WEEKDAYS } from "@/core/formats";
import { historyOf } from "@/server/own/history";
import { placesSeen } from "@/server/places/places";
import { services } from "@/server/services";
import { TakeAlongPanel } from "@/ui/along/take-along";
import { SiteMap } from "@/ui/map/site-map";
import { Empty, Notice } from "@/ui/notice";
import { HistoryPanel } from "@/ui/own/history-panel";
import { PapersPanel } from "@/ui/own/papers-panel";
import { TakeAway } from "@/ui/own/take-away";
import { Page, Panel } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { siteMarks } from "../site-marks";

type Params = { params: Promise<{ name: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: pathId((await params).name) };
}

const MOST_SHOWN = 60;

export default async function PlacePage({ params }: Params) {
  const name = pathId((await params).name);
  const all = services();
  const place = all.things.one("place", name);
  const { places, ground } = placesSeen(all);
  const rooms = all.register.atOrIn(name, MOST_SHOWN);
  if (place === undefined && rooms.length === 0) notFound();
  const marks = siteMarks(places, name);
  const { within, way, hazard, contact, phone, notice_days: days } = place ?? { name };
  return (
    <Page
      title={name}
      {...(within !== undefined && { says: `Part of ${within}` })}
      action={
        place === undefined ? (
          <Link href={`/places/new?name=${encodeURIComponent(name)}`} className="btn btn-go">
            Describe it
          </Link>
        ) : (
          <>
            <Link href={`/places/${encodeURIComponent(name)}/edit`} className="btn btn-quiet">
              Change
            </Link>
            <TakeAway kind="place" id={name} to="/places" />
          </>
        )
      }
    >
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[1fr_380px]">
        <div className="flex min-w-0 flex-col gap-4">
          {hazard !== undefined && <Notice tone="stop">{hazard}</Notice>}
          {marks.some(({ here }) => here) && (
            <SiteMap ground={ground} marks={marks} label={`Map with ${name}`} className="h-[380px]" />
          )}
          <Panel
            title="Valves here"
            note={rooms.length >= MOST_SHOWN ? `the first ${MOST_SHOWN}` : String(rooms.length)}
          >
            {rooms.length === 0 && <Empty>None stands here.</Empty>}
            <ul className="dashed">
              {rooms.map((valve) => (
                <li key={valve.tag} className="flex flex-wrap items-center gap-x-3 py-1">
                  <Plate id={valve.tag} href={`/valves/${encodeURIComponent(valve.tag)}`} />
                  <span className="min-w-0 flex-1">
                    {valve.name}
                    {valve.place !== name && (
                      <small className="block text-note text-soft">{valve.place}</small>
                    )}
                  </span>
                </li>
              ))}
            </ul>
            <Link href={`/valves/new?place=${encodeURIComponent(name)}`} className="btn btn-quiet mt-2">
              Register a valve here
            </Link>
          </Panel>
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          {place !== undefined && (
            <Panel title="To know">
              <dl className="grid gap-3">
                <Fact term="The way in">{way}</Fact>
                <Fact term="Told before work">
                  {contact === undefined
                    ? undefined
                    : [
                        contact,
                        phone,
                        days === undefined ? undefined : `${days} ${days === 1 ? "day" : "days"} before`,
                      ]
                        .filter(Boolean)
                        .join(", ")}
                </Fact>
                <Fact term="Work may be done">
                  {place.hours &&
                    WEEKDAYS.flatMap((day) => {
                      const span = (place.hours as Partial<Record<string, string>>)[day];
                      return span === undefined ? [] : [`${day} ${span}`];
                    }).join(", ")}
                </Fact>
                <Fact term="Position">
                  {place.lat === undefined ? undefined : `${place.lat}° N, ${place.lon}° E (WGS 84)`}
                </Fact>
              </dl>
            </Panel>
          )}
          {place !== undefined && (
            <PapersPanel of="place" owner={name} papers={all.things.papersOf("place", name)} />
          )}
          <TakeAlongPanel what="place" of={name} label="Take this place along" />
          <HistoryPanel edits={historyOf(all, "place", name)} />
        </div>
      </div>
    </Page>
  );
}

function Fact({ term, children }: { term: string; children: string | undefined }) {
  return (
    <div>
      <dt className="text-note text-soft">{term}</dt>
      <dd className="whitespace-pre-line">{children ?? <span className="text-soft">not said</span>}</dd>
    </div>
  );
}
