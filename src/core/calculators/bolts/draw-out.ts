import { ok } from "../../result";
import { calculator } from "../calculator";
import { choice, measured, result, SIZE } from "../fields";

/** Room for the fingers and for lifting straight, m. */
const HAND = 0.01;

/** Companion of calculation 2: whether a body slides out between its neighbours, and which of them has to go first. */
export const drawOut = calculator({
  id: "draw-out",
  chapter: "Bolts and threads",
  title: "Draw-out room",
  says: "Whether this body slides out between its neighbours, and which neighbour has to come off first if not.",
  words: [
    "draw out",
    "no room",
    "slide out",
    "stuck between flanges",
    "raised face",
    "tongue",
    "spool",
    "which first",
  ],
  inputs: {
    gap: measured("Gap left by the neighbours", SIZE, {
      help: "Free length from face to face, the body's own bolts out.",
      least: 0,
      most: 5,
      usual: 0.152,
    }),
    body: measured("Body, face to face", SIZE, {
      help: "Length of what has to slide out.",
      least: 0,
      most: 5,
      usual: 0.15,
    }),
    face: measured("Depth of one register", SIZE, {
      help: "How far a tongue, spigot or union tail reaches in at one end; flat faces: 0.",
      least: 0,
      most: 0.2,
      usual: 0.004,
    }),
    ends: choice("Registers at", "At how many ends the body is caught.", {
      both: "both ends",
      one: "one end",
      none: "neither end",
    }),
    left: measured("Spread of the left neighbour", SIZE, {
      help: "How far it can be eased away without strain: a loose flange, a union, a slack hanger.",
      least: 0,
      most: 0.5,
      usual: 0,
    }),
    right: measured("Spread of the right neighbour", SIZE, {
      help: "The same on the other side.",
      least: 0,
      most: 0.5,
      usual: 0,
    }),
    rod: measured("Longest rod or stud to be drawn", SIZE, {
      help: "The one that goes through both flanges; leave it out where nothing is drawn lengthwise.",
      least: 0,
      most: 3,
      optional: true,
    }),
    clear: measured("Free length behind the flange", SIZE, {
      help: "Along the rod, to the first thing it would meet: a pump, an adapter, a wall.",
      least: 0,
      most: 5,
      optional: true,
    }),
    machined: measured("Turned off each face", SIZE, {
      help: "If the body is made narrower to pass.",
      least: 0,
      most: 0.02,
      usual: 0,
    }),
    allowed: measured("Its maker allows off each face", SIZE, {
      help: "0 where nobody has said so.",
      least: 0,
      most: 0.02,
      usual: 0,
    }),
  },
  outputs: {
    spare: result("To spare", SIZE),
    needed: result("Gap needed", SIZE),
    room: result("Gap that can be made", SIZE),
    rodSpare: result("Rod to spare", SIZE, "optional"),
  },
  compute: (given, say) => {
    const caught = { both: 2, one: 1, none: 0 }[given.ends] ?? 0;
    const needed = given.body - 2 * given.machined + caught * given.face;
    const { rod, clear } = given;
    const rodSpare = rod === undefined || clear === undefined ? undefined : clear - rod;
    const stuck = rodSpare !== undefined && rodSpare < 0;
    const tooThin = given.machined > given.allowed;
    const [left, right] = [given.left, given.right];
    const room = given.gap + left + right;
    const spare = room - needed;
    const first = left >= right ? "left" : "right";
    return ok({
      outputs: { needed, room, spare, rodSpare },
      verdict: spare < 0 || stuck || tooThin ? "fail" : spare < HAND ? "watch" : "pass",
      reasons: [
        ...(stuck
          ? [
              `The rod does not pass: ${say(-rodSpare, SIZE)} too long. Draw it to the other side, cut it out, or take off what stands behind it first.`,
            ]
          : []),
        ...(tooThin
          ? [
              `${say(given.machined, SIZE)} off a face is more than its maker allows (${say(given.allowed, SIZE)}): the seal has less to stand on, and the body less to bear with. Do not.`,
            ]
          : []),
        spare < 0
          ? `${say(-spare, SIZE)} short: take off the ${first} neighbour first, it gives more.`
          : given.gap >= needed
            ? "It slides out with the neighbours where they stand."
            : `Ease the ${first} neighbour first.`,
      ],
      cautions: [
        "Do not spread pipe with wedges or a jack beyond what its hangers allow: it springs back and takes fingers.",
        "Hold the body before the last bolt is out.",
      ],
    });
  },
  sources: ["Geometry: the body and the registers that reach into its neighbours have to fit the gap."],
  examples: [
    {
      source: "By hand: 150 + 2 · 4 = 158 mm into 152 mm is 6 mm short.",
      inputs: {},
      outputs: { needed: "158 ± 0.001 mm", spare: "-6 ± 0.001 mm" },
      verdict: "fail",
    },
    {
      source: "By hand: a rod of 260 mm with 180 mm behind the flange is 80 mm too long.",
      inputs: { right: "20 mm", rod: "260 mm", clear: "180 mm" },
      outputs: { rodSpare: "-80 ± 0.001 mm", spare: "14 ± 0.001 mm" },
      verdict: "fail",
    },
    {
      source: "By hand: 1 mm off each face gains 2 mm, and nobody allows it.",
      inputs: { machined: "1 mm" },
      outputs: { needed: "156 ± 0.001 mm" },
      verdict: "fail",
    },
    {
      source: "By hand: the same with 8 mm spread on the right leaves 2 mm.",
      inputs: { right: "8 mm" },
      outputs: { room: "160 ± 0.001 mm", spare: "2 ± 0.001 mm" },
      verdict: "watch",
    },
  ],
});
