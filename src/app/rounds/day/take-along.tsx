"use client";

import { format } from "date-fns";
import type { DaySheet, Packed } from "@/core/due-work";
import { Panel } from "@/ui/page";
import { useSpeaker } from "@/ui/use-speaker";
import { toolName } from "@/words";
import { useTicks } from "./use-ticks";

interface Line {
  readonly key: string;
  readonly name: string;
  readonly note: string;
}

/** All that is taken along for the day, each thing once, ticked as it goes into the van. */
export function TakeAlong({ sheet }: { sheet: DaySheet }) {
  const speaker = useSpeaker();
  const [packed, turn] = useTicks(`${sheet.crew} ${format(sheet.from, "yyyy-MM-dd")}`);
  const line = ({ name, pieces, place, for: tags }: Packed): Line => ({
    key: `${name} ${place ?? ""}`,
    name: pieces !== undefined && pieces > 1 ? `${name} × ${pieces}` : name,
    note: [place, tags.join(", ")].filter(Boolean).join(" · "),
  });
  const groups: readonly (readonly [string, readonly Line[]])[] = [
    ["Kits and parts", sheet.kits.map(line)],
    ["Supplies", sheet.supplies.map(line)],
    [
      "Tools",
      sheet.tools.map(({ tool, for: tags }) => {
        const name = toolName(speaker, tool);
        return { key: name, name, note: tags.join(", ") };
      }),
    ],
    ["For you", sheet.gear.map(line)],
    [
      "Locks",
      sheet.locks === 0
        ? []
        : [
            {
              key: "locks",
              name: `Locks with tags × ${sheet.locks}`,
              note: "that hang at a time at the most",
            },
          ],
    ],
  ];
  return (
    <Panel title="Take along">
      {sheet.missing.length > 0 && (
        <ul className="mb-2 border-stop border-l-[6px] bg-stop-bg px-3 py-2">
          {sheet.missing.map(({ name, for: tags }) => (
            <li key={name}>
              No place has {name}, for {tags.join(", ")}.
            </li>
          ))}
        </ul>
      )}
      {groups.map(
        ([title, lines]) =>
          lines.length > 0 && (
            <details key={title} open={title !== "Tools" && title !== "For you"}>
              <summary className="caption min-h-9 cursor-pointer content-center">
                {title} ({lines.length})
              </summary>
              <ul className="dashed">
                {lines.map(({ key, name, note }) => (
                  <li key={key}>
                    <label className="grid min-h-11 cursor-pointer grid-cols-[24px_1fr] items-center gap-2 py-1 leading-snug">
                      <input
                        type="checkbox"
                        className="size-5 accent-[var(--go)]"
                        checked={packed.has(`${title} ${key}`)}
                        onChange={() => turn(`${title} ${key}`)}
                      />
                      <span>
                        {name}
                        <span className="block text-fine text-soft">{note}</span>
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </details>
          ),
      )}
    </Panel>
  );
}
