import clsx from "clsx";
import type { Metadata } from "next";
import Link from "next/link";
import type { Competence, Person } from "@/core/formats";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { Day } from "@/ui/when";
import { COMPETENCE_NAMES } from "./competence-names";

export const metadata: Metadata = { title: "Crew" };

export default function CrewPage() {
  const { library, now } = services();
  const people = library.people();
  const here = people.filter(({ left }) => left === undefined);
  const gone = people.filter(({ left }) => left !== undefined);
  return (
    <Page
      title="The crew"
      says="Who works here, what each may do alone, and until when."
      action={
        <Link href="/crew/new" className="btn btn-go">
          Add somebody
        </Link>
      }
    >
      {here.length === 0 && <Empty>Nobody yet. Add yourself first: entries are signed by name.</Empty>}
      <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
        {here.map((person) => (
          <li key={person.id}>
            <PersonCard person={person} at={now()} />
          </li>
        ))}
      </ul>
      {gone.length > 0 && (
        <Panel title="No longer here" note={String(gone.length)}>
          <ul className="dashed">
            {gone.map(({ id, name, left }) => (
              <li key={id} className="flex min-h-11 items-center justify-between gap-3">
                <Link href={`/crew/${id}`} className="underline underline-offset-4">
                  {name}
                </Link>
                <span className="text-soft">
                  since <Day at={Date.parse(left!)} />
                </span>
              </li>
            ))}
          </ul>
        </Panel>
      )}
    </Page>
  );
}

const DAY_MS = 86_400_000;
const SOON_MS = 60 * DAY_MS;

/** One of the crew: a competence that has run out is red, one that soon will is amber, by word as well as by colour. */
function PersonCard({
  person: { id, name, may, competent = {}, proof = {}, phone, base },
  at,
}: {
  person: Person;
  at: number;
}) {
  const entries = Object.entries(competent as Record<Competence, string>) as [Competence, string][];
  return (
    <Link
      href={`/crew/${id}`}
      className="card block h-full border-t-[7px] border-t-brass-line p-4 hover:bg-sunk"
    >
      <b className="text-lead">{name}</b>
      <span className="block text-soft">{may}</span>
      {entries.length > 0 && (
        <ul className="mt-2 flex flex-col gap-1">
          {entries.map(([what, until]) => {
            const left = until === "open" ? Number.POSITIVE_INFINITY : Date.parse(until) + DAY_MS - at;
            return (
              <li key={what} className="flex flex-wrap justify-between gap-x-3">
                <span>
                  {COMPETENCE_NAMES[what]}{" "}
                  <span className="plate text-note text-soft">{(proof as Record<string, string>)[what]}</span>
                </span>
                <span
                  className={clsx(
                    left <= 0 ? "font-semibold text-stop" : left < SOON_MS ? "text-wait" : "text-soft",
                  )}
                >
                  {until === "open" ? (
                    "no end"
                  ) : (
                    <>
                      {left <= 0 ? "ran out" : "until"} <Day at={Date.parse(until)} />
                    </>
                  )}
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {(base !== undefined || phone !== undefined) && (
        <span className="mt-2 block text-note text-soft">{[base, phone].filter(Boolean).join(", ")}</span>
      )}
    </Link>
  );
}
