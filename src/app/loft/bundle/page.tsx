import type { Metadata } from "next";
import { pathOf } from "@/edge/client";
import { TAKE_BUNDLE } from "@/edge/contracts/bundle";
import { Page, Panel } from "@/ui/page";
import { ForKeepers } from "../../for-keepers";
import { BringBundle } from "./bring-bundle";

export const metadata: Metadata = { title: "Everything as one file" };

/** All of an installation out as one zip, and one of another's in. */
export default function BundlePage() {
  return (
    <ForKeepers title="Everything as one file">
      <Page
        title="Everything as one file"
        says="To move to another machine, to hand over to another department, to keep for ever: a zip of plain documents that another Loft Bell reads back."
      >
        <div className="grid items-start gap-4 lg:grid-cols-[22rem_1fr]">
          <Panel title="Take out">
            <p className="mb-3">
              House, crew, places, sheets, lines, store with its ledger, jobs with their logs and photographs,
              valves, readings, papers. Its list of contents is signed by this installation.
            </p>
            <a className="btn btn-go w-full" href={pathOf(TAKE_BUNDLE)} download>
              Take everything out
            </a>
            <p className="mt-3 text-note text-soft">
              Not in it: passwords and sessions, this installation's secret key, the book of changes, backups.
            </p>
          </Panel>
          <BringBundle />
        </div>
      </Page>
    </ForKeepers>
  );
}
