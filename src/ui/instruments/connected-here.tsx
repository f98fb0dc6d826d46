"use client";

import dynamic from "next/dynamic";
import { useSpeaker } from "../use-speaker";

const InstrumentPanel = dynamic(() => import("./instrument-panel").then((made) => made.InstrumentPanel), {
  ssr: false,
});

/** What is connected to this device, beside the register. */
export function ConnectedHere() {
  const words = useSpeaker().say.instruments;
  return (
    <section aria-labelledby="connected-here" className="mt-6">
      <h2 id="connected-here" className="font-bold text-head">
        {words.here}
      </h2>
      <p className="text-soft">{words.says}</p>
      <InstrumentPanel />
    </section>
  );
}
