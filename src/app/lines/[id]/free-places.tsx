import Link from "next/link";
import { Panel } from "@/ui/page";

/** A place of a line that looks as if a valve stood there, and none is registered. */
export interface FreePlace {
  readonly node: string;
  readonly name: string;
  /** The tag that is written there. */
  readonly tag: string | undefined;
}

const MOST_SHOWN = 12;

/** Where a valve most likely stands that nobody has registered yet. */
export function FreePlaces({ line, places }: { line: string; places: readonly FreePlace[] }) {
  if (places.length === 0) return null;
  return (
    <Panel title="No valve registered yet" note={String(places.length)}>
      <ul className="dashed">
        {places.slice(0, MOST_SHOWN).map(({ node, name, tag }) => (
          <li key={node} className="flex items-center justify-between gap-3 py-1">
            <span className="min-w-0">
              <span className="plate">{tag ?? node}</span> {name}
            </span>
            <Link
              href={`/valves/new?${new URLSearchParams({ line, node, ...(tag !== undefined && { tag }) })}`}
              prefetch={false}
              className="btn btn-quiet"
              aria-label={`Register the valve at ${node}`}
            >
              Register
            </Link>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
