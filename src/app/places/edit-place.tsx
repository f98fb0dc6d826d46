"use client";

import { LocateFixed } from "lucide-react";
import { useState } from "react";
import type { Place } from "@/core/formats";
import { call } from "@/edge/client";
import { PLACES } from "@/edge/contracts/own";
import { Says } from "@/ui/kit/labelled";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { Panel } from "@/ui/page";

/** A place, new or known. */
export function EditPlace({
  place,
  known,
  sections,
}: {
  place: Partial<Place>;
  /** The name it has so far; nothing for a new one. */
  known: string | undefined;
  sections: readonly OwnSection[];
}) {
  const [standing, setStanding] = useState<Pick<Place, "lat" | "lon">>({});
  const row = { ...place, ...standing } as Place;
  const path = (name: string) => `/places/${encodeURIComponent(name)}`;
  return (
    <OwnForm
      // Where one stands fills the form anew.
      key={JSON.stringify(standing)}
      what={known ?? "the new place"}
      verb={known === undefined ? "Add this place" : "Save"}
      sections={sections}
      row={row}
      save={(made) =>
        call(PLACES.save, {
          params: { id: known ?? made.name ?? "-" },
          body: known === undefined ? { row: made } : { was: place as Place, row: made },
        })
      }
      after={({ name }) => path(name)}
      cancel={known === undefined ? "/places" : path(known)}
      aside={<HereIAm onStanding={setStanding} />}
    />
  );
}

/** The position of the device, where it gives one: whoever stands there need not type it. */
function HereIAm({ onStanding }: { onStanding: (spot: { lat: number; lon: number }) => void }) {
  const [says, setSays] = useState<string>();
  const ask = () => {
    if (!("geolocation" in navigator)) return setSays("This device tells no position. Type it.");
    setSays("Asking the device …");
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setSays(`Taken, good to ${Math.round(coords.accuracy)} m.`);
        onStanding({ lat: Number(coords.latitude.toFixed(6)), lon: Number(coords.longitude.toFixed(6)) });
      },
      () => setSays("The device gave no position. Allow it in the browser, go into the open, or type it."),
      { enableHighAccuracy: true, timeout: 20_000 },
    );
  };
  return (
    <Panel title="Are you there?">
      <button type="button" className="btn btn-quiet w-full" onClick={ask}>
        <LocateFixed size={20} aria-hidden /> Take this position
      </button>
      <Says hint={says} />
    </Panel>
  );
}
