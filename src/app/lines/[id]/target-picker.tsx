import { useId, useMemo, useState } from "react";
import type { Line } from "@/core/formats";

export interface Target {
  readonly id: string;
  readonly name: string;
}

/** More places than this are found by typing, not from a list. */
const MOST_LISTED = 300;

/** What is to be opened: a registered valve, or any place or valve of the line. */
export function TargetPicker({
  line,
  registered,
  value,
  onChange,
}: {
  line: Line;
  registered: readonly Target[];
  value: string;
  onChange: (id: string) => void;
}) {
  const id = useId();
  const groups = useMemo(() => groupsOf(line, registered), [line, registered]);
  const count = groups.reduce((sum, [, list]) => sum + list.length, 0);
  return (
    <div className="text-note">
      <label htmlFor={id} className="caption block">
        To open
      </label>
      {count > MOST_LISTED ? (
        <TypedTarget key={value} id={id} groups={groups} value={value} onChange={onChange} />
      ) : (
        <select
          id={id}
          className="field min-h-11! w-full py-1! sm:max-w-[260px]"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        >
          {value === "" && <option value="">choose</option>}
          {groups.map(([title, list]) => (
            <optgroup key={title} label={title}>
              {list.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name === each.id ? each.id : `${each.id} ${each.name}`}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      )}
    </div>
  );
}

function TypedTarget({
  id,
  groups,
  value,
  onChange,
}: {
  id: string;
  groups: readonly (readonly [string, readonly Target[]])[];
  value: string;
  onChange: (id: string) => void;
}) {
  const [text, setText] = useState(value);
  const [error, setError] = useState<string>();
  const all = useMemo(() => groups.flatMap(([, list]) => list), [groups]);
  const near =
    text === ""
      ? []
      : all.filter((each) => each.id.toLowerCase().startsWith(text.toLowerCase())).slice(0, 30);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const found = all.find((each) => each.id.toLowerCase() === text.trim().toLowerCase());
        if (found === undefined)
          setError(`This line has no place "${text}". Type its tag as it stands on the drawing.`);
        else onChange(found.id);
      }}
    >
      <input
        id={id}
        className="field min-h-11! py-1!"
        list={`${id}-near`}
        value={text}
        placeholder="Tag, then Enter"
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-says`}
        onChange={(event) => {
          setText(event.target.value);
          setError(undefined);
        }}
      />
      <datalist id={`${id}-near`}>
        {near.map((each) => (
          <option key={each.id} value={each.id} />
        ))}
      </datalist>
      <p id={`${id}-says`} role={error === undefined ? undefined : "alert"} className="text-fine text-stop">
        {error}
      </p>
    </form>
  );
}

function groupsOf(line: Line, registered: readonly Target[]): (readonly [string, readonly Target[]])[] {
  const known = new Set(registered.map((each) => each.id));
  const places = line.nodes.filter((node) => !known.has(node.id));
  const named = (list: Line["nodes"]) => list.map((node) => ({ id: node.id, name: node.name ?? node.id }));
  return (
    [
      ["In the register", registered],
      ["Equipment", named(places.filter((node) => node.asset !== undefined))],
      [
        "Consumers and hydrants",
        named(places.filter((node) => node.asset === undefined && node.kind === "consumer")),
      ],
      [
        "Valves",
        line.links.flatMap((link) =>
          link.kind === "valve" || link.kind === "pump" || link.kind === "control-valve"
            ? [{ id: link.id, name: link.name ?? link.id }]
            : [],
        ),
      ],
    ] as const
  ).filter(([, list]) => list.length > 0);
}
