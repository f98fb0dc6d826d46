import { type Static, Type } from "@sinclair/typebox";
import { closed, Id, Minutes, oneKindOf, oneOf, titled, Words } from "./shared";
import { Feature, LookAlike, mm, StandIn } from "./sheet-features";
import { BoltSet, EndCondition, Turn } from "./sheet-joint";

const ShapeKind = oneOf(
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
);

/** What a tool does to a part, where that can harm it or is asked of it. */
export const ToolClass = oneOf(
  "hammer",
  "impact-driver",
  "power-driver",
  "pipe-wrench",
  "adjustable-spanner",
  "steel-pick",
  "steel-scraper",
  "torque-wrench",
);
/** Which fasteners of a ring stay in while it is cracked. */
const StayAt = oneOf("opposite", "bottom", "top");
export type StayAt = Static<typeof StayAt>;
export type ToolClass = Static<typeof ToolClass>;

/** A tool that must not be used here. */
export const ForbiddenTool = Type.Object(
  {
    tool: Words,
    why: Words,
    class: Type.Optional(titled("Kind of tool", ToolClass)),
  },
  closed,
);

/** A part as it is drawn: a simple turned shape of true proportions. */
export const Shape = Type.Object(
  {
    kind: ShapeKind,
    diameter_mm: mm("Outside diameter"),
    height_mm: mm("Height along the axis"),
    bore_mm: Type.Optional(mm("Hole")),
    thread_mm: Type.Optional(mm("Length of thread shown")),
    side: Type.Optional(oneOf("axis", "left", "right")),
  },
  closed,
);

export const CautionSchema = Type.Object(
  { can: Type.String({ description: "What can happen." }), do: Type.String({ description: "What to do." }) },
  closed,
);

/** A place on a part, as it stands on the axis. */
const GripAt = oneOf("top", "middle", "foot", "left", "right");
export type GripAt = Static<typeof GripAt>;

const bodyUp = Type.Optional(
  Type.String({
    minLength: 1,
    maxLength: 60,
    title: "This side up",
    description: "Which side of the body is up. Where it changes, the card says to turn it over.",
  }),
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
    forbidden: Type.Optional(Type.Array(ForbiddenTool)),
    bodyUp,
    position: Type.Optional(Type.Object({ before: Type.Optional(Id), after: Type.Optional(Id) }, closed)),
    turn: Type.Optional({ ...Turn, title: "Turned to come off" }),
    marks: Type.Optional(Words),
    cautions: Type.Optional(Type.Array(CautionSchema)),
    stayUntilCracked: Type.Optional(
      Type.Integer({ minimum: 1, description: "How many fasteners stay in until the joint is cracked." }),
    ),
    stayAt: Type.Optional(
      Type.Unsafe<Static<typeof StayAt>>({
        ...titled("Which stay in", StayAt),
        description:
          "Where the fasteners sit that stay in until the joint is cracked: opposite each other when left out; at the bottom where they cradle what comes off.",
      }),
    ),
    grip: Type.Optional(
      Type.Object(
        {
          at: GripAt,
          with: Words,
          keepOff: Type.Optional(Type.Object({ at: GripAt, why: Words }, closed)),
        },
        {
          ...closed,
          title: "Gripped at",
          description: "Where a tool grips or levers it, and where none ever may: drawn on its shape.",
        },
      ),
    ),
    spoils: Type.Optional(
      Type.Array(Id, { description: "One-use parts that this removal spoils beside the part itself." }),
    ),
    underPressure: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        description:
          "Why this step is allowed with pressure behind it: it is asked twice. Never without this.",
      }),
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
    points: Type.Optional(
      titled(
        "Points",
        oneKindOf(
          Type.Object({ kind: Type.Literal("arrow"), to: oneOf("flow", "up", "down", "outlet") }, closed),
          Type.Object({ kind: Type.Literal("clock"), at: Type.Number({ minimum: 1, maximum: 12 }) }, closed),
        ),
      ),
    ),
    asNoted: Type.Optional(
      Type.Boolean({ description: "It goes back as it was noted: what was noted is shown again." }),
    ),
    surface: Type.Optional(
      oneKindOf(
        Type.Object(
          {
            kind: Type.Literal("lubricate"),
            with: Id,
            where: Words,
            on: Type.Optional(
              titled("On the thread or a face", {
                ...oneOf("face", "thread"),
                description: "On the thread it takes less torque for the same pull. A face when absent.",
              }),
            ),
            keepOff: Type.Optional(Words),
          },
          closed,
        ),
        Type.Object({ kind: Type.Literal("dry"), why: Words }, closed),
      ),
    ),
    thread: Type.Optional(
      oneKindOf(
        Type.Object(
          {
            kind: Type.Literal("locker"),
            grade: oneOf("low", "medium", "high"),
            with: Id,
            why: Words,
            cure_min: Type.Optional(
              titled(
                "Cures before it is loaded",
                Type.Number({ exclusiveMinimum: 0, maximum: 10_000, description: "min, by its own paper." }),
              ),
            ),
          },
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
    bodyUp,
    byBuild: Type.Optional(
      Type.Record(Id, EndCondition, {
        title: "Tightened otherwise on",
        description: "Where tightening ends on these builds, by their id.",
      }),
    ),
    looseUntil: Type.Optional(Type.String({ description: "Left loose until this part is in." })),
    position: Type.Optional(Type.Object({ before: Type.Optional(Id), after: Type.Optional(Id) }, closed)),
    cautions: Type.Optional(Type.Array(CautionSchema)),
  },
  closed,
);

export const PartSchema = Type.Object(
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
    weight_kg: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 2000, description: "One piece." })),
    role: Type.Optional(
      Type.Unsafe<"cover" | "bonnet" | "gland">({
        type: "string",
        enum: ["cover", "bonnet", "gland"],
        description:
          "Cover: pressure stands behind it. Bonnet: a cover that carries the stem. Gland: seals the stem.",
      }),
    ),
    loaded: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        description: "A spring or weight behind it: what it does when let go.",
      }),
    ),
    dryByDesign: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "Why nothing that slips may ever be on it." }),
    ),
    shape: Shape,
    stays: Type.Optional(Type.Boolean({ description: "Part of the fixed body: never comes off." })),
    option: Type.Optional(
      Type.String({
        title: "Only with",
        description: "The option it belongs to: a valve without it lacks this part.",
      }),
    ),
    ways: Type.Array(Way),
    dry: Type.Optional(
      Type.Boolean({
        title: "Comes off dry",
        description:
          "Nothing that holds pressure is opened by it. Where only such parts come off, no medium is shut.",
      }),
    ),
    opensVent: Type.Optional(
      Type.Boolean({
        title: "Opens its vent",
        description:
          "Once it is off the vent of this relief valve stands open. Where others blow into the same header, it is blanked meanwhile.",
      }),
    ),
    oneUse: Type.Optional(Type.String({ description: "Why it cannot go back once it was off." })),
    soft: Type.Optional(Type.Boolean({ description: "A seal or ring that policies renew when disturbed." })),
    keep: Type.Optional(Type.String({ description: "Why it must not be lost: it is in no kit." })),
    standIn: Type.Optional(titled("What stands in for it", StandIn)),
    slackened: Type.Optional(
      Type.Boolean({ title: "Only slackened", description: "It is not taken out: slackened it lets go." }),
    ),
    fastener: Type.Optional(
      Type.Object(
        {
          thread: Words,
          drive: Words,
          grade: Type.Optional(Words),
          circle_mm: Type.Optional(mm("Bolt circle")),
          set: Type.Optional(BoltSet),
          lengths: Type.Optional(
            Type.Array(
              Type.Object(
                { pieces: Type.Integer({ minimum: 1 }), length_mm: mm("Length"), where: Words },
                closed,
              ),
              { description: "Where they are not all alike: so many of each, and where they sit." },
            ),
          ),
        },
        closed,
      ),
    ),
    face: Type.Optional({
      ...titled("Its faces are", oneOf("flat", "raised", "recessed")),
      description:
        "Of a flange gasket: flat to the rim, raised inside the bolts, or a recess it lies in. It decides how it may be cut.",
    }),
    features: Type.Optional(Type.Array(Feature, { description: "What tells it from a look-alike." })),
    lookAlikes: Type.Optional(Type.Array(LookAlike)),
    pieces: Type.Optional(
      Type.Array(
        Type.Object(
          {
            name: Words,
            kind: ShapeKind,
            height_mm: mm("Height along the axis"),
            odd: Type.Optional(
              Type.String({
                minLength: 1,
                maxLength: 400,
                description: "How this one differs from the others.",
              }),
            ),
            cue: Type.Optional(
              Type.String({
                minLength: 1,
                maxLength: 200,
                description:
                  "What is done or felt as it goes in: the driver turned over, it drops and locks.",
              }),
            ),
          },
          closed,
        ),
        { minItems: 2, description: "A stack, from the bottom up; as many as its quantity." },
      ),
    ),
    fit: Type.Optional(Fit),
  },
  closed,
);
