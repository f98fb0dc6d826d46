import { type Instrument, type InstrumentKind, type InstrumentLine, LINE_VERSION } from "../../formats";
import { KINDS, type Reads } from "./kinds";
import { trueFigure } from "./measured";
import type { Scene } from "./scene";
import { type Pulling, pull, pulled, setTo } from "./wrench";

/** What a simulated instrument is said to be: one of the register, by its name and serial. */
export interface Identity {
  readonly kind: InstrumentKind;
  readonly name: string;
  readonly serial: string;
}

/** How it is broken on purpose. */
export interface Broken {
  /** It says its last line over and over. */
  readonly frozen: boolean;
  /** It drifts away from what is. */
  readonly drifts: boolean;
  /** It says what nobody understands. */
  readonly garbled: boolean;
}
export const WHOLE: Broken = { frozen: false, drifts: false, garbled: false };

/** How far it has drifted when it drifts: part of its range in a minute. */
const DRIFT_MIN = 0.1;
/** %, and how long a battery lasts, s. */
const BATTERY = 82;
const LASTS_S = 40 * 3600;
/** Lines between two that tell the battery. */
const TELLS_BATTERY = 30;

/** Where a simulated instrument stands between two of its readings. */
export interface Simulated {
  readonly is: Identity;
  readonly n: number;
  /** What it shows for each measure, before it is rounded. */
  readonly shows: readonly (number | undefined)[];
  readonly pulling?: Pulling;
  /** Part of its range by which it is off. */
  readonly off: number;
  /** s since it was switched on. */
  readonly on_s: number;
  /** What it said last, for one that is frozen. */
  readonly last: readonly string[];
}

/** The simulated one of a kind, with the serial of one in the register that is in use: its calibration counts. */
export function identityOf(kind: InstrumentKind, register: readonly Instrument[]): Identity {
  const known = register.find(
    (each) => each.kind === kind && each.out === undefined && each.serial !== undefined,
  );
  return { kind, name: KINDS[kind].name, serial: known?.serial ?? `simulated-${kind}` };
}

export const switchedOn = (is: Identity): Simulated => ({
  is,
  n: 0,
  shows: KINDS[is.kind].reads.map(() => undefined),
  off: 0,
  on_s: 0,
  last: [],
});

/** s between two readings. */
export const beatOf = ({ kind }: Identity): number => KINDS[kind].every_s;

export const helloOf = ({ kind, name, serial }: Identity): InstrumentLine => {
  const { every_s, reads } = KINDS[kind];
  return {
    say: "hello",
    v: LINE_VERSION,
    kind,
    name,
    serial,
    every_s,
    reads: reads.map(({ what, unit, low, high, step }) => ({ what, unit, low, high, step })),
  };
};

/**
 * One beat of a simulated instrument: what it says now of what it looks at.
 *
 * @param pass of the bolts in hand, from 1
 * @param now ms
 * @param chance gives figures from 0 to 1
 */
export function beat(
  before: Simulated,
  {
    scene,
    pass,
    broken,
    now,
    chance,
  }: {
    readonly scene: Scene | undefined;
    readonly pass?: number;
    readonly broken: Broken;
    readonly now: number;
    readonly chance: () => number;
  },
): { readonly after: Simulated; readonly lines: readonly string[] } {
  const { is, n } = before;
  const { every_s, reads } = KINDS[is.kind];
  const on_s = before.on_s + every_s;
  if (broken.frozen && before.last.length > 0) return { after: { ...before, on_s }, lines: before.last };
  const off = broken.drifts ? before.off + (DRIFT_MIN * every_s) / 60 : before.off;
  const aging = { ...before, n: n + 1, off, on_s };
  const told = n % TELLS_BATTERY === 0 ? [battery(on_s)] : [];
  if (is.kind === "torque-wrench") {
    const set = setTo(scene?.step, pass);
    const pulling = before.pulling ?? (set === undefined ? undefined : pull(set, [chance(), chance()]));
    const now_ = pulling === undefined ? undefined : pulled(pulling, every_s);
    const { pulling: _, ...rest } = aging;
    const shown = now_?.peak === true ? pulling!.click_Nm : (now_?.shows_Nm ?? 0);
    return said(
      { ...rest, ...(now_?.pulling !== undefined && { pulling: now_.pulling }) },
      [line(n, reads[0]!, shown, now_?.peak)],
      told,
      broken,
    );
  }
  const shows = reads.map((each, at) => {
    const truly = trueFigure(is.kind, each, scene, now);
    const shown = before.shows[at];
    if (truly === undefined || shown === undefined || each.lag_s === 0) return truly;
    return shown + (truly - shown) * (1 - Math.exp(-every_s / each.lag_s));
  });
  const lines = reads.map((each, at) => {
    const shown = shows[at];
    const trembles = each.noise * (chance() + chance() - 1);
    return line(n, each, shown === undefined ? undefined : shown + trembles + off * (each.high - each.low));
  });
  return said({ ...aging, shows }, lines, told, broken);
}

function said(
  after: Simulated,
  readings: readonly InstrumentLine[],
  told: readonly InstrumentLine[],
  { garbled }: Broken,
): { after: Simulated; lines: readonly string[] } {
  const last = readings.map((each) => JSON.stringify(each));
  // A plug that is loose cuts lines in the middle.
  if (garbled)
    return { after: { ...after, last }, lines: last.map((each) => each.slice(0, each.length / 2)) };
  return { after: { ...after, last }, lines: [...told.map((each) => JSON.stringify(each)), ...last] };
}

const battery = (on_s: number): InstrumentLine => ({
  say: "battery",
  percent: Math.max(0, Math.round(BATTERY * (1 - on_s / LASTS_S))),
});

/** In steps of what it can show. */
function line(
  n: number,
  { what, unit, step, low, high }: Reads,
  shown: number | undefined,
  peak = false,
): InstrumentLine {
  const rounded = shown === undefined ? null : Number((Math.round(shown / step) * step).toPrecision(9));
  const value = rounded === null || rounded < low - step || rounded > high ? null : rounded;
  return { say: "reading", n, what, value, unit, ...(peak && { peak: true }) };
}
