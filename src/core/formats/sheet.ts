import { type Static, Type } from "@sinclair/typebox";
import { Medium } from "./line";
import { closed, Id, Minutes, oneKindOf, oneOf, Words } from "./shared";

const mm = (description: string) =>
  Type.Number({ exclusiveMinimum: 0, maximum: 5000, description: `${description}, mm` });

/** A part as it is drawn: a simple turned shape of true proportions. */
const Shape = Type.Object(
  {
    kind: oneOf(
      "body",
      "ring",
      "disc",
      "seat",
      "ball",
      "stem",
      "spring",
      "diaphragm",
      "plate",
      "packing",
      "float",
      "cartridge",
      "coil",
      "board",
      "screws",
      "nut",
      "cap",
      "sleeve",
      "washer",
    ),
    diameter_mm: mm("Outside diameter"),
    height_mm: mm("Height along the axis"),
    bore_mm: Type.Optional(mm("Hole")),
    thread_mm: Type.Optional(mm("Length of thread shown")),
    side: Type.Optional(oneOf("axis", "left", "right")),
  },
  closed,
);

/** Where tightening ends. There is no blank: a figure nobody has is "to-ask-for". */
export const EndCondition = oneKindOf(
  Type.Object(
    {
      kind: Type.Literal("torque"),
      torque_Nm: Type.Number({ exclusiveMinimum: 0 }),
      stated: oneOf("dry", "oiled", "anti-seize", "grease"),
      pattern: oneOf("cross", "single", "in-turn"),
      passes_percent: Type.Array(Type.Number({ exclusiveMinimum: 0, maximum: 100 }), { minItems: 1 }),
      maximum_Nm: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
      holdAgainst: Type.Optional(Words),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("angle"), fromContact_deg: Type.Number({ exclusiveMinimum: 0 }) }, closed),
  Type.Object({ kind: Type.Literal("hand-tight") }, closed),
  Type.Object({ kind: Type.Literal("snug") }, closed),
  Type.Object({ kind: Type.Literal("flush") }, closed),
  Type.Object(
    {
      kind: Type.Literal("touch-and-back-off"),
      backOff_turns: Type.Number({ exclusiveMinimum: 0, maximum: 5 }),
    },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("seat-to-depth"),
      depth_mm: Type.Number(),
      tolerance_mm: Type.Number({ exclusiveMinimum: 0 }),
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("until-stop"), seen: Words }, closed),
  Type.Object({ kind: Type.Literal("seated"), seen: Words }, closed),
  Type.Object({ kind: Type.Literal("to-ask-for"), whom: Words }, closed),
);
export type EndCondition = Static<typeof EndCondition>;

const Caution = Type.Object(
  { can: Type.String({ description: "What can happen." }), do: Type.String({ description: "What to do." }) },
  closed,
);

/** One way a part comes off: what must be off before, how, with what, in which position. */
const Way = Type.Object(
  {
    id: Type.Optional(Id),
    heldBy: Type.Array(Id, { description: "Parts that must be off first." }),
    builds: Type.Optional(Type.Array(Id, { description: "Only on these builds; every build when absent." })),
    do: Words,
    why: Type.Optional(Words),
    minutes: Minutes,
    tools: Type.Array(Id),
    forbidden: Type.Optional(Type.Array(Type.Object({ tool: Words, why: Words }, closed))),
    bodyUp: Type.Optional(Type.String({ description: "Which face of the body is up." })),
    position: Type.Optional(Type.Object({ before: Type.Optional(Id), after: Type.Optional(Id) }, closed)),
    marks: Type.Optional(Words),
    cautions: Type.Optional(Type.Array(Caution)),
    stayUntilCracked: Type.Optional(
      Type.Integer({ minimum: 1, description: "How many fasteners stay in until the joint is cracked." }),
    ),
    spoils: Type.Optional(
      Type.Array(Id, { description: "One-use parts that this removal spoils beside the part itself." }),
    ),
  },
  closed,
);

const Fit = Type.Object(
  {
    do: Words,
    why: Type.Optional(Words),
    minutes: Minutes,
    tools: Type.Array(Id),
    orientation: Type.Optional(Words),
    surface: Type.Optional(
      oneKindOf(
        Type.Object(
          { kind: Type.Literal("lubricate"), with: Id, where: Words, keepOff: Type.Optional(Words) },
          closed,
        ),
        Type.Object({ kind: Type.Literal("dry"), why: Words }, closed),
      ),
    ),
    thread: Type.Optional(
      oneKindOf(
        Type.Object(
          { kind: Type.Literal("locker"), grade: oneOf("low", "medium", "high"), with: Id, why: Words },
          closed,
        ),
        Type.Object({ kind: Type.Literal("anti-seize"), with: Id, why: Words }, closed),
        Type.Object({ kind: Type.Literal("sealant"), with: Id, why: Words }, closed),
        Type.Object({ kind: Type.Literal("dry"), why: Words }, closed),
      ),
    ),
    joint: Type.Optional(
      Type.Array(oneOf("lock", "seal", "release"), { description: "What the joint must do." }),
    ),
    end: EndCondition,
    looseUntil: Type.Optional(Type.String({ description: "Left loose until this part is in." })),
    position: Type.Optional(Type.Object({ before: Type.Optional(Id), after: Type.Optional(Id) }, closed)),
    cautions: Type.Optional(Type.Array(Caution)),
  },
  closed,
);

const Part = Type.Object(
  {
    id: Id,
    name: Words,
    quantity: Type.Integer({ minimum: 1, maximum: 500 }),
    material: oneOf(
      "iron",
      "steel",
      "stainless",
      "brass",
      "bronze",
      "aluminium",
      "plastic",
      "nitrile",
      "epdm",
      "silicone",
      "ptfe",
      "graphite",
      "fibre",
      "copper",
    ),
    brittle: Type.Optional(Type.Boolean()),
    potable: Type.Optional(Type.Boolean()),
    shape: Shape,
    stays: Type.Optional(Type.Boolean({ description: "Part of the fixed body: never comes off." })),
    ways: Type.Array(Way),
    oneUse: Type.Optional(Type.String({ description: "Why it cannot go back once it was off." })),
    soft: Type.Optional(Type.Boolean({ description: "A seal or ring that policies renew when disturbed." })),
    keep: Type.Optional(Type.String({ description: "Why it must not be lost: it is in no kit." })),
    fastener: Type.Optional(
      Type.Object(
        {
          thread: Words,
          drive: Words,
          grade: Type.Optional(Words),
          circle_mm: Type.Optional(mm("Bolt circle")),
        },
        closed,
      ),
    ),
    features: Type.Optional(
      Type.Array(Type.Object({ name: Words, value: Words }, closed), {
        description: "What tells it from a look-alike.",
      }),
    ),
    fit: Type.Optional(Fit),
  },
  closed,
);

const Disposition = oneOf("reuse", "clean", "renew", "stop");
export type Disposition = Static<typeof Disposition>;

const Verdict = {
  means: Disposition,
  says: Words,
  alsoRenew: Type.Optional(Type.Array(Id)),
  reach: Type.Optional(Type.Array(Id, { description: "Parts that must now be reached." })),
};

export const CHECK_DIMENSIONS = [
  "length",
  "gauge pressure",
  "time",
  "turns",
  "torque",
  "resistance",
  "number",
] as const;

const checkBase = {
  id: Id,
  part: Type.Optional(Type.String({ description: "What is looked at; absent for the valve as a whole." })),
  phase: oneOf("triage", "inspect", "rebuild", "test"),
  needsOff: Type.Optional(Type.Array(Id, { description: "Asked only when these parts are off." })),
  afterFit: Type.Optional(Type.String({ description: "In rebuild: asked once this part is in." })),
  do: Words,
  ask: Words,
  why: Words,
  how: Type.Array(Words, { description: "Short cues: good light, nail test." }),
  minutes: Minutes,
  tools: Type.Array(Id),
};

/** The three kinds of check: a choice, a measurement with limits, a go/no-go trick. */
const Check = oneKindOf(
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("choice"),
      options: Type.Array(Type.Object({ id: Id, label: Words, ...Verdict }, closed), { minItems: 2 }),
    },
    closed,
  ),
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("measure"),
      what: Id,
      dimension: oneOf(...CHECK_DIMENSIONS),
      unit: Words,
      low: Type.Optional(Type.Number()),
      high: Type.Optional(Type.Number()),
      within: Type.Object(Verdict, closed),
      below: Type.Optional(Type.Object(Verdict, closed)),
      above: Type.Optional(Type.Object(Verdict, closed)),
    },
    closed,
  ),
  Type.Object(
    {
      ...checkBase,
      kind: Type.Literal("trick"),
      go: Type.Object({ label: Words, ...Verdict }, closed),
      noGo: Type.Object({ label: Words, ...Verdict }, closed),
    },
    closed,
  ),
);

const Kit = Type.Object(
  {
    id: Id,
    name: Words,
    generations: Type.Optional(
      Type.Array(Words, { description: "Fits these generations of the valve; all when absent." }),
    ),
    contents: Type.Array(Type.Object({ part: Id, quantity: Type.Integer({ minimum: 1 }) }, closed), {
      minItems: 1,
    }),
    leftovers: Type.Array(
      Type.Object({ name: Words, quantity: Type.Integer({ minimum: 1 }), why: Words }, closed),
      {
        description: "What is right to be left over.",
      },
    ),
  },
  closed,
);

const Tool = Type.Object(
  {
    id: Id,
    name: Words,
    size: Type.Optional(Words),
    substitutes: Type.Optional(Type.Array(Type.Object({ name: Words, allowedWhen: Words }, closed))),
  },
  closed,
);

export const SheetSchema = Type.Object(
  {
    format: Type.Literal("loftbell.sheet"),
    version: Type.Literal(1),
    id: Id,
    revision: Type.Integer({ minimum: 1 }),
    title: Words,
    maker: Words,
    model: Words,
    family: Id,
    demonstration: Type.Boolean({ description: "True: demonstration data, not for real equipment." }),
    summary: Words,
    builds: Type.Array(Type.Object({ id: Id, name: Words }, closed), {
      description: "Variants of the same model.",
    }),
    generations: Type.Array(Words),
    hazards: Type.Array(Type.Object({ id: Id, can: Words, do: Words }, closed)),
    protective: Type.Array(Words, { description: "Protective gear." }),
    competence: Words,
    intervals: Type.Array(
      Type.Object(
        { id: Id, every_months: Type.Number({ exclusiveMinimum: 0 }), what: Words, source: Words },
        closed,
      ),
      { minItems: 1 },
    ),
    isolation: Type.Object(
      {
        medium: Medium,
        zeroAt: Words,
        fitGauge: Words,
        zero_bar: Type.Number({
          minimum: 0,
          maximum: 1,
          description: "A reading above this is not zero, bar gauge.",
        }),
        hold_min: Minutes,
        drainsItself: Type.Boolean({ description: "The valve drains once shut off (a dry barrel)." }),
        noLine: Words,
      },
      closed,
    ),
    connections: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          kind: oneOf("port", "terminal", "hose", "wire"),
          colour: Type.Optional(Words),
          polarity: oneOf("matters", "free"),
        },
        closed,
      ),
    ),
    capture: Type.Array(
      Type.Object({ id: Id, ask: Words, why: Words, choices: Type.Array(Words, { minItems: 2 }) }, closed),
      {
        description: "What is noted before anything moves.",
      },
    ),
    position: Type.Optional(
      Type.Object(
        {
          names: Type.Array(Type.Object({ id: Id, name: Words, do: Words }, closed), { minItems: 2 }),
          start: Id,
          finish: Id,
          movedBy: Type.String({ description: "Part that must be in place to move it." }),
          minutes: Minutes,
        },
        closed,
      ),
    ),
    tools: Type.Array(Tool),
    supplies: Type.Array(
      Type.Object(
        {
          id: Id,
          name: Words,
          base: oneOf("silicone", "petroleum", "food-grade", "anaerobic", "ptfe", "metallic"),
        },
        closed,
      ),
    ),
    parts: Type.Array(Part, { minItems: 2 }),
    checks: Type.Array(Check),
    kits: Type.Array(Kit),
    singles: Type.Array(Id, { description: "Parts sold singly." }),
    restore: Type.Array(
      Type.Object(
        {
          id: Id,
          when: oneOf("before-opening", "after-opening"),
          do: Words,
          why: Words,
          minutes: Minutes,
          cautions: Type.Optional(Type.Array(Caution)),
        },
        closed,
      ),
    ),
    symptoms: Type.Array(
      Type.Object({ id: Id, says: Words, reach: Type.Array(Id, { minItems: 1 }) }, closed),
    ),
    tag: Words,
  },
  {
    ...closed,
    $id: "loftbell.sheet.json",
    title: "Service sheet",
    description: "The build and service data of one model.",
  },
);

export type Sheet = Static<typeof SheetSchema>;
export type Part = Sheet["parts"][number];
export type Way = Part["ways"][number];
export type PartFit = NonNullable<Part["fit"]>;
export type PartShape = Part["shape"];
export type Check = Sheet["checks"][number];
export type CheckVerdict = { means: Disposition; says: string; alsoRenew?: string[]; reach?: string[] };
export type Kit = Sheet["kits"][number];
export type Tool = Sheet["tools"][number];
export type Caution = Static<typeof Caution>;
