import type { Metadata } from "next";
import Link from "next/link";
import { asked, type SearchParams } from "@/app/list-query";
import { listValves } from "@/server/lists/lists";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { FindValve } from "./find-valve";

export const metadata: Metadata = { title: "Something is wrong" };

const MOST = 14;

/** Which valve it is: by its tag, its name or its place. What is reported already stands first. */
export default async function WhichValvePage({ searchParams }: { searchParams: SearchParams }) {
  const find = String(asked(await searchParams).find ?? "").slice(0, 120);
  const all = services();
  const reported = find === "" ? listValves(all, { state: "reported" }).rows : [];
  const rows = (find === "" ? reported : listValves(all, { find }).rows).slice(0, MOST);
  return (
    <Page title="Something is wrong" says="With which valve? Its tag, its name, or where it stands.">
      <div className="flex max-w-[760px] flex-col gap-4">
        <FindValve find={find} />
        <section className="card p-4" aria-label="Valves">
          <h2 className="caption mb-2">{find === "" ? "Reported" : "Found"}</h2>
          {rows.length === 0 && (
            <Empty>
              {find === ""
                ? "Nothing is reported. Type where it is: laundry, north quay, NQ-H07."
                : "No valve is found by that. Try fewer letters, or the place alone."}
            </Empty>
          )}
          <ul className="dashed">
            {rows.map(({ tag, name, place, symptom }) => (
              <li key={tag}>
                <Link
                  href={`/valves/${encodeURIComponent(tag)}/trouble`}
                  className="grid min-h-14 grid-cols-[110px_1fr] items-center gap-3 py-1.5"
                >
                  <Plate id={tag} />
                  <span className="min-w-0">
                    <span className="block leading-tight">{symptom ?? name}</span>
                    <small className="block text-note text-soft">
                      {symptom ? `${name}; ${place}` : place}
                    </small>
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </Page>
  );
}
