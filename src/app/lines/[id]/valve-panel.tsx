import type { LineLink, LineNode } from "@/core/formats";
import { Panel } from "@/ui/page";

type Valve = Extract<LineLink, { kind: "valve" }>;

/** What can be asked of one valve of the drawing. */
export function ValvePanel({
  valve,
  shut,
  avoided,
  passing,
  onTrial,
  onAvoid,
  onPasses,
  onOpen,
  onClose,
}: {
  valve: Valve;
  shut: boolean;
  avoided: boolean;
  passing: boolean;
  onTrial: () => void;
  onAvoid: () => void;
  onPasses: () => void;
  onOpen: () => void;
  onClose: () => void;
}) {
  const facts = [
    valve.normally === "shut" ? "stands shut on an ordinary day" : undefined,
    valve.operable ? undefined : "seized: it cannot be shut",
    valve.passes ? "known to pass: no barrier" : undefined,
    valve.lockable ? undefined : "no lock point",
    valve.where,
    valve.turns === undefined ? undefined : `${valve.turns} turns`,
    `${valve.access_min} min to reach and shut`,
    valve.hardToReach,
  ].filter((each) => each !== undefined);
  return (
    <Panel title={`${valve.id} ${valve.name ?? ""}`}>
      <p className="text-note text-soft">{facts.join("; ")}.</p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <button
          type="button"
          className="btn btn-quiet"
          disabled={!valve.operable}
          aria-pressed={shut}
          onClick={onTrial}
        >
          {shut ? "What if: open it" : "What if: shut it"}
        </button>
        <button type="button" className="btn btn-quiet" aria-pressed={avoided} onClick={onAvoid}>
          {avoided ? "May be used" : "Avoid it"}
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          aria-pressed={passing}
          disabled={valve.passes}
          onClick={onPasses}
        >
          {passing ? "It holds after all" : "It passes"}
        </button>
        <button type="button" className="btn btn-quiet" onClick={onOpen}>
          Open this one
        </button>
      </div>
      <button type="button" className="btn btn-quiet mt-2 w-full" onClick={onClose}>
        Close
      </button>
    </Panel>
  );
}

/** The positions of a three-way valve, to try. */
export function StemPanel({
  stem,
  position,
  onTurn,
  onOpen,
  onClose,
}: {
  stem: LineNode & { threeWay: NonNullable<LineNode["threeWay"]> };
  position: string;
  onTurn: (position: string) => void;
  onOpen: () => void;
  onClose: () => void;
}) {
  return (
    <Panel title={stem.name ?? stem.id}>
      <p className="text-note text-soft">A three-way valve. What if it stood elsewhere?</p>
      <div className="mt-2 flex flex-col gap-2">
        {stem.threeWay.positions.map((each) => (
          <button
            key={each.id}
            type="button"
            className="btn btn-quiet justify-start text-left"
            aria-pressed={each.id === position}
            disabled={!stem.threeWay.operable}
            onClick={() => onTurn(each.id)}
          >
            {each.name}
          </button>
        ))}
        <button type="button" className="btn btn-quiet" onClick={onOpen}>
          Open this one
        </button>
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Close
        </button>
      </div>
    </Panel>
  );
}
