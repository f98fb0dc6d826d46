"use client";

import type { Line, LineNode } from "@/core/formats";
import { Choice, Text } from "./inputs";

type ThreeWay = NonNullable<LineNode["threeWay"]>;

/** Groups of joined links as one writes them: "inlet+left, right+drain". */
const written = (joins: readonly (readonly string[])[]) => joins.map((group) => group.join(" + ")).join(", ");
const groups = (text: string) =>
  text
    .split(",")
    .map((group) => group.split("+").flatMap((link) => link.trim() || []))
    .filter((group) => group.length > 0);

/** The positions of a three-way valve: in each, which of its links are joined. */
export function ThreeWayForm({
  line,
  node,
  onChange,
}: {
  line: Line;
  node: LineNode;
  onChange: (to: ThreeWay) => void;
}) {
  const own = line.links.flatMap((link) => (link.from === node.id || link.to === node.id ? [link.id] : []));
  const made: ThreeWay = node.threeWay ?? {
    positions: [
      { id: "mid", name: "Mid", joins: [own.slice(0, 3)] },
      { id: "front", name: "Front seat", joins: [own.slice(0, 2)] },
    ],
    normally: "mid",
    operable: true,
    lockable: true,
    access_min: 3,
  };
  const put = (index: number, change: Partial<ThreeWay["positions"][number]>) =>
    onChange({
      ...made,
      positions: made.positions.map((each, at) => (at === index ? { ...each, ...change } : each)),
    });
  return (
    <fieldset className="mt-3 border-rule border-t pt-2">
      <legend className="caption">Positions</legend>
      <p className="text-fine text-soft">
        Its links: {own.join(", ") || "none yet"}. Join them with +, part groups with a comma.
      </p>
      {made.positions.map((position, index) => (
        <div key={position.id} className="grid grid-cols-2 gap-x-3">
          <Text
            label={`Position ${index + 1}`}
            value={position.name}
            onChange={(name) => put(index, { name })}
          />
          <Text
            label="Joins"
            value={written(position.joins)}
            onChange={(text) => put(index, { joins: groups(text) })}
          />
        </div>
      ))}
      <div className="grid grid-cols-2 gap-x-3">
        <Choice
          label="Stands"
          value={made.normally}
          options={made.positions.map((each) => each.id)}
          onChange={(normally) => onChange({ ...made, normally: normally ?? made.normally })}
        />
        <button
          type="button"
          className="btn btn-quiet self-end"
          disabled={made.positions.length >= 6}
          onClick={() => {
            const id = `p${made.positions.length + 1}`;
            onChange({
              ...made,
              positions: [
                ...made.positions,
                { id, name: `Position ${made.positions.length + 1}`, joins: [] },
              ],
            });
          }}
        >
          Add a position
        </button>
      </div>
    </fieldset>
  );
}
