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
  },
  outputs: {
    spare: result("To spare", SIZE),
    needed: result("Gap needed", SIZE),
    room: result("Gap that can be made", SIZE),
  },
  compute: (given, say) => {
    const caught = { both: 2, one: 1, none: 0 }[given.ends] ?? 0;
    const needed = given.body + caught * given.face;
    const [left, right] = [given.left, given.right];
    const room = given.gap + left + right;
    const spare = room - needed;
    const first = left >= right ? "left" : "right";
    return ok({
      outputs: { needed, room, spare },
      verdict: spare < 0 ? "fail" : spare < HAND ? "watch" : "pass",
      reasons: [
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
      source: "By hand: the same with 8 mm spread on the right leaves 2 mm.",
      inputs: { right: "8 mm" },
      outputs: { room: "160 ± 0.001 mm", spare: "2 ± 0.001 mm" },
      verdict: "watch",
    },
  ],
});
