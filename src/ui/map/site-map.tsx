"use client";

import clsx from "clsx";
import { Minus, Plus, Scan } from "lucide-react";
import { useRouter } from "next/navigation";
import { useMemo } from "react";
import type { Ground } from "@/core/formats";
import { boundsOf, type Spot, toMetres } from "@/core/places";
import { usePanZoom } from "../draw/use-pan-zoom";
import { besideOf, fitNames, halfOf, type Mark } from "./fit-names";

/** Width of the drawing in its own units: names are readable at this size. */
const WIDE = 1000;
/** A way is to be seen from its beginning to its end at once, in a narrow place too. */
const WAY_WIDE = 460;
const EDGE = 70;
/** Names are placed anew with each such step nearer. */
const NEARER = 1.25;

export interface SiteMark {
  readonly id: string;
  readonly name: string;
  readonly spot: Spot;
  readonly href: string;
  readonly valves: number;
  readonly late: number;
  /** The one this map is about. */
  readonly here?: boolean;
  /** What its plate says, and what is read out of it; how many valves stand there when absent. */
  readonly label?: string;
  readonly says?: string;
}

const GROUND = {
  land: "fill-[var(--card)] stroke-[var(--edge)]",
  water: "fill-[var(--live-mark)] stroke-[var(--cold)]",
  green: "fill-[var(--go-bg)] stroke-none",
  road: "fill-none stroke-[var(--rule)]",
  building: "fill-[var(--sunk)] stroke-[var(--edge)]",
} as const;
const ORDER = ["land", "green", "water", "road", "building"] as const;

/** Our own map: the ground as it was brought in, and a plate for each place with what stands there. */
export function SiteMap({
  ground,
  marks,
  label,
  className,
  way,
}: {
  ground: Ground | undefined;
  marks: readonly SiteMark[];
  /** A way from spot to spot, drawn below the plates: as the crow flies. */
  way?: readonly Spot[];
  label: string;
  className?: string;
}) {
  const router = useRouter();
  const drawn = useMemo(() => layOut(ground, marks, way), [ground, marks, way]);
  const { ref, transform, onKeyDown, by, whole } = usePanZoom(drawn.box, drawn.focus);
  // Plates keep their size in the hand; the nearer one comes, the more names have room.
  const nearness = NEARER ** Math.round(Math.log(transform.k) / Math.log(NEARER));
  const named = useMemo(
    () =>
      fitNames(
        drawn.marks.map(({ mark, x, y }) => ({ mark, x: x * nearness, y: y * nearness })),
        way === undefined ? undefined : drawn.box.width * nearness,
      ),
    [drawn.marks, drawn.box.width, nearness, way],
  );
  return (
    <div className={clsx("card relative overflow-hidden", className)}>
      <svg
        ref={ref}
        role="application"
        aria-label={`${label}. Arrow keys move it, plus and minus bring it nearer, 0 shows all of it.`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="size-full touch-none bg-[color-mix(in_srgb,var(--cold)_16%,var(--paper))]"
      >
        <g transform={transform.toString()}>
          {drawn.ground.map(({ kind, d, key }) => (
            <path
              key={key}
              d={d}
              className={GROUND[kind]}
              strokeWidth={kind === "road" ? 7 : 1.5}
              strokeLinejoin="round"
              strokeLinecap="round"
            />
          ))}
          {drawn.way !== undefined && (
            <path
              d={drawn.way}
              className="fill-none stroke-[var(--go)]"
              strokeWidth={5}
              strokeLinejoin="round"
              strokeLinecap="round"
            />
          )}
          <Scale metres={drawn.scale.metres} units={drawn.scale.units} y={drawn.box.height - 24} />
          {named.map(({ mark, x, y, side }) => (
            <g
              key={mark.id}
              role="link"
              tabIndex={0}
              aria-label={
                mark.says ??
                `${mark.name}, ${mark.valves} ${mark.valves === 1 ? "valve" : "valves"}${mark.late > 0 ? `, ${mark.late} late` : ""}`
              }
              transform={`translate(${x / nearness} ${y / nearness}) scale(${1 / transform.k})`}
              className="cursor-pointer outline-none [&:focus-visible>rect]:stroke-[4px]"
              onClick={() => router.push(mark.href)}
              onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                event.preventDefault();
                event.stopPropagation();
                router.push(mark.href);
              }}
            >
              <rect x={-24} y={-24} width={48} height={48} fill="transparent" />
              <rect
                x={-halfOf(mark)}
                y={-11.5}
                width={2 * halfOf(mark)}
                height={23}
                rx={4}
                className={clsx(
                  mark.here
                    ? "fill-[var(--ink)] stroke-[var(--ink)]"
                    : "fill-[var(--brass-bg)] stroke-[var(--brass-line)]",
                )}
                strokeWidth={2}
              />
              <text
                textAnchor="middle"
                y={6}
                className={clsx("plate", mark.here ? "fill-[var(--paper)]" : "fill-[var(--ink)]")}
                fontSize={16}
              >
                {mark.label ?? mark.valves}
              </text>
              {mark.late > 0 && (
                <g transform="translate(15 -12)">
                  <circle r={9} className="fill-[var(--stop)]" />
                  <text textAnchor="middle" y={5} fontSize={13} className="plate fill-[var(--paper)]">
                    {mark.late}
                  </text>
                </g>
              )}
              {side !== undefined && (
                <text
                  x={side === "right" || side === "left" ? besideOf(mark)[side] : 0}
                  y={side === "below" ? 31 : side === "above" ? -27 : 5}
                  textAnchor={side === "right" ? "start" : side === "left" ? "end" : "middle"}
                  fontSize={15}
                  className="fill-[var(--ink)] stroke-[var(--card)] font-semibold"
                  strokeWidth={4}
                  paintOrder="stroke"
                >
                  {mark.name}
                </text>
              )}
            </g>
          ))}
        </g>
      </svg>
      <div className="no-print absolute top-3 right-3 flex flex-col gap-1">
        {(
          [
            ["Nearer", () => by(1.35), Plus],
            ["Farther", () => by(1 / 1.35), Minus],
            ["All of it", whole, Scan],
          ] as const
        ).map(([name, does, Icon]) => (
          <button
            key={name}
            type="button"
            aria-label={name}
            className="btn btn-quiet min-w-11 bg-card px-3"
            onClick={does}
          >
            <Icon size={18} aria-hidden />
          </button>
        ))}
      </div>
    </div>
  );
}

/** How long so many metres are. */
function Scale({ metres, units, y }: { metres: number; units: number; y: number }) {
  return (
    <g transform={`translate(24 ${y})`} className="stroke-[var(--soft)]">
      <path d={`M0 -6V0H${units}V-6`} fill="none" strokeWidth={2} />
      <text x={units + 8} y={4} fontSize={15} className="fill-[var(--soft)] stroke-none">
        {metres >= 1000 ? `${metres / 1000} km` : `${metres} m`}
      </text>
    </g>
  );
}

/** A round length that takes about a seventh of the width. */
function roundLength(perUnit: number, wide: number): number {
  const wanted = (wide / 7) * perUnit;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return ([5, 2, 1].find((each) => each * power <= wanted) ?? 1) * power;
}

function layOut(ground: Ground | undefined, marks: readonly SiteMark[], way: readonly Spot[] | undefined) {
  const corners = ground?.features.flatMap(({ points }) => points.map(([lon, lat]) => ({ lat, lon }))) ?? [];
  // A way fills the map; of the ground what lies about it is seen.
  const bounds = boundsOf([...(way === undefined ? corners : way), ...marks.map(({ spot }) => spot)]);
  const origin = bounds?.middle ?? { lat: 0, lon: 0 };
  const east = bounds === undefined ? 1 : toMetres({ lat: origin.lat, lon: bounds.east }, origin).x * 2;
  const north = bounds === undefined ? 1 : toMetres({ lat: bounds.north, lon: origin.lon }, origin).y * 2;
  // One place alone is shown with a hundred metres round it.
  const wide = way === undefined ? WIDE : WAY_WIDE;
  const perUnit = Math.max(east, north * 1.3, 200) / (wide - 2 * EDGE);
  const height = Math.max(north / perUnit, 200) + 2 * EDGE;
  const at = (spot: Spot) => {
    const { x, y } = toMetres(spot, origin);
    return { x: wide / 2 + x / perUnit, y: height / 2 - y / perUnit };
  };
  const path = (points: readonly (readonly [number, number])[], closed: boolean) =>
    points
      .map(([lon, lat], index) => {
        const { x, y } = at({ lat, lon });
        return `${index === 0 ? "M" : "L"}${x.toFixed(1)} ${y.toFixed(1)}`;
      })
      .join("") + (closed ? "Z" : "");
  const metres = roundLength(perUnit, wide);
  const placed: Mark<SiteMark>[] = marks.map((mark) => ({ mark, ...at(mark.spot) }));
  const here = way === undefined ? placed.find(({ mark }) => mark.here) : undefined;
  return {
    box: { x: 0, y: 0, width: wide, height },
    focus: here === undefined ? undefined : ([here.x, here.y] as [number, number]),
    scale: { metres, units: metres / perUnit },
    way:
      way &&
      path(
        way.map(({ lat, lon }) => [lon, lat] as const),
        false,
      ),
    ground: ORDER.flatMap((kind) =>
      (ground?.features ?? []).flatMap((feature, index) =>
        feature.kind === kind ? [{ kind, key: index, d: path(feature.points, kind !== "road") }] : [],
      ),
    ),
    // What is late is drawn over its neighbours.
    marks: placed.toSorted((a, b) => a.mark.late - b.mark.late),
  };
}
