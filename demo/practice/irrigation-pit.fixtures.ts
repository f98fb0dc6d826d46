import { expect } from "vitest";
import { partly, type Row, works } from "./row.fixtures";
import { Shown } from "./shown.fixtures";

/** One of two behind one stop: the pipe of both runs back. */
const shared = new Shown({ tag: "MG-D3", sheet: "sedgeway-furrow-25", line: "marram-beds" });

/** Irrigation diaphragm valve in a pit. */
export const irrigationPit: readonly Row[] = [
  works("IPV-01", "Its inside, or cut out whole: weighed", (on) =>
    expect(on.sheet.depths?.map(({ kind }) => kind)).toEqual(["repair", "overhaul", "whole-valve"]),
  ),
  works("IPV-02", "An old one that is opened gets all of it: by its age", (on) => {
    expect(on.sheet.oldFrom_years).toBe(10);
    const [piece, inside] = on.sheet.depths!;
    const old = (depth: typeof piece) => depth!.comesBack.find(({ when }) => when === "old")!.percent;
    expect(old(piece)).toBeGreaterThan(old(inside));
  }),
  works("IPV-03", "What aged parts that go back cost, in the choice", (on) =>
    expect(on.sheet.depths?.[0]?.comesBack).toContainEqual({ when: "old", percent: 30 }),
  ),
  works("IPV-04", "Body and joints before anything is unpacked", (on) => {
    on.inOrder(["check:body-first", "prepare:kit"]);
    expect(on.answer("body-first", "joint").means).toBe("stop");
  }),
  works("IPV-05", "Water and power shut at named stops, who goes dry told", (on) =>
    on.inOrder(["prepare:notify", "shut:MG-Q2", "shut:MG-V11"]),
  ),
  works("IPV-06", "Is there a stop nearer; what runs back is computed", (on) => {
    expect(on.answer("stop-there", "main").says).toMatch(/drains back into the pit/);
    const litres = (each: Shown) => {
      const { isolation } = each.walked().job.plan;
      return isolation?.ok === true ? isolation.value.section.atOpening_L : undefined;
    };
    expect(litres(shared)).toBeGreaterThan(litres(on)!);
  }),
  partly(
    "IPV-07",
    "A pump on the list, and the pit pumped first",
    "how long the pump takes is not computed",
    (on) => {
      expect(on.card("tools").bring.map(({ id }) => id)).toContain("pump");
      on.inOrder(["check:pit", "shut:MG-V11"]);
    },
  ),
  works("IPV-08", "Room and walls, with a photograph", (on) =>
    expect(on.card("mark", "site").photo).toBe(true),
  ),
  works("IPV-09", "Which side the solenoid sits, photographed", (on) =>
    expect(on.card("mark", "coil-side")).toMatchObject({ photo: true, right: "Downstream" }),
  ),
  works("IPV-10", "Screws, bonnet, spring, diaphragm", (on) =>
    on.inOrder(["strip:bonnet-screws", "strip:bonnet", "strip:spring", "strip:diaphragm"]),
  ),
  works("IPV-11", "Old parts bagged before a new one is unpacked", (on) =>
    on.inOrder(["task:old-apart", "fit:diaphragm"]),
  ),
  works("IPV-12", "Seat, rim, bosses and the small seat under the solenoid", (on) => {
    expect(on.check("body-look").how).toContain("the small seat under the solenoid");
    expect(on.answer("body-look", "cracked").means).toBe("stop");
  }),
  works("IPV-13", "Exactly the same model, by its tab", (on) =>
    expect(on.part("diaphragm").lookAlikes?.[0]?.features[0]?.value).toBe("no tab"),
  ),
  works("IPV-14", "A donor's parts laid apart and counted", (on) => {
    expect(on.card("task", "donor", "due", { source: "donor" }).lines).toHaveLength(4);
    expect(on.ids("due")).not.toContain("task:donor");
  }),
  works("IPV-15", "Flushed before the diaphragm goes in", (on) =>
    on.inOrder(["check:flush", "fit:diaphragm"]),
  ),
  works("IPV-16", "Diaphragm, spring, bonnet", (on) =>
    on.inOrder(["fit:diaphragm", "fit:spring", "fit:bonnet"]),
  ),
  works("IPV-17", "The tab in its hole: asked before the spring", (on) => {
    on.inOrder(["fit:diaphragm", "check:tab", "fit:spring"]);
    expect(on.answer("tab", "no-go").means).toBe("stop");
  }),
  works("IPV-18", "Solenoid downstream, however it was found", (on) => {
    const wrong = { "coil-side": "Upstream, wrongly" };
    expect(on.card("confirm", "coil-side", "due", wrong).right).toBe("Downstream");
  }),
  works("IPV-19", "Crosswise", (on) =>
    expect(on.card("tighten", "bonnet-screws").order).toEqual([0, 3, 1, 4, 2, 5]),
  ),
  works("IPV-20", "No power driver, out or in", (on) => {
    for (const card of [on.card("strip", "bonnet-screws"), on.card("fit", "bonnet-screws")])
      expect(card.forbidden).toContainEqual(expect.objectContaining({ tool: "power-driver" }));
  }),
  works("IPV-21", "What a cracked body costs, at the screws", (on) =>
    expect(on.card("fit", "bonnet-screws").dangers).toContainEqual(
      expect.objectContaining({ can: expect.stringMatching(/new valve and two hours of digging/) }),
    ),
  ),
  works("IPV-22", "Two connectors, no bare copper", (on) =>
    expect(on.part("connectors")).toMatchObject({ quantity: 2, oneUse: expect.any(String) }),
  ),
  works("IPV-23", "Either wire to either: said, not asked", (on) =>
    expect(on.sheet.connections.every(({ polarity }) => polarity === "free")).toBe(true),
  ),
  works("IPV-24", "The zone flushed as long as its pipe asks", (on) => {
    on.inOrder(["open:MG-V11", "check:zone-clear"]);
    expect(on.sums(on.card("check", "zone-clear"))).toContain("zone-flush");
  }),
  works("IPV-25", "By hand, by the controller, and what it draws", (on) => {
    on.inOrder(["check:hand", "check:both", "check:draw"]);
    expect(on.check("draw")).toMatchObject({ dimension: "current" });
  }),
];
