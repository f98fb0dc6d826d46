"use client";

import Link from "next/link";
import type { Line } from "@/core/formats";
import { isThreeWay } from "@/core/line";
import { TakeAlongPanel } from "@/ui/along/take-along";
import { DrawingPane, MOST_EDITED } from "./drawing-pane";
import { type FreePlace, FreePlaces } from "./free-places";
import { LineActions } from "./line-actions";
import { PlanColumn } from "./plan-column";
import type { Target } from "./target-picker";
import { type LineAsked, toggled, useLineScreen } from "./use-line-screen";
import { StemPanel, ValvePanel } from "./valve-panel";
import { WhatIf } from "./what-if";

/** The line, what has to be shut to open a place, and what if: tap a valve to ask about it. */
export function LineScreen({
  line: stored,
  held,
  registered,
  first,
  source,
  others,
  free,
}: {
  line: Line;
  /** Where the worker can fetch a large line for itself. */
  source?: string;
  held: readonly string[];
  registered: readonly Target[];
  first: string;
  /** Lines that this one can be joined with. */
  others: readonly { readonly id: string; readonly name: string }[];
  /** Places of it without a valve of the register. */
  free: readonly FreePlace[];
}) {
  const asked = useLineScreen(stored, held, first, source);
  const { line, trial } = asked;
  return (
    <div className="grid grid-cols-1 gap-4 px-4 py-3 md:px-5 lg:h-[calc(100dvh-56px)] lg:grid-cols-[minmax(0,1fr)_350px]">
      <DrawingPane asked={asked} registered={registered} />
      <div
        className="flex min-h-0 flex-col gap-3 lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="Plan"
      >
        <Chosen asked={asked} />
        {trial === undefined ? (
          <PlanColumn asked={asked} registered={registered} />
        ) : (
          <WhatIf asked={asked} />
        )}
        {line.links.length <= MOST_EDITED && (
          <Link href={`/lines/${line.id}/edit`} className="btn btn-quiet shrink-0">
            Change the line
          </Link>
        )}
        <a href={`/api/v1/lines/${line.id}`} download className="btn btn-quiet shrink-0">
          Take the line as a file
        </a>
        <TakeAlongPanel what="line" of={line.id} label="Take this line along" />
        <FreePlaces line={line.id} places={free} />
        {line.links.length <= MOST_EDITED && <LineActions line={stored} others={others} />}
      </div>
    </div>
  );
}

/** The valve that was tapped, and what may be asked or told of it. */
function Chosen({ asked }: { asked: LineAsked }) {
  const { line, chosen, setChosen, told, tell, trial, turn, open, setting } = asked;
  const valve = line.links.find((link) => link.id === chosen);
  const stem = line.nodes.find((node) => node.id === chosen);
  const close = () => setChosen(undefined);
  if (valve?.kind === "valve")
    return (
      <ValvePanel
        valve={valve}
        shut={trial?.shut.has(valve.id) ?? false}
        avoided={told.avoid.includes(valve.id)}
        passing={told.passing.includes(valve.id)}
        onTrial={() => turn((now) => ({ ...now, shut: new Set(toggled([...now.shut], valve.id)) }))}
        onAvoid={() => tell({ avoid: toggled(told.avoid, valve.id) })}
        onPasses={() => tell({ passing: toggled(told.passing, valve.id) })}
        onOpen={() => open(valve.id)}
        onClose={close}
      />
    );
  if (stem !== undefined && isThreeWay(stem))
    return (
      <StemPanel
        stem={stem}
        position={setting.turned?.get(stem.id) ?? stem.threeWay.normally}
        onTurn={(position) =>
          turn((now) => ({ ...now, turned: new Map([...(now.turned ?? []), [stem.id, position]]) }))
        }
        onOpen={() => open(stem.id)}
        onClose={close}
      />
    );
  return null;
}
