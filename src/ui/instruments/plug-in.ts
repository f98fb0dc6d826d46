import type { TakenWith } from "@/core/formats";
import { type Heard, hear, lost, NOTHING_HEARD, readLine } from "@/core/instruments";
import { timeNow } from "@/edge/clock";
import { newId } from "../new-id";
import { instruments, type Plugged } from "./connected";

/** A way by which lines come in, until it is closed. */
export interface Wire {
  readonly close: () => void;
}

/** What a way tells of itself. */
export interface Ears {
  readonly line: (text: string) => void;
  readonly lost: () => void;
}

/** How one is connected: opens its way, and says what can be done to it beside. */
export interface Way {
  readonly by: TakenWith["by"];
  readonly name: string;
  /** May fail: then it is lost. */
  readonly open: (ears: Ears) => Wire;
  /** What is undone when somebody lets go of it. */
  readonly forget: () => void;
  /** s to try again in, where it tries by itself. */
  readonly tries?: readonly number[];
}

/** Connects an instrument, hears its lines, and takes the connection up again when it was lost. */
export function plugIn(way: Way, extra: Partial<Plugged> = {}): string {
  const id = newId();
  let heard: Heard = NOTHING_HEARD;
  let wire: Wire | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let failed = 0;
  let ended = false;

  const put = (more: Partial<Plugged> = {}) => {
    const before = instruments.all().find((each) => each.id === id);
    instruments.put({ ...extra, ...before, ...more, id, by: way.by, name: way.name, heard, handles });
  };
  const open = () => {
    clearTimeout(again);
    wire?.close();
    wire = way.open({
      line: (text) => {
        if (ended) return;
        failed = 0;
        heard = hear(heard, readLine(text), timeNow());
        put();
      },
      lost: () => {
        if (ended) return;
        if (heard.gone === undefined) heard = lost(heard, timeNow());
        put();
        const { tries = [] } = way;
        const wait_s = tries[Math.min(failed, tries.length - 1)];
        failed += 1;
        if (wait_s !== undefined) again = setTimeout(open, wait_s * 1000);
      },
    });
  };
  const handles = {
    ...extra.handles,
    again: () => {
      failed = 0;
      open();
      put({ unplugged: false });
    },
    unplug: () => {
      clearTimeout(again);
      wire?.close();
      wire = undefined;
      heard = lost(heard, timeNow());
      put({ unplugged: true });
    },
    letGo: () => {
      ended = true;
      clearTimeout(again);
      wire?.close();
      way.forget();
      instruments.drop(id);
    },
  };
  put();
  open();
  return id;
}
