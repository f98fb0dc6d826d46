import type { Metadata } from "next";
import Link from "next/link";
import { isDemo, services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { ResetDemo } from "./reset-demo";
import { SettingsForm } from "./settings-form";

export const metadata: Metadata = { title: "Loft" };

export default function LoftPage() {
  const { library } = services();
  const people = library.people();
  return (
    <Page title="The loft" says="Settings of this device, the crew, and what comes in and goes out.">
      <div className="grid gap-4 lg:grid-cols-2">
        <SettingsForm people={people.map((person) => person.name)} />
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
          {people.length === 0 && <Empty>Nobody yet. Bring in a crew.csv with id, name and may.</Empty>}
          <ul className="dashed">
            {people.map((person) => (
              <li key={person.id} className="py-2">
                {person.name}
                <small className="block text-[14.5px] text-soft">{person.may}</small>
              </li>
            ))}
          </ul>
        </Panel>
        <Panel title="For other programs">
          <ul className="list-disc space-y-1 pl-5">
            <li>
              <a className="underline underline-offset-4" href="/api/v1">
                Routes and what they take
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
