import type { Metadata } from "next";
import Link from "next/link";
import { placesSeen } from "@/server/places/places";
import { services } from "@/server/services";
import { SiteMap } from "@/ui/map/site-map";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { siteMarks } from "./site-marks";

export const metadata: Metadata = { title: "Places" };

export default function PlacesPage() {
  const { places, strange, ground } = placesSeen(services());
  const marks = siteMarks(places);
  return (
    <Page
      title="Places"
      says="Where valves stand: the way in, what can hurt there, who is told before."
      action={
        <Link href="/places/new" className="btn btn-go">
          Add a place
        </Link>
      }
    >
      {places.length === 0 && strange.length === 0 && (
        <Empty>No place yet. Add one, or bring in places as CSV or GeoJSON in the Loft.</Empty>
      )}
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[1fr_340px]">
        {marks.length > 0 && (
          <SiteMap
            ground={ground}
            marks={marks}
            label="Map of the places"
            className="h-[420px] lg:h-[640px]"
          />
        )}
        <div
          className="flex flex-col gap-4 lg:max-h-[640px] lg:overflow-y-auto"
          tabIndex={0}
          role="group"
          aria-label="List of places"
        >
          {places.length > 0 && (
            <Panel title="Described" note={String(places.length)}>
              <ul className="dashed">
                {places.map(({ place, spot, valves, late }) => (
                  <li key={place.name}>
                    <Link
                      href={`/places/${encodeURIComponent(place.name)}`}
                      className="grid min-h-12 grid-cols-[1fr_auto] items-center gap-3 py-1"
                    >
                      <span className="min-w-0">
                        <span className="block underline underline-offset-4">{place.name}</span>
                        <small className="block text-note text-soft">
                          {valves} {valves === 1 ? "valve" : "valves"}
                          {spot === undefined && ", not on the map"}
                        </small>
                      </span>
                      {late > 0 && <span className="plate text-lead text-stop">{late} late</span>}
                    </Link>
                  </li>
                ))}
              </ul>
            </Panel>
          )}
          {strange.length > 0 && (
            <Panel title="Not described yet" note={String(strange.length)}>
              <ul className="dashed">
                {strange.map(({ name, valves }) => (
                  <li key={name} className="flex items-center justify-between gap-3 py-1">
                    <span className="min-w-0 break-words">
                      {name}
                      <small className="block text-note text-soft">
                        {valves} {valves === 1 ? "valve" : "valves"}
                      </small>
                    </span>
                    <Link href={`/places/new?name=${encodeURIComponent(name)}`} className="btn btn-quiet">
                      Describe
                    </Link>
                  </li>
                ))}
              </ul>
            </Panel>
          )}
        </div>
      </div>
    </Page>
  );
}
