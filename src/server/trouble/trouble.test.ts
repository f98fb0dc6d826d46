import { beforeEach, describe, expect, it } from "vitest";
import { type Bring, bring } from "@/core/bring";
import { type TakenWith, type TroubleFacts, triedAs } from "@/core/formats";
import { runsOutOn } from "@/core/instruments";
import { Walk } from "@/core/job/job.fixtures";
import type { Problem, Result } from "@/core/result";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { bringTask, troubleTask } from "../heavy/trouble-task";
import { importFiles } from "../importing/import-files";
import { appendEvents } from "../jobs/append-events";
import { jobInputs, openJob } from "../jobs/open-job";
import { calendarOf } from "../lists/calendar";
import type { Services } from "../services";
import { bells } from "../today/bells";
import { allTrouble, knownTrouble } from "./all-trouble";
import { closeCase } from "./close-case";
import { knownFacts } from "./facts";
import { jobOfCase } from "./job-of-case";
import { type EndedCase, keepCase } from "./keep-case";
import { shippedTrouble, troubleOf } from "./knowledge";
import { learntCases } from "./learnt";
import { saveTrouble, shipAgain } from "./save-trouble";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let clock = NOW;
let services: Services;
beforeEach(() => {
  clock = NOW;
  services = demoServices(() => clock);
});

const sound = <T>(done: Result<T, readonly Problem[]>): T => {
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const faults = (done: Result<unknown, readonly Problem[]>) =>
  done.ok ? [] : done.error.map(({ path }) => path);
const pilot = shippedTrouble("electric-pilot-valve")!;
const cock: EndedCase = {
  id: "case-1",
  valve: "MG-P3",
  complaint: "dry",
  says: "The far bed stays dry",
  from: "site",
  answers: [
    { look: "stop", answer: "shut" },
    { look: triedAs("open-stop"), answer: "cured" },
  ],
  end: "open-stop",
};
const burnt: EndedCase = {
  ...cock,
  id: "case-2",
  answers: [
    { look: "stop", answer: "open" },
    { look: "click", answer: "silent" },
    { look: "coil", answer: "above", typed: { reading: "900 kΩ", temperature: "10 °C" } },
  ],
  end: "job-coil",
};

describe("what is known before anybody looks", () => {
  const known = () =>
    knownFacts(
      services,
      services.register.valve("MG-P3")!,
      services.library.sheet("sedgeway-ditchmaster-80")!,
      pilot,
    );

  it("comes from the register, the jobs, the season, the line and the store", () => {
    const facts = known();
    expect(facts.age_years).toBeGreaterThan(5);
    expect(facts.season).toBe("spring");
    expect(facts.frost).toBe(true);
    expect(facts.costs?.["job-coil"]?.minutes).toBeGreaterThan(20);
    expect(facts.world?.beside?.["main-shut"]?.no).toBeGreaterThan(0.9);
    expect(facts.weigh?.outage).toBeCloseTo(12 / 54, 5);
  });

  it("where no job holds its feed shut, none is said to", () => {
    expect(known().heldByJob).toBe(false);
  });
});

describe("a case", () => {
  it("is kept with how likely everything was, worked out here, and once however often it is sent", () => {
    sound(keepCase(services, cock, "Tam Arkle"));
    const kept = services.things.one("case", "case-1")!;
    expect(kept).toMatchObject({ outcome: "cured", by: "Tam Arkle", minutes: 1 });
    expect(kept.odds["stop-shut"]).toBeGreaterThan(0.8);
    expect(sound(keepCase(services, cock, "Tam Arkle")).changes).toBe(0);
    expect(services.things.casesOf("MG-P3")).toHaveLength(1);
    // The same case with another end is not taken for the same.
    expect(faults(keepCase(services, { ...cock, end: "call-main" }, "Tam Arkle"))).toEqual(["/id"]);
  });

  it("is dated no later than now, whatever the device says", () => {
    sound(keepCase(services, { ...cock, at: "2031-01-01T00:00:00Z" }, "Tam Arkle"));
    expect(services.things.one("case", "case-1")?.at).toBe(new Date(NOW).toISOString());
  });

  it("is refused with the place where it cannot be", () => {
    expect(faults(keepCase(services, { ...cock, valve: "NO-1" }, "Tam Arkle"))).toEqual(["/valve"]);
    expect(faults(keepCase(services, { ...cock, complaint: "odd" }, "Tam Arkle"))).toEqual(["/complaint"]);
    expect(faults(keepCase(services, { ...cock, end: "odd" }, "Tam Arkle"))).toEqual(["/end"]);
    expect(
      faults(keepCase(services, { ...cock, answers: [{ look: "stop", answer: "ajar" }] }, "Tam Arkle")),
    ).toEqual(["/answers/0/answer"]);
    // A cure counts when somebody has looked whether it helped.
    expect(
      faults(keepCase(services, { ...cock, answers: [{ look: "stop", answer: "shut" }] }, "Tam Arkle")),
    ).toEqual(["/answers"]);
    // What is done only once it was seen is not kept as done before.
    const unseen = [{ look: triedAs("open-stop"), answer: "cured" }];
    expect(faults(keepCase(services, { ...cock, answers: unseen }, "Tam Arkle"))).toEqual(["/answers"]);
    expect(services.things.all("case")).toEqual([]);
  });

  it("says with which instrument a figure was read, and until when its calibration holds by the register", () => {
    const multimeter = services.things.all("instrument").find(({ kind }) => kind === "multimeter")!;
    const shown: TakenWith = {
      kind: "multimeter",
      name: "Multimeter",
      serial: multimeter.serial!,
      by: "socket",
      at: new Date(NOW - 60_000).toISOString(),
      read: "900 kΩ",
      until: "2099-01-01",
    };
    const readBy = (taken: TakenWith): EndedCase => ({
      ...burnt,
      answers: burnt.answers.map((each) =>
        each.typed === undefined ? each : { ...each, with: { reading: taken } },
      ),
    });
    const keep = (taken: TakenWith) => keepCase(services, readBy(taken), "Tam Arkle");
    const field = "/answers/2/typed/reading";
    expect(faults(keep({ ...shown, read: "900 Ω" }))).toEqual([field]);
    expect(faults(keep({ ...shown, at: new Date(NOW + 60_000).toISOString() }))).toEqual([field]);
    expect(services.things.all("case")).toEqual([]);
    sound(keep(shown));
    const { reading } = services.things.one("case", "case-2")!.answers[2]!.with!;
    expect(reading).toMatchObject({ serial: multimeter.serial, registered: multimeter.id });
    expect(reading!.until).toBe(runsOutOn(multimeter));
    // A clock that runs ahead dates both: nothing is refused for that.
    const ahead = (min: number) => new Date(NOW + min * 60_000).toISOString();
    const late = { ...readBy({ ...shown, at: ahead(9) }), id: "case-9", at: ahead(10) };
    sound(keepCase(services, late, "Tam Arkle"));
    expect(services.things.one("case", "case-9")!.at).toBe(new Date(NOW).toISOString());
  });

  it("that others have is closed with what came of it", () => {
    sound(keepCase(services, { ...cock, id: "case-3", answers: [], end: "call-main" }, "Tam Arkle"));
    expect(services.things.one("case", "case-3")).toMatchObject({ outcome: "handed-over" });
    expect(faults(closeCase(services, "case-3", " ", "Mara Sund"))).toEqual(["/says"]);
    sound(closeCase(services, "case-3", "The main was opened.", "Mara Sund"));
    expect(services.things.one("case", "case-3")?.closed).toMatchObject({ by: "Mara Sund" });
  });

  it("hands what it found on to its job, which does not ask it again", () => {
    sound(keepCase(services, burnt, "Tam Arkle"));
    const asked = jobOfCase(services, "case-2", "MG-P3")!;
    expect(asked).toMatchObject({ reach: ["coil"], reason: { says: "The far bed stays dry" } });
    const inputs = sound(
      jobInputs(services, { ...asked, valve: "MG-P3", policy: "on-condition", case: "case-2" }, "Tam Arkle"),
    );
    expect(inputs.trouble?.found.map(({ check }) => check)).toEqual(["cock", "power", "coil"]);
    const { case: _, ...plain } = asked;
    const without = sound(
      jobInputs(services, { ...plain, valve: "MG-P3", policy: "on-condition" }, "Tam Arkle"),
    );
    const open = (of: typeof inputs) => {
      const { job } = new Walk(of);
      return job.plan.steps.flatMap((step) =>
        step.kind === "check" && job.states.get(step.id)?.kind === "open" ? [step.check.id] : [],
      );
    };
    expect(open(without)).toEqual(expect.arrayContaining(["cock", "power"]));
    for (const check of ["cock", "power", "coil"]) expect(open(inputs)).not.toContain(check);
    // A case of another valve is not this one's.
    expect(
      faults(
        openJob(services, { ...asked, valve: "MG-P1", policy: "on-condition", case: "case-2" }, {
          name: "Tam Arkle",
        } as never),
      ),
    ).toEqual(["/case"]);
  });
});

describe("it learns from what was found", () => {
  it("a cure on the spot counts, and no more once it is undone", () => {
    const { edit } = sound(keepCase(services, cock, "Tam Arkle"));
    expect(learntCases(services, pilot).map(({ found }) => found)).toEqual(["stop-shut"]);
    const { foundFor } = knownFacts(
      services,
      services.register.valve("MG-P1")!,
      services.library.sheet("sedgeway-ditchmaster-80")!,
      pilot,
    );
    expect(foundFor.dry).toEqual({ "stop-shut": 1 });
    sound(undoEdit(services, edit!, "Tam Arkle"));
    expect(learntCases(services, pilot)).toEqual([]);
  });

  it("a job that is not signed teaches nothing; signed, what its looks found counts, and makes that likelier", async () => {
    sound(keepCase(services, burnt, "Tam Arkle"));
    const asked = jobOfCase(services, "case-2", "MG-P3")!;
    const inputs = sound(
      openJob(
        services,
        { ...asked, valve: "MG-P3", policy: "on-condition", case: "case-2" },
        { id: "bryn", name: "Bryn Collier" },
      ),
    );
    expect(learntCases(services, pilot)).toEqual([]);
    const before = knownFacts(services, services.register.valve("MG-P3")!, inputs.sheet, pilot);
    expect(before.foundFor.dry).toEqual({});
    const walk = new Walk(inputs, {}, NOW).toEnd();
    clock = walk.now;
    const signed = await appendEvents(services, inputs.id, walk.events);
    if (!signed.ok) throw new Error(JSON.stringify(signed.error));
    expect(learntCases(services, pilot)).toMatchObject([{ id: "case-2", found: "coil-open" }]);
    const after = knownFacts(services, services.register.valve("MG-P3")!, inputs.sheet, pilot);
    expect(after.foundFor.dry).toEqual({ "coil-open": 1 });
  });
});

describe("knowledge of one's own", () => {
  it("comes in as a file in place of what ships, proven, and can be undone", () => {
    const own = { ...pilot, revision: 2, title: "Ours" };
    const brought = sound(
      importFiles(services, [{ name: "ours.json", text: JSON.stringify(own) }], "Mara Sund"),
    );
    expect(troubleOf(services, pilot.family)?.title).toBe("Ours");
    const bad = {
      ...own,
      looks: own.looks.map((look) => ({ ...look, usual: undefined, tells: [], world: undefined })),
    };
    expect(importFiles(services, [{ name: "bad.json", text: JSON.stringify(bad) }], "Mara Sund").ok).toBe(
      false,
    );
    sound(undoEdit(services, brought.id!, "Mara Sund"));
    expect(troubleOf(services, pilot.family)?.title).toBe(pilot.title);
  });
});

describe("who may look", () => {
  const sniffed: EndedCase = {
    ...cock,
    id: "case-gas",
    valve: "RW-G21",
    complaint: "seep",
    answers: [
      {
        look: "sniffer",
        answer:
          shippedTrouble("plug-meter-cock")!.looks.flatMap((look) =>
            look.id === "sniffer" && look.kind === "choice" ? look.answers.map(({ id }) => id) : [],
          )[0] ?? "within",
      },
    ],
    end: "unlisted:",
    to: "Mara",
  };

  it("is held against the papers of whoever looked, or of whoever was there", () => {
    expect(faults(keepCase(services, sniffed, "Tam Arkle"))).toEqual(["/answers/0/look"]);
    expect(faults(keepCase(services, { ...sniffed, with: "Odd Kerrigan" }, "Tam Arkle"))).toEqual([
      "/answers/0/look",
    ]);
    sound(keepCase(services, { ...sniffed, with: "Isla Venn" }, "Tam Arkle"));
    expect(services.things.one("case", "case-gas")).toMatchObject({ by: "Tam Arkle", with: "Isla Venn" });
    sound(keepCase(services, { ...sniffed, id: "case-gas-2" }, "Isla Venn"));
    // A caller tells what is seen from afar, and nobody could tell is no look.
    sound(keepCase(services, { ...sniffed, id: "case-gas-3", from: "telephone" }, "Tam Arkle"));
    sound(
      keepCase(
        services,
        { ...sniffed, id: "case-gas-4", answers: [{ look: "sniffer", answer: "unknown" }] },
        "Tam Arkle",
      ),
    );
  });
});

describe("knowledge that is edited", () => {
  const louder = {
    ...pilot,
    causes: pilot.causes.map((cause) =>
      cause.id === "stop-shut" ? { ...cause, weights: { ...cause.weights, dry: 99 } } : cause,
    ),
  };

  it("is kept as the next revision in place of what ships, judged by at once, and what ships can be had again", () => {
    const kept = sound(saveTrouble(services, pilot.family, pilot.revision, louder, "Mara Sund"));
    expect(kept.revision).toBe(pilot.revision + 1);
    expect(troubleOf(services, pilot.family)?.causes.find(({ id }) => id === "stop-shut")?.weights.dry).toBe(
      99,
    );
    expect(knownTrouble(services, pilot.family)).toMatchObject({ own: true, ships: true });
    const back = sound(shipAgain(services, pilot.family, "Mara Sund"));
    expect(troubleOf(services, pilot.family)).toEqual(pilot);
    sound(undoEdit(services, back.edit!, "Mara Sund"));
    expect(troubleOf(services, pilot.family)?.revision).toBe(pilot.revision + 1);
  });

  it("is refused where it does not hold, where somebody else was first, and for another family", () => {
    const bad = { ...louder, causes: louder.causes.map((cause) => ({ ...cause, end: "no-such-end" })) };
    expect(faults(saveTrouble(services, pilot.family, pilot.revision, bad, "Mara Sund"))[0]).toBe(
      "/row/causes/0/end",
    );
    expect(faults(saveTrouble(services, pilot.family, pilot.revision - 1, louder, "Mara Sund"))).toEqual([
      "/known",
    ]);
    expect(faults(saveTrouble(services, "steam-trap", pilot.revision, louder, "Mara Sund"))).toEqual([
      "/row/family",
    ]);
    expect(faults(shipAgain(services, pilot.family, "Mara Sund"))).toEqual([""]);
    expect(troubleOf(services, pilot.family)).toEqual(pilot);
  });

  it("shows of all families what was found, and whether it was what was likely", () => {
    sound(keepCase(services, cock, "Tam Arkle"));
    const { families, calibration } = allTrouble(services);
    expect(families).toHaveLength(22);
    expect(calibration).toMatchObject({ cases: 1, likeliest: 1 });
    const found = families.find(({ knowledge }) => knowledge.family === pilot.family)!.learnt;
    expect(found).toMatchObject([{ found: "stop-shut", place: services.register.valve("MG-P3")!.place }]);
  });
});

describe("a case that others have", () => {
  it("rings on the day it is due, until somebody says what came of it; undone it rings no more", () => {
    const order = pilot.ends.find(({ kind }) => kind === "order" || kind === "watch")!;
    const kept = sound(
      keepCase(services, { ...cock, id: "case-9", answers: [], end: order.id, to: "Bryn" }, "Mara Sund"),
    );
    const rung = () => bells(services).filter(({ kind }) => kind === "case");
    expect(rung()).toMatchObject([
      { valve: "MG-P3", at: Date.parse(services.things.one("case", "case-9")!.due!) },
    ]);
    expect(rung()[0]!.says).toMatch(/Bryn has it/);
    const calendar = calendarOf(services, { days: 400 }, "http://localhost").toString();
    expect(calendar).toContain("UID:case-case-9@loftbell");
    sound(undoEdit(services, kept.edit!, "Mara Sund"));
    expect(rung()).toEqual([]);
    sound(keepCase(services, { ...cock, id: "case-9", answers: [], end: order.id, to: "Bryn" }, "Mara Sund"));
    sound(closeCase(services, "case-9", "It holds.", "Mara Sund"));
    expect(rung()).toEqual([]);
  });
});

describe("the route", () => {
  const ask = (question: unknown) => troubleTask(new TextEncoder().encode(JSON.stringify(question)));
  const question = { knowledge: pilot, facts: { complaint: "dry" } };

  it("answers from what it is handed alone", () => {
    expect(ask(question)).toMatchObject({ ok: true, value: { next: { kind: "look" } } });
    const shut = ask({ ...question, answers: [{ look: "stop", answer: "shut" }] });
    expect(shut).toMatchObject({
      ok: true,
      value: { odds: [{ cause: "stop-shut" }, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}] },
    });
  });

  it("reads the line where it is handed one, and corrects what was measured by the sheet", () => {
    const sheet = services.library.sheet("sedgeway-ditchmaster-80");
    const line = services.library.line("marram-gardens");
    const cold = [{ look: "coil", typed: { reading: "20.5 Ω", temperature: "-5 °C" } }];
    expect(ask({ ...question, sheet, line, at: "MG-P3", answers: cold })).toMatchObject({ ok: true });
    expect(ask({ ...question, sheet, line, at: "NO-1" })).toMatchObject({
      ok: false,
      problems: [{ path: "/at" }],
    });
    expect(ask({ ...question, answers: cold })).toMatchObject({
      ok: false,
      problems: [{ path: "/answers/0/typed/reading" }],
    });
  });

  it("refuses bad knowledge with the place", () => {
    const [first, ...rest] = pilot.looks;
    const bad = { ...pilot, looks: [{ ...first, usual: { open: 0.5, shut: 0.9 } }, ...rest] };
    expect(ask({ ...question, knowledge: bad })).toMatchObject({
      ok: false,
      status: 422,
      problems: [{ path: "/knowledge/looks/0/usual" }],
    });
    expect(ask({ ...question, facts: { complaint: "odd" } })).toMatchObject({
      ok: false,
      problems: [{ path: "/facts/complaint" }],
    });
  });
});

describe("what to bring", () => {
  const ask = (question: unknown) => bringTask(new TextEncoder().encode(JSON.stringify(question)));
  const sheet = shippedSheet();
  const question = () => ({
    knowledge: pilot,
    facts: { complaint: "dry", from: "telephone" },
    sheet,
    store: services.library.stores()[0],
  });
  function shippedSheet() {
    return demoServices(() => NOW).library.sheet("sedgeway-ditchmaster-80")!;
  }
  type Answer = { ok: true; value: Bring };

  it("is the same from the solver of the server and from the one of a device", async () => {
    const asked = question();
    const { value } = (await ask(asked)) as Answer;
    const { knowledge, facts, store } = asked;
    const device = bring({
      knowledge,
      facts: facts as TroubleFacts,
      answers: new Map(),
      sheet,
      store: store!,
    });
    const worth = ({ departures }: Bring) => departures.map(({ worth_min }) => worth_min.toFixed(1));
    expect(worth(value)).toEqual(worth(device));
    expect(value.departures[0]!.items.length).toBeGreaterThan(0);
    expect(value.departures[0]!.exact).toBe(true);
  });

  it("says where the question is wrong", async () => {
    const asked = question();
    expect(await ask({ ...asked, goes: { by: "van", van: "van-9" } })).toMatchObject({
      ok: false,
      status: 422,
      problems: [{ path: "/goes/van", message: 'There is no van "van-9". There are: van-1.' }],
    });
    expect(await ask({ ...asked, sheet: undefined })).toMatchObject({
      ok: false,
      problems: [{ path: "/sheet" }],
    });
    const lost = { ...asked.store!, stock: [{ ...asked.store!.stock[0]!, place: "nowhere" }] };
    expect(await ask({ ...asked, store: lost })).toMatchObject({
      ok: false,
      problems: [{ path: "/store/stock/0/place" }],
    });
  });
});
