"use client";

import { Plus, X } from "lucide-react";
import type { Crew, Person } from "@/core/formats";
import { TextField } from "@/ui/kit/text-field";
import { Empty } from "@/ui/notice";
import { Panel } from "@/ui/page";

/** Who goes out with whom: rounds are planned for them. Nobody is in two crews. */
export function Crews({
  crews,
  people,
  onCrews,
}: {
  crews: readonly Crew[];
  people: readonly Person[];
  onCrews: (to: readonly Crew[]) => void;
}) {
  const put = (index: number, change: Partial<Crew>) =>
    onCrews(crews.map((crew, place) => (place === index ? { ...crew, ...change } : crew)));
  const taken = new Set(crews.flatMap((crew) => crew.people));
  const free = () => {
    let number = crews.length + 1;
    while (crews.some(({ id }) => id === `crew-${number}`)) number += 1;
    return `crew-${number}`;
  };
  const next = people.find(({ id }) => !taken.has(id));
  return (
    <Panel title="Crews" note="rounds are planned for them">
      {people.length === 0 && <Empty>Nobody is in the crew yet. Add people in the Loft, Crew.</Empty>}
      <ul className="flex flex-col gap-4">
        {crews.map((crew, index) => (
          <li key={crew.id} className="border-rule border-l-[4px] pl-3">
            <div className="flex items-end gap-2">
              <div className="flex-1">
                <TextField
                  label="Name of the crew"
                  value={crew.name}
                  onChange={(name) => put(index, { name })}
                />
              </div>
              <button
                type="button"
                aria-label={`Take the crew ${crew.name} away`}
                className="btn btn-quiet mb-0.5 min-w-11 px-3"
                onClick={() => onCrews(crews.filter((_, place) => place !== index))}
              >
                <X size={18} aria-hidden />
              </button>
            </div>
            <div className="mt-1 flex flex-wrap gap-1" role="group" aria-label={`People of ${crew.name}`}>
              {people.map(({ id, name }) => {
                const on = crew.people.includes(id);
                return (
                  <button
                    key={id}
                    type="button"
                    aria-pressed={on}
                    disabled={(!on && taken.has(id)) || (on && crew.people.length === 1)}
                    className={`btn min-h-11 px-2 ${on ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
                    onClick={() =>
                      put(index, {
                        people: on ? crew.people.filter((each) => each !== id) : [...crew.people, id],
                      })
                    }
                  >
                    {name}
                  </button>
                );
              })}
            </div>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-quiet mt-3"
        disabled={next === undefined}
        onClick={() =>
          next !== undefined && onCrews([...crews, { id: free(), name: next.name, people: [next.id] }])
        }
      >
        <Plus size={18} aria-hidden /> Add a crew
      </button>
    </Panel>
  );
}
