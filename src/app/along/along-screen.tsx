"use client";

import { useSearchParams } from "next/navigation";
import { TakeAlong } from "@/ui/along/take-along";
import { useKeptHere } from "@/ui/along/use-kept-here";
import { Notice } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { useStanding } from "@/ui/use-standing";
import { JobsHere } from "./jobs-here";
import { Room } from "./room";
import { TakenAlong } from "./taken-along";
import { Unsent } from "./unsent";

/** What lies on this device: first what the server does not have, then what opens without signal, then the room for it. */
export function AlongScreen() {
  const not = useSearchParams().get("not");
  const kept = useKeptHere();
  const standing = useStanding();
  return (
    <Page title="On this device" says="What waits for the server, and what opens without signal.">
      {not !== null && (
        <Notice tone="wait" live>
          <b>No signal, and this page is not on this device:</b> {not}. Below is what is. With a signal, take
          along what you will need: a day, a valve, a place or a line.
        </Notice>
      )}
      {standing.kind === "nobody" && (
        <Notice tone="stop" live>
          <b>You are not signed in here any more.</b> {standing.why} Nothing is lost:{" "}
          <a className="underline underline-offset-4" href={`/sign-in?to=${encodeURIComponent("/along")}`}>
            sign in
          </a>
          , and what waits is sent.
        </Notice>
      )}
      {standing.kind === "cannot-store" && (
        <Notice tone="stop" live>
          <b>The server does not store.</b> {standing.why} What you enter stays here until it does.
        </Notice>
      )}
      <div className="grid gap-4 lg:grid-cols-2">
        <Unsent kept={kept} standing={standing} />
        <Panel title="Take along">
          <p className="mb-3 text-soft">
            With a signal. A valve, a place or a line is taken along on its own page.
          </p>
          <div className="flex flex-wrap gap-3">
            <TakeAlong what="day" label="My day" />
            <TakeAlong what="bench" label="The bench book" />
          </div>
        </Panel>
        <JobsHere />
        <TakenAlong />
        <Room />
      </div>
    </Page>
  );
}
