import type { Metadata } from "next";
import Link from "next/link";
import { grouped } from "@/core/quantity";
import { feedKey } from "@/server/access/feed";
import { signInNeeded } from "@/server/access/needed";
import { listBackups } from "@/server/backup/backups";
import { folders, isDemo, type Services, services } from "@/server/services";
import { Page, Panel } from "@/ui/page";
import { readEntered } from "../settings";
import { ProofPanel } from "./proof-panel";
import { ResetDemo } from "./reset-demo";
import { SettingsForm } from "./settings-form";

export const metadata: Metadata = { title: "Loft" };

const counted = (count: number, one: string, many: string) => `${grouped(count)} ${count === 1 ? one : many}`;

/** Rooms of what one has entered, each with how much is in it. */
function ownData(all: Services) {
  const { library, register, things, edits, access } = all;
  const newest = edits.recent(1)[0];
  const [backup] = listBackups(folders());
  return [
    { href: "/valves", name: "Valves", says: counted(register.count(), "in service", "in service") },
    { href: "/places", name: "Places and map", says: counted(things.all("place").length, "place", "places") },
    { href: "/crew", name: "The crew", says: counted(library.crew().length, "person", "people") },
    {
      href: "/loft/access",
      name: "Who may come in",
      says: signInNeeded(all)
        ? counted(access.accounts().length, "may sign in", "may sign in")
        : "nobody signs in here",
    },
    {
      href: "/instruments",
      name: "Instruments",
      says: counted(things.all("instrument").length, "instrument", "instruments"),
    },
    { href: "/loft/bundle", name: "Everything as one file", says: "out, or in from another" },
    {
      href: "/loft/trouble",
      name: "What may be wrong",
      says: "complaints, causes, looks, and whether it held",
    },
    { href: "/loft/labels", name: "Labels", says: "for valves, lock points and the store" },
    { href: "/loft/house", name: "The house", says: things.one("house", "house")?.name ?? "not named yet" },
    {
      href: "/loft/backups",
      name: "Backups",
      says:
        backup === undefined
          ? "none yet"
          : `the newest of ${new Date(backup.made).toISOString().slice(0, "2026-11-30".length)}`,
    },
    {
      href: "/loft/changes",
      name: "Changes",
      says: newest === undefined ? "none yet" : `the last by ${newest.by}`,
    },
  ];
}

/** What can be taken out, and whether it can be brought in again as it is. */
const TAKEN_OUT = [
  ["/api/v1/export/valves.csv", "Valves", true],
  ["/api/v1/export/readings.csv", "Readings", true],
  ["/api/v1/export/places.csv", "Places", true],
  ["/api/v1/export/places.geojson", "Places and valves, GeoJSON", true],
  ["/api/v1/export/crew.csv", "Crew", true],
  ["/api/v1/export/instruments.csv", "Instruments", true],
  ["/api/v1/export/jobs.csv", "Jobs", false],
  ["/api/v1/export/lines.csv", "Lines", false],
  ["/api/v1/export/sheets.csv", "Sheets", false],
  ["/api/v1/export/stock.csv", "Stock", false],
  ["/api/v1/export/movements.csv", "Ledger of the store", false],
  ["/api/v1/export/orders.csv", "Orders", false],
  ["/api/v1/export/changes.csv", "Book of changes", false],
] as const;

export default async function LoftPage() {
  const all = services();
  const entered = await readEntered();
  const feed =
    entered === undefined
      ? "/api/v1/calendar.ics"
      : `/api/v1/calendar.ics?key=${await feedKey(all, entered.person)}`;
  const own = ownData(all);
  return (
    <Page title="The loft" says="Settings of this device, your own data, and what comes in and goes out.">
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <SettingsForm />
        <div className="flex flex-col gap-4">
          <Panel title="Bring in">
            <p className="mb-3">
              A register, readings, places, a crew, instruments (any CSV, or pasted from a spreadsheet);
              sheets, lines, stock, jobs (JSON); a map (GeoJSON). You see what would change before it does.
            </p>
            <Link href="/loft/import" className="btn btn-go">
              Choose files
            </Link>
          </Panel>
          <Panel title="Take out">
            <p className="mb-2">Every list as CSV, those in bold in the columns they are brought in by.</p>
            <ul className="mb-3 flex flex-wrap gap-x-5">
              {TAKEN_OUT.map(([href, name, again]) => (
                <li key={href}>
                  <a
                    href={href}
                    download
                    className={`inline-block min-h-11 content-center underline underline-offset-4 ${again ? "font-semibold" : ""}`}
                  >
                    {name}
                  </a>
                </li>
              ))}
            </ul>
            <p className="mb-2">
              Each line, sheet, store and job has its file on its own page. What rings can be subscribed to by
              any calendar:
            </p>
            <code className="block max-h-24 overflow-y-auto break-all rounded bg-sunk px-3 py-2">{feed}</code>
            {entered !== undefined && (
              <p className="mt-1 text-note text-soft">
                The key in it is yours: whoever has it sees what rings, and nothing else. With another
                password it is no longer good.
              </p>
            )}
            <ul className="mt-2 flex flex-wrap gap-x-5">
              <li>
                <a
                  className="inline-block min-h-11 content-center underline underline-offset-4"
                  href="/api/v1/calendar.ics"
                  download
                >
                  Calendar of what rings
                </a>
              </li>
              {all.library.stores().map(({ id, name }) => (
                <li key={id}>
                  <a
                    className="inline-block min-h-11 content-center underline underline-offset-4"
                    href={`/api/v1/stores/${encodeURIComponent(id)}`}
                    download
                  >
                    {name}
                  </a>
                </li>
              ))}
            </ul>
          </Panel>
        </div>
        <Panel title="Your own data">
          <ul className="dashed">
            {own.map(({ href, name, says }) => (
              <li key={href}>
                <Link href={href} className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-3 py-1">
                  <span className="underline underline-offset-4">{name}</span>
                  <span className="text-right text-note text-soft">{says}</span>
                </Link>
              </li>
            ))}
          </ul>
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
