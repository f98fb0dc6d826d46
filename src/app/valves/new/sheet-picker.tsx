"use client";

import Link from "next/link";
import { useState } from "react";
import { familyName } from "@/ui/family-name";
import { TextField } from "@/ui/kit/text-field";
import { Empty } from "@/ui/notice";

interface Tile {
  readonly id: string;
  readonly title: string;
  readonly made: string;
  readonly family: string;
  readonly summary: string;
  readonly demonstration: boolean;
}

const plain = (text: string) => text.toLowerCase();

/** Sheets to register a valve under: one's own first, then those of the library; found by any word of them. */
export function SheetPicker({
  own,
  shipped,
  from,
}: {
  own: readonly Tile[];
  shipped: readonly Tile[];
  /** What is known of the valve already; it goes along. */
  from: Readonly<Record<string, string>>;
}) {
  const [typed, setTyped] = useState("");
  const words = plain(typed).split(/\s+/).filter(Boolean);
  const fits = ({ title, made, family, summary }: Tile) => {
    const text = plain(`${title} ${made} ${familyName(family)} ${summary}`);
    return words.every((word) => text.includes(word));
  };
  const href = (id: string) => `/valves/new?${new URLSearchParams({ ...from, sheet: id })}`;
  const groups = [
    { title: "Sheets here", tiles: own.filter(fits) },
    { title: "From the library", tiles: shipped.filter(fits) },
  ].filter(({ tiles }) => tiles.length > 0);
  return (
    <div className="flex flex-col gap-4">
      <div className="max-w-md">
        <TextField
          label="Part of its name, maker or kind"
          placeholder="e.g. hydrant, trap, mixer"
          value={typed}
          onChange={setTyped}
        />
      </div>
      {groups.length === 0 && (
        <Empty>
          No sheet has these words. <Link href="/sheets/new">Make one for your model</Link>, from the build of
          its family.
        </Empty>
      )}
      {groups.map(({ title, tiles }) => (
        <section key={title}>
          <h2 className="caption mb-2">{title}</h2>
          <ul className="grid gap-2 md:grid-cols-2 xl:grid-cols-3">
            {tiles.map(({ id, title: name, made, family, demonstration }) => (
              <li key={id}>
                <Link
                  href={href(id)}
                  prefetch={false}
                  className="card flex min-h-16 flex-col justify-center border-l-[7px] border-l-brass-line px-4 py-2 hover:bg-sunk"
                >
                  <b className="leading-tight">{name}</b>
                  <span className="text-note text-soft">
                    {familyName(family)}, {made}
                    {demonstration && ", demonstration"}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
