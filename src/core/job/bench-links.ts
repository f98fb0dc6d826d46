import { isGrade, threadNamed } from "../fastening";
import { type JobInputs, type Part, type SheetSum, sheetNow, type Trait } from "../formats";
import { threeWays } from "../line";
import { conditionOf } from "./compile/torque";
import { BAR } from "./progress";
import type { Run } from "./run";
import { sheetOnLine } from "./sheet-on-line";
import type { Step } from "./step";
import { readProving } from "./step-id";

/** A calculation that helps at a step, opened with what the job knows already. */
export interface BenchLink {
  readonly calculator: string;
  /** Inputs to begin with, as typed. */
  readonly start: Readonly<Record<string, string>>;
  /** The answer that can stand as the step's own measurement. */
  readonly measures?: string;
  /** Its answer decides here: it stands open on the card. */
  readonly decides?: true;
}

type Links = readonly BenchLink[];
type Rule = (job: Run, step: Step) => Links;

const DAY_MS = 86_400_000;
const figure = (value: number): string => String(Number(value.toPrecision(6)));
const open = (calculator: string, start: BenchLink["start"] = {}): BenchLink => ({ calculator, start });
/** What the valve is to the world around it. */
const is = ({ sheet }: JobInputs, trait: Trait): boolean => sheetNow(sheet).traits?.includes(trait) === true;
const partOf = ({ inputs }: Run, step: Step): Part | undefined =>
  inputs.sheet.parts.find((part) => part.id === step.part);

/** More than this many beside one step would be a list to read. */
const MOST = 4;

/** What the bench book has for the step in hand: this bolt's torque, this coil's band, this section's readings. */
export function benchLinks(run: Run, step: Step): Links {
  // What the line carries here is what the sums are of.
  const job = { ...run, inputs: { ...run.inputs, sheet: sheetOnLine(run.inputs) } };
  const found = new Map<string, BenchLink>();
  for (const link of RULES.flatMap((rule) => rule(job, step))) {
    const first = found.get(link.calculator);
    // The sheet says that it decides here; the rule, what the job knows of it.
    found.set(
      link.calculator,
      first === undefined ? link : { ...link, ...first, start: { ...link.start, ...first.start } },
    );
  }
  return [...found.values()].slice(0, MOST);
}

/** What the sheet itself says that decides at a card of its own, with what its checks have measured. */
const ofTheSheet: Rule = ({ inputs, progress }, step) =>
  sumsAt(inputs.sheet, step).map(({ sum, start = {}, known = {} }): BenchLink => {
    const measured = Object.entries(known).flatMap(([field, check]) => {
      const given = progress.answers.get(check)?.answer;
      return given?.kind === "measured" ? [[field, given.typed] as const] : [];
    });
    return { calculator: sum, start: { ...start, ...Object.fromEntries(measured) }, decides: true };
  });

function sumsAt(sheet: JobInputs["sheet"], step: Step): readonly SheetSum[] {
  switch (step.kind) {
    case "check":
      return step.check.sums ?? [];
    case "task":
      return sheet.tasks?.find(({ id }) => id === step.task)?.sums ?? [];
    case "ready":
      return sheet.restore.find(({ id }) => id === step.card)?.sums ?? [];
    case "kit":
      return sheet.beforeTrip ?? [];
    default:
      return [];
  }
}

/** The sheet's torque with this circle's passes, this bolt, and what the wrench is set to with an extension. */
const torque: Rule = (job, step) => {
  const full =
    step.kind === "tighten"
      ? step.passes.at(-1)?.torque_Nm
      : step.kind === "fit" || step.kind === "tighten-one"
        ? step.torque_Nm
        : undefined;
  if (full === undefined) return [];
  const bolts = step.kind === "tighten" ? step.bolts : step.kind === "fit" ? Math.max(step.count, 1) : 1;
  const part = partOf(job, step);
  const thread = threadNamed(part?.fastener?.thread ?? "");
  const grade = part?.fastener?.grade;
  const end = part?.fit?.end;
  const bolt: BenchLink["start"] =
    thread === undefined || !isGrade(grade)
      ? { grade: "unknown" }
      : {
          grade,
          diameter: `${figure(thread.diameter * 1000)} mm`,
          pitch: `${figure(thread.pitch * 1000)} mm`,
          condition:
            part?.fit === undefined
              ? "dry"
              : conditionOf(part.fit, end?.kind === "torque" ? end.stated : "dry"),
        };
  return [open("bolt-up", { by: "sheet", limit: `${figure(full)} N·m`, bolts: figure(bolts), ...bolt })];
};

/** The spanner for what has to come off, and the thread behind it. */
const fastener: Rule = (job, step) => {
  const drive = step.kind === "strip" ? partOf(job, step)?.fastener?.drive : undefined;
  const flats = /^hex (\d+(?:\.\d+)?) mm$/.exec(drive ?? "")?.[1];
  return flats === undefined ? [] : [open("spanner-finder", { flats: `${flats} mm` })];
};

/** What goes on a thread, and when it holds. */
const onThread: Rule = (job, step) => {
  if (step.kind !== "fit") return [];
  const thread = threadNamed(partOf(job, step)?.fastener?.thread ?? "");
  const diameter: BenchLink["start"] =
    thread === undefined ? {} : { diameter: `${figure(thread.diameter * 1000)} mm` };
  return [
    ...(step.rules.some((rule) => rule.kind === "locker") ? [open("locker-cure", diameter)] : []),
    ...(step.rules.some((rule) => rule.kind === "sealant") ? [open("taper-thread")] : []),
  ];
};

/** Rings, packing and gaskets that go in new. */
const seals: Rule = (job, step) => {
  const part = step.kind === "fit" ? partOf(job, step) : undefined;
  if (step.kind !== "fit" || part === undefined) return [];
  const { shape } = part;
  if (step.pieces.length > 1) return [open("stack-depth", stack(part))];
  if (shape.kind === "packing")
    return [
      open("packing", {
        box: `${figure(shape.diameter_mm)} mm`,
        ...(shape.bore_mm !== undefined && { stem: `${figure(shape.bore_mm)} mm` }),
      }),
    ];
  if (shape.kind === "ring" && part.soft)
    return [open("o-ring", shape.bore_mm === undefined ? {} : { inside: `${figure(shape.bore_mm)} mm` })];
  return part.oneUse !== undefined && (shape.kind === "washer" || shape.kind === "plate")
    ? [open("gasket-cutter", shape.bore_mm === undefined ? {} : { bore: `${figure(shape.bore_mm)} mm` })]
    : [];
};

/** Heavy parts, and what pushes behind a cover. */
const strength: Rule = (job, step) => {
  const part = partOf(job, step);
  const heavy =
    step.kind === "strip" && part?.weight_kg !== undefined && part.weight_kg >= 15
      ? [open("lift", { known: "given", mass: `${figure(part.weight_kg)} kg` })]
      : [];
  if (step.kind !== "crack") return heavy;
  const circle = part?.fastener?.circle_mm ?? part?.shape.diameter_mm;
  return [
    open("cover-force", {
      bolts: figure(step.of),
      slack: figure(step.of - step.stay),
      pressure: `${figure(job.inputs.sheet.isolation.zero_bar)} bar g`,
      // A section full of water or oil stores next to nothing.
      ...(["water", "oil"].includes(job.inputs.sheet.isolation.medium) && { gas: "0 L" }),
      ...(circle !== undefined && { diameter: `${figure(circle)} mm` }),
    }),
    ...heavy,
  ];
};

/** Proving zero: is the gauge fit for it, and does the section hold. */
const proving: Rule = (job, step) => {
  const { isolation } = job.inputs.sheet;
  if (step.kind === "gauge")
    return [
      open("gauge-fitness", {
        prove: "below",
        kind: "gauge",
        reading: "0 bar g",
        boundGauge: `${figure(isolation.zero_bar)} bar g`,
      }),
      ...standing(job),
      ...(isolation.medium === "ammonia" || isolation.medium === "co2"
        ? [open("saturation", { refrigerant: isolation.medium })]
        : isolation.medium === "steam"
          ? [open("steam-table")]
          : []),
    ];
  if (step.kind !== "hold" && step.kind !== "soak") return [];
  return [
    ...(step.kind === "hold" ? standing(job) : []),
    open("soak-and-hold", {
      what: step.kind === "hold" ? "stand" : "soak",
      lasts: `${figure(step.minutes)} min`,
    }),
  ];
};

/** The readings of the section so far, first and last. */
function standing(job: Run): Links {
  const readings = job.progress.readings.filter((reading) => readProving(reading.step) !== undefined);
  const [first, last] = [readings[0], readings.at(-1)];
  const { zero_bar } = job.inputs.sheet.isolation;
  if (first === undefined || last === undefined || first === last) return [];
  const bar = (si: number) => `${figure(si / BAR)} bar g`;
  const kelvin = (name: string, of: number | undefined) =>
    of === undefined ? {} : { [name]: `${figure(of)} K` };
  return [
    open("stand-test", {
      first: bar(first.si),
      last: bar(last.si),
      time: `${figure(Math.max((last.at - first.at) / 60_000, 1))} min`,
      // A sheet that wants zero itself leaves the bound to the gauge.
      ...(zero_bar > 0 && { bound: `${figure(zero_bar)} bar` }),
      ...kelvin("firstTemperature", first.kelvin),
      ...kelvin("lastTemperature", last.kelvin),
    }),
  ];
}

/** Before anything is shut: who is harmed by the medium, by the outage, by the season. */
const beforehand: Rule = ({ inputs }, step) => {
  if (step.kind !== "kit" && step.kind !== "tools") return [];
  const { medium } = inputs.sheet.isolation;
  if (medium === "ammonia" || medium === "co2")
    return [
      open("exposure", { gas: medium }),
      ...(step.kind === "kit" &&
      inputs.sheet.checks.some((each) => each.kind === "measure" && each.what === "set-pressure")
        ? [{ ...open("relief-check", relief(inputs)), decides: true as const }]
        : []),
    ];
  if (medium === "gas") return [open("season-gate"), open("leak-grade")];
  const [hydrant, actuator] = [is(inputs, "hydrant"), is(inputs, "fire-actuator")];
  return hydrant || actuator ? [open("impairment-clock", { what: hydrant ? "hydrant" : "system" })] : [];
};

/** Electricity is measured with a fit meter; mains are shut and filled slowly; CO2 comes back as vapour. */
const shuttingAndOpening: Rule = ({ inputs, plan }, step) => {
  const { isolation } = inputs.sheet;
  if (step.kind === "shut") {
    if (step.by.kind === "closure" && step.by.medium === "electricity") return [open("meter-fitness")];
    return isolation.medium === "water" && (step.turns ?? 0) > 5 ? [open("hammer")] : [];
  }
  if (step.kind === "ask-twice" || step.kind === "live")
    return is(inputs, "meter-cock") ? [open("ride-through"), open("dial-test")] : [];
  if (step.kind !== "open") return [];
  if (isolation.medium === "co2") return [open("co2-charge")];
  const first = plan.steps.find((each) => each.kind === "open");
  return isolation.medium === "water" && first?.id === step.id ? [open("fill-and-vent"), open("hammer")] : [];
};

/** How long a part lives goes by what it is; the others are judged by eye alone. */
const LIFE_CLASS: Partial<Record<Part["shape"]["kind"], string>> = {
  seat: "seat",
  ball: "seat",
  disc: "seat",
  spring: "spring",
  coil: "motor",
  board: "electronics",
};

/** A looked-at part: renew it now that it is in the hand, or put it back. */
const economics: Rule = ({ inputs }, step) => {
  if (step.kind !== "check" || step.phase !== "inspect" || step.check.part === undefined) return [];
  const part = inputs.sheet.parts.find((each) => each.id === step.part || each.id === step.check.part);
  const since = inputs.valve.serviced ?? inputs.valve.installed;
  if (part === undefined || part.oneUse !== undefined) return [];
  const kind = part.soft ? "elastomer" : LIFE_CLASS[part.shape.kind];
  if (kind === undefined) return [];
  const age = since === undefined ? undefined : (Date.parse(inputs.openedAt) - Date.parse(since)) / DAY_MS;
  return [
    open("renew-or-reuse", {
      part: kind,
      ...(age !== undefined && age > 0 && { age: `${figure(age)} d` }),
    }),
  ];
};

/** When the valve is due again, from the shortest interval of its sheet. */
const afterwards: Rule = ({ inputs }, step) => {
  if (step.kind !== "sign-off") return [];
  const months = Math.min(...inputs.sheet.intervals.map((each) => each.every_months));
  return [open("interval", { last: inputs.openedAt.slice(0, 10), months: figure(months) })];
};

/** What line and register know of a relief valve: whether it stands alone, on which vessel, since when. */
function relief({ sheet, line, valve }: JobInputs): BenchLink["start"] {
  const at = valve.node ?? valve.tag;
  const beside = new Set(
    (line?.links ?? []).flatMap(({ from, to }) => (from === at ? [to] : to === at ? [from] : [])),
  );
  const stem = (line === undefined ? [] : threeWays(line)).find(({ id }) => beside.has(id));
  const near = new Set(
    (line?.links ?? []).flatMap(({ from, to }) =>
      stem === undefined ? [] : from === stem.id ? [to] : to === stem.id ? [from] : [],
    ),
  );
  const vessel = line?.nodes.find(
    ({ id, kind, volume_L }) =>
      kind === "vessel" && volume_L !== undefined && (beside.has(id) || near.has(id)),
  );
  const exchange = sheet.intervals.find((each) => each.renews !== undefined);
  const since = (exchange && valve.last?.[exchange.id]) ?? valve.installed;
  return {
    refrigerant: sheet.isolation.medium === "co2" ? "co2" : "ammonia",
    fitted:
      stem !== undefined || (line === undefined && sheetNow(sheet).traits?.includes("twin-relief") === true)
        ? "dual"
        : "single",
    ...(vessel?.volume_L !== undefined && { volume: `${figure(vessel.volume_L)} L` }),
    ...(line?.rating_bar !== undefined && { design: `${figure(line.rating_bar)} bar g` }),
    ...(since !== undefined && { installed: since.slice(0, 10) }),
  };
}

/** Pieces of a stack by their heights, and how deep its bore is when the last sits where it should. */
function stack(part: Part | undefined): BenchLink["start"] {
  const pieces = part?.pieces ?? [];
  const seals = pieces.filter(({ kind }) => kind === "ring");
  const spacers = pieces.filter(({ kind }) => kind !== "ring");
  const end = part?.fit?.end;
  const height = pieces.reduce((sum, each) => sum + each.height_mm, 0);
  return pieces.length === 0
    ? {}
    : {
        seals: figure(seals.length),
        spacers: figure(spacers.length),
        seal: `${figure(seals[0]?.height_mm ?? 0)} mm`,
        spacer: `${figure(spacers[0]?.height_mm ?? 0)} mm`,
        squeeze: "0 %",
        ...(end?.kind === "seat-to-depth" && { bore: `${figure(height + end.depth_mm)} mm` }),
      };
}

/** A measurement that the bench book corrects or explains, by what is measured. */
const measuring: Rule = ({ inputs, progress }, step) => {
  const check = step.kind === "check" ? step.check : undefined;
  if (check?.kind !== "measure") return [];
  const { low, high, unit } = check;
  const limit = (name: string, value: number | undefined) =>
    value === undefined ? {} : { [name]: `${figure(value)} ${unit}` };
  switch (check.what) {
    case "coil-resistance":
      return [
        {
          calculator: "coil",
          start: { ...limit("least", low), ...limit("most", high) },
          measures: "at20",
        },
        ...(is(inputs, "irrigation") ? [open("field-wire")] : []),
      ];
    case "static-pressure": {
      const typed = progress.answers.get(check.id)?.answer;
      return [
        open("hydrant-flow", typed?.kind === "measured" ? { static: `${figure(typed.si / BAR)} bar g` } : {}),
        open("head"),
      ];
    }
    case "drain-time":
      return [open("drain-down", limit("limit", high))];
    case "mixed-temperature":
      return [
        open("mixing", low !== undefined && high !== undefined ? limit("set", (low + high) / 2) : {}),
        open("sensor-check"),
        open("descale"),
      ];
    case "set-pressure":
      return [open("relief-check", relief(inputs)), open("relief-vent")];
    case "stack-depth":
      return [open("stack-depth", stack(inputs.sheet.parts.find((part) => part.pieces !== undefined)))];
    case "outlet-temperature":
    case "body-temperature":
      return [open("trap-loss"), open("steam-table")];
    case "hardness":
      return [open("softener"), open("brine")];
    case "backwash-flow":
      return [open("brine")];
    case "vapour-charge":
      return [open("co2-charge"), open("gauge-fitness", { prove: "above" })];
    case "turns-set":
      return [open("kv"), open("saturation")];
    case "heating-surface":
      return [open("radiator")];
    case "standing-pressure":
      return [open("leak-by")];
    case "test-pressure":
      return [open("decay-test", { fill: "water" })];
    case "trip-pressure":
      return [open("actuator-balance")];
    case "closing-time":
      return is(inputs, "air-valve")
        ? [open("fill-and-vent")]
        : [open("pilot-differential"), open("zone-flush")];
    default:
      return [];
  }
};

/** In the order in which they stand beside the step: what answers it first. */
const RULES: readonly Rule[] = [
  ofTheSheet,
  torque,
  measuring,
  proving,
  strength,
  seals,
  onThread,
  fastener,
  beforehand,
  shuttingAndOpening,
  economics,
  afterwards,
];
