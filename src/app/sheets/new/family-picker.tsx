"use client";

import Link from "next/link";
import { useState } from "react";
import type { Part } from "@/core/formats";
import { PartIcon } from "@/ui/draw/part";
import { TextField } from "@/ui/kit/text-field";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";

interface Family {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly parts: number;
  readonly drawn: readonly Part[];
}

/** Which kind of valve it is: each with the first of its parts drawn. */
export function FamilyPicker({ families }: { families: readonly Family[] }) {
  const [typed, setTyped] = useState("");
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const fit = families.filter(({ name, says }) =>
    words.every((word) => `${name} ${says}`.toLowerCase().includes(word)),
  );
  return (
    <Page
      title="A sheet of your own"
      says="Which kind of valve is it? You get its build, and put in what the paper of your model says."
      action={
        <Link href="/sheets" className="btn btn-quiet">
          All sheets
        </Link>
      }
    >
      <div className="max-w-md">
        <TextField
          label="A word of its kind"
          placeholder="e.g. hydrant, trap, mixing"
          value={typed}
          onChange={setTyped}
        />
      </div>
      {fit.length === 0 && (
        <Empty>
          No family has these words. Take the nearest one: parts can be taken out and added, and everything
          can be changed afterwards.
        </Empty>
      )}
      <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
        {fit.map(({ id, name, says, parts, drawn }) => (
          <li key={id}>
            <Link
              href={`/sheets/new?family=${encodeURIComponent(id)}`}
              prefetch={false}
              className="card block h-full border-t-[7px] border-t-brass-line p-4 hover:bg-sunk"
            >
              <b className="text-lead leading-tight">{name}</b>
              <span className="plate block text-soft">{parts} parts</span>
              <span className="mt-2 flex flex-wrap gap-1" aria-hidden>
                {drawn.map((part) => (
                  <PartIcon key={part.id} part={part} size={46} />
                ))}
              </span>
              <span className="mt-1 block text-note text-soft">{says}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Page>
  );
}
