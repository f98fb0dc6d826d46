import { expect } from "vitest";
import { type Row, works } from "./row.fixtures";

/** Electronic mixing valve, a rotating spool. */
export const mixingSpool: readonly Row[] = [
  works("MVS-01", "Apart, seals new, together: in its line, or on the bench", (on) => {
    expect(on.renewed("due")).toEqual(expect.arrayContaining(["seal-top", "seal-bottom"]));
    const bench = on.cards("due", {}, { where: "bench" }).map(({ kind }) => kind);
    expect(bench).toContain("away");
    expect(bench).not.toContain("shut");
  }),
  works("MVS-02", "Return pump, cold, hot, mixed; drained and proven", (on) =>
    on.inOrder(["pump-off:LD-RP", "shut:LD-W7", "drain:DR1", "prove:again", "strip:lid-screws"], "due"),
  ),
  works("MVS-03", "Who goes without; power off before the cover; showers posted", (on) => {
    expect(on.answer("without", "needed").means).toBe("stop");
    on.inOrder(["check:without", "shut:LD-Q1", "prove:dead:M1E", "strip:lid-screws"], "due");
    on.inOrder(["restore:showers", "open:LD-W14"], "due");
  }),
  works("MVS-04", "The lid's screws, counted", (on) =>
    expect(on.card("strip", "lid-screws", "due").count).toBe(4),
  ),
  works("MVS-05", "Plugs pulled by the plug", (on) => {
    on.speaks(on.card("strip", "lid", "due"), /plug by its body/);
    on.speaks(on.card("strip", "board", "due"), /never by the wires/);
  }),
  works("MVS-06", "What must stay dry goes into the bag, counted", (on) => {
    expect(on.card("task", "dry-bag", "due").lines).toHaveLength(4);
    expect(on.card("tools", undefined, "due").bring.map(({ id }) => id)).toContain("bag");
  }),
  works("MVS-07", "Drivers, key, spanner", (on) =>
    expect(on.card("tools", undefined, "due").bring.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["cross-2", "blade-3", "hex-2", "lobe-25"]),
    ),
  ),
  works("MVS-08", "Each plug by colour and socket, once the lid is off", (on) =>
    on.inOrder(["strip:lid", "mark:at:w-motor", "mark:at:w-battery", "mark:at:w-plus"], "due"),
  ),
  works("MVS-09", "One screw of the supply, four of the battery", (on) => {
    expect(on.card("strip", "battery-screws", "due").count).toBe(4);
    on.inOrder(["strip:battery", "strip:supply-screw", "strip:supply"], "due");
  }),
  works("MVS-10", "Zero asked again before the probes", (on) => {
    expect(on.card("mark", "zero-again", "due").right).toBe("Zero");
    on.inOrder(["mark:zero-again", "strip:probe-cold"], "due");
  }),
  works("MVS-11", "Probes by their metal, three rings counted and looked at", (on) => {
    expect(on.part("probe-hot").ways[0]?.grip?.keepOff?.at).toBe("top");
    expect(on.card("strip", "probe-rings", "due").count).toBe(3);
    expect(on.renewed("due", { rings: "flat" })).toContain("probe-rings");
  }),
  works("MVS-12", "The encoder ring, with its angle", (on) => {
    expect(on.card("mark", "encoder-angle", "due").figure).toMatchObject({ unit: "°", tolerance: 5 });
    on.inOrder(["mark:encoder-angle", "strip:encoder", "fit:encoder", "confirm:encoder-angle"], "due");
  }),
  works("MVS-13", "A twist; the blade with plastic between", (on) => {
    on.speaks(on.card("strip", "drive", "due"), /strip of plastic between/);
    expect(on.part("drive").ways[0]?.grip?.keepOff?.why).toMatch(/nick in the face/);
  }),
  works("MVS-14", "Spool and seals, in order", (on) =>
    on.inOrder(["strip:drive", "strip:seal-top", "strip:spool", "strip:seal-bottom"], "due"),
  ),
  works("MVS-15", "Damp along the shaft is a seal that failed", (on) =>
    expect(on.renewed("hunts", { damp: "damp" })).toEqual(
      expect.arrayContaining(["seal-top", "seal-bottom"]),
    ),
  ),
  works("MVS-16", "Damp at once; dry and dull as well", (on) => {
    expect(on.answer("damp", "damp").says).toMatch(/at once/);
    expect(on.answer("damp", "dull")).toMatchObject({ means: "renew", grade: "marginal" });
  }),
  works("MVS-17", "One seal above, one below, each its own part", (on) =>
    on.inOrder(["fit:seal-bottom", "fit:spool", "fit:seal-top"], "due"),
  ),
  works("MVS-18", "Silicone grease listed for drinking water on every seal", (on) => {
    for (const part of ["seal-top", "seal-bottom", "probe-rings"])
      expect(on.part(part).fit?.surface).toMatchObject({ kind: "lubricate", with: "silicone" });
    expect(on.sheet.supplies.find(({ id }) => id === "silicone")?.potable).toBe(true);
  }),
  works("MVS-19", "The spool by a named end", (on) =>
    expect(on.card("fit", "spool", "due").end).toMatchObject({ kind: "seated", seen: "the flat meets" }),
  ),
  works("MVS-20", "Turns, does not wobble", (on) =>
    expect(on.answer("spool-turn", "no-go").means).toBe("stop"),
  ),
  works("MVS-21", "Each cable looked at before the lid", (on) => {
    expect(on.card("task", "cables", "due").lines).toHaveLength(4);
    on.inOrder(["task:cables", "fit:lid"], "due");
  }),
  works("MVS-22", "Probes by colour, and a swap found by three temperatures", (on) => {
    on.inOrder(["confirm:at:p-cold", "check:probes"], "due");
    expect(on.answer("probes", "swapped").means).toBe("stop");
  }),
  works("MVS-23", "The encoder ring is in the ledger, and kept", (on) => {
    expect(on.part("encoder").keep).toMatch(/no kit/);
    expect(on.walked("due").job.tray.missing).toEqual([]);
  }),
  works("MVS-24", "White on plus, black on zero; supply, battery, board in order", (on) =>
    on.inOrder(
      ["fit:supply", "confirm:at:w-plus", "confirm:at:w-zero", "fit:battery", "fit:board", "fit:lid"],
      "due",
    ),
  ),
  works("MVS-25", "Cold, hot, power; temperature, probes, fail-safe, leaks", (on) =>
    on.inOrder(
      [
        "open:LD-W23",
        "open:LD-W7",
        "check:mixed-temp",
        "check:probes",
        "check:fail-safe",
        "open:LD-W14",
        "check:leak",
      ],
      "due",
    ),
  ),
];
