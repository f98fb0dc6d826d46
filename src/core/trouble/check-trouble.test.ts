import { describe, expect, it } from "vitest";
import type { Look, Trouble } from "../formats";
import { checkTrouble } from "./check-trouble";
import { SMALL } from "./small.fixtures";
import { knowledgeOf, sheetOf } from "./trouble.fixtures";

const SERVO = knowledgeOf("servo-solenoid");
const sheets = [sheetOf("servo-solenoid")];
const places = (knowledge: Trouble) => checkTrouble(knowledge, sheets).map(({ path }) => path);
const messages = (knowledge: Trouble) =>
  checkTrouble(knowledge, sheets)
    .map(({ message }) => message)
    .join(" ");
const looking = (change: (look: Look) => Look): Trouble => ({ ...SERVO, looks: SERVO.looks.map(change) });
const at = (id: string) => SERVO.looks.findIndex((look) => look.id === id);
const one = (id: string, change: Partial<Look>): Trouble =>
  looking((look) => (look.id === id ? ({ ...look, ...change } as Look) : look));

describe("bad knowledge is refused with the place", () => {
  it("what can be worked out by hand is sound but for its sheet", () => {
    expect(checkTrouble(SMALL)).toEqual([]);
    expect(checkTrouble(SERVO, sheets)).toEqual([]);
  });

  it("chances that do not add up", () => {
    const bad = one("stop", { usual: { open: 0.9, shut: 0.3 } });
    expect(places(bad)).toEqual([`/looks/${at("stop")}/usual`]);
    expect(messages(bad)).toMatch(/add up to 1\.2\. One of the answers always comes/);
  });

  it("a chance for an answer that it has not", () => {
    expect(places(one("stop", { usual: { open: 0.5, ajar: 0.5 } }))).toEqual([
      `/looks/${at("stop")}/usual/ajar`,
    ]);
  });

  it("an unknown part, cause, complaint, end or check", () => {
    const bad: Trouble = {
      ...SERVO,
      causes: SERVO.causes.map((cause, index) =>
        index === 0
          ? { ...cause, part: "flywheel", end: "nowhere", weights: { ...cause.weights, odd: 2 } }
          : cause,
      ),
    };
    expect(places(bad)).toEqual(
      expect.arrayContaining(["/causes/0/part", "/causes/0/end", "/causes/0/weights/odd"]),
    );
    expect(places(one("coil", { check: "coils" }))).toContain(`/looks/${at("coil")}/check`);
    expect(
      places(one("click", { tells: [{ causes: ["ghost"], chances: { clicks: 1, silent: 0 } }] })),
    ).toContain(`/looks/${at("click")}/tells/0/causes`);
  });

  it("a look that can never be done", () => {
    const both = one("click", { needs: ["power-on", "power-off"] });
    expect(messages(both)).toMatch(/It can never be done: "power-on" and "power-off"/);
    const fixed = one("orifice-light", { off: ["body"] });
    const stays = sheets[0]!.parts.find(({ id }) => id === "body")?.stays === true;
    expect(messages(fixed).includes("never comes off")).toBe(stays);
    expect(stays).toBe(true);
  });

  it("a look that says nothing, a measure without a limit, a sum that is not there", () => {
    const { tells: _, world: __, ...bare } = SERVO.looks[at("click")]!;
    expect(messages(looking((look) => (look.id === "click" ? (bare as Look) : look)))).toMatch(
      /says nothing of any cause/,
    );
    const coil = SERVO.looks[at("coil")]!;
    if (coil.kind !== "measure") throw new Error("the coil is measured");
    const { check: ___, ...unlimited } = coil;
    expect(messages(looking((look) => (look.id === "coil" ? unlimited : look)))).toMatch(/It has no limit/);
    expect(places(one("coil", { sum: { ...coil.sum!, calculator: "coils" } } as Partial<Look>))).toContain(
      `/looks/${at("coil")}/sum/calculator`,
    );
    expect(places(one("coil", { sum: { ...coil.sum!, asks: ["heat"] } } as Partial<Look>))).toContain(
      `/looks/${at("coil")}/sum`,
    );
  });

  it("a complaint without a cause, an end that nothing ends in, an id twice", () => {
    const bad: Trouble = {
      ...SMALL,
      complaints: [...SMALL.complaints, { id: "lost", says: "Lost" }],
      ends: [
        ...SMALL.ends,
        { kind: "watch", id: "idle", says: "Idle.", minutes: 1, days: 3, look: "Whether" },
      ],
      causes: [...SMALL.causes, SMALL.causes[0]!],
    };
    expect(checkTrouble(bad).map(({ path }) => path)).toEqual(["/causes/3/id", "/complaints/1", "/ends/3"]);
  });

  it("an end that is done only once seen, by a look that is never asked there", () => {
    const hidden = one("stop", { complaints: ["runs"] });
    expect(messages(hidden)).toMatch(/the look "stop" is never asked/);
  });
});
