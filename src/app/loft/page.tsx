import type { Metadata } from "next";
import Link from "next/link";
import { isDemo, services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { AddPerson } from "@/ui/who-picker";
import { ProofPanel } from "./proof-panel";
import { ResetDemo } from "./reset-demo";
import { SettingsForm } from "./settings-form";

export const metadata: Metadata = { title: "Loft" };

export default function LoftPage() {
  const { library } = services();
  const people = library.people();
  return (
    <Page title="The loft" says="Settings of this device, the crew, and what comes in and goes out.">
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <SettingsForm />
        <Panel title="Bring in">
          <p className="mb-3">
            A register, readings, a crew (CSV); sheets, lines, stock, jobs (JSON). You see what would change
            before it does.
          </p>
          <Link href="/loft/import" className="btn btn-go">
            Choose files
          </Link>
        </Panel>
        <Panel title="The crew" note={`${people.length}`}>
          {people.length === 0 && <Empty>Nobody yet. Add yourself here, or bring in a crew.csv.</Empty>}
          <ul className="dashed">
            {people.map((person) => (
              <li key={person.id} className="py-2">
                {person.name}
                <small className="block text-note text-soft">{person.may}</small>
              </li>
            ))}
          </ul>
          {people.length > 0 && (
            <details className="mt-2">
              <summary className="btn btn-quiet">Add somebody</summary>
              <div className="mt-3">
                <AddPerson />
              </div>
            </details>
          )}
        </Panel>
        <ProofPanel />
        <Panel title="For other programs">
          <ul className="list-disc space-y-1 pl-5">
            <li>
              <Link className="underline underline-offset-4" href="/loft/routes">
                Routes and what they take
              </Link>
            </li>
            <li>
              <a className="underline underline-offset-4" href="/api/v1/openapi.json">
                The same as OpenAPI 3.1
              </a>
            </li>
            {["sheet", "line", "store", "job"].map((name) => (
              <li key={name}>
                <a className="underline underline-offset-4" href={`/schemas/loftbell.${name}.json`}>
                  Schema of loftbell.{name}
                </a>
              </li>
            ))}
          </ul>
        </Panel>
        {isDemo() && <ResetDemo />}
      </div>
    </Page>
  );
}
