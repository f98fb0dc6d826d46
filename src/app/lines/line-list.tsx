"use client";

import Link from "next/link";
import { useState } from "react";
import { TextField } from "@/ui/kit/text-field";
import { Empty } from "@/ui/notice";
import { LineInList } from "./line-in-list";

interface Listed {
  readonly id: string;
  readonly name: string;
  readonly medium: string;
  readonly nodes: number;
  readonly valves: number;
}

/** A larger line is not drawn in a list. */
const MOST_DRAWN = 200;
/** From so many on they are searched. */
const MANY = 6;

/** The lines, drawn small, narrowed by any word of name or medium. */
export function LineList({ lines }: { lines: readonly Listed[] }) {
  const [typed, setTyped] = useState("");
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = lines.filter(({ id, name, medium }) => {
    const text = `${id} ${name} ${medium}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  return (
    <>
      {lines.length >= MANY && (
        <div className="max-w-md">
          <TextField label="Part of its name, or what runs in it" value={typed} onChange={setTyped} />
        </div>
      )}
      {shown.length === 0 && (
        <Empty>No line has these words. A stop valve is found by its number: press /.</Empty>
      )}
      <ul className="grid gap-4 md:grid-cols-2">
        {shown.map((line) => (
          <li key={line.id} className="card p-3">
            <Link href={`/lines/${encodeURIComponent(line.id)}`} className="block">
              <b className="text-lead">{line.name}</b>
              <span className="block text-soft">
                {line.medium}; {line.nodes} places, {line.valves} valves
              </span>
            </Link>
            {line.nodes <= MOST_DRAWN ? (
              <LineInList id={line.id} />
            ) : (
              <p className="px-1 py-3 text-soft">Too large to show small: open it to move about in it.</p>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
