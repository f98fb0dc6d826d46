import { describe, expect, it } from "vitest";
import type { Line, Sheet } from "@/core/formats";
import { demoDocument, librarySheet } from "@/core/job/job.fixtures";
import { jobPlanTask, jobProveTask } from "./job-task";
import type { TaskResult } from "./tasks";

const sheet = librarySheet("quillon-harbour-5");
const question = {
  valve: {
    tag: "NQ-H10",
    name: "Hydrant at the west wall",
    place: "North quay",
    sheet: sheet.id,
    line: "north-quay",
    node: "NQ-H10",
    build: "opens-right",
  },
  sheet,
  line: demoDocument<Line>("lines/north-quay.json"),
  reach: ["main-seat"],
};
const body = (more: object = {}) => new TextEncoder().encode(JSON.stringify({ ...question, ...more }));
interface Answer {
  readonly steps: readonly {
    readonly id: string;
    readonly phase: string;
    readonly kind: string;
    readonly state: string;
    readonly words: { readonly title: string };
  }[];
  readonly harms: readonly {
    readonly harm: { readonly kind: string };
    readonly card: string;
    readonly words: { readonly happens: string; readonly cure: string };
  }[];
  readonly acts: number;
  readonly truths: number;
}
const answerOf = (result: TaskResult): Answer => {
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value as Answer;
};

describe("the cards of a job by route", () => {
  const { steps } = answerOf(jobPlanTask(body()));

  it("are worked as it is asked, and proven so; what must not be is refused at its place", () => {
    const shock = { topic: "freeing", way: "shock", why: "It is rusted in." };
    const ids = answerOf(jobPlanTask(body({ schools: [shock] }))).steps.map(({ id }) => id);
    expect(ids).toContain("other-way:freeing");
    expect(answerOf(jobProveTask(body({ schools: [shock] }))).harms).toEqual([]);
    expect(
      jobPlanTask(body({ schools: [{ topic: "gasket", way: "ring", why: "It is at hand." }] })),
    ).toMatchObject({
      ok: false,
      problems: [{ path: "/schools/0/way", message: expect.stringMatching(/bend the bonnet/) }],
    });
    expect(jobPlanTask(body({ reach: ["ghost"], schools: [shock] }))).toMatchObject({
      ok: false,
      problems: [{ path: "/reach" }],
    });
  });

  it("have id, phase, kind, acts and words each", () => {
    expect(steps.length).toBeGreaterThan(40);
    for (const { id, phase, kind, words } of steps) {
      expect([id, phase, kind].every((each) => typeof each === "string" && each !== "")).toBe(true);
      expect(words.title.length).toBeGreaterThan(3);
    }
    expect(steps.find((each) => each.id === "shut:SV-10")).toMatchObject({
      phase: "isolate",
      kind: "shut",
      state: "open",
      acts: [
        { do: "shut", link: "SV-10" },
        { do: "lock", at: "SV-10" },
      ],
    });
  });

  it("speak in the asker's units", () => {
    const weights = (system: "metric" | "us") =>
      JSON.stringify(answerOf(jobPlanTask(body({ system }))).steps).match(/weighs [\d.]+ (kg|lb)/)?.[1];
    expect([weights("metric"), weights("us")]).toEqual(["kg", "lb"]);
  });

  it("go on from what was found", () => {
    const first = steps[0]!;
    const check = sheet.checks.find((each) => `check:${each.id}` === first.id)!;
    const answer = check.kind === "choice" ? check.options.find((each) => each.means === "reuse")!.id : "go";
    const log = [
      {
        kind: "check-answered",
        v: 1,
        id: "e1",
        at: "2026-06-01T09:00:00Z",
        by: "Tam Arkle",
        step: first.id,
        check: check.id,
        answer,
      },
    ];
    expect(answerOf(jobPlanTask(body({ log }))).steps[0]?.state).toBe("done");
  });
});

describe("the proof of a job by route", () => {
  it("finds nothing in a plan of the demo", () => {
    const proof = answerOf(jobProveTask(body()));
    expect(proof).toMatchObject({ harms: [], differences: [] });
    expect(proof.acts).toBeGreaterThan(100);
    expect(proof.truths).toBeGreaterThan(2);
  });

  it("names card, act and cure where a sheet's own wrench cannot show the pull", () => {
    const planted: Sheet = {
      ...sheet,
      tools: sheet.tools.map((tool) =>
        tool.class === "torque-wrench" ? { ...tool, least_Nm: 1, most_Nm: 30 } : tool,
      ),
    };
    const [first] = answerOf(jobProveTask(body({ sheet: planted }))).harms;
    expect(first).toMatchObject({ harm: { kind: "out-of-the-wrench" }, act: { do: "tighten" } });
    expect(first?.words.happens).toMatch(/No wrench .* can show \d/);
    expect(first?.words.cure).toContain("range");
    expect(first?.card.length).toBeGreaterThan(5);
  });

  it("waits for what another job holds shut, and is without harm beside it", () => {
    const held = [{ link: "SV-10", job: "another", valve: "SK-H3" }];
    expect(answerOf(jobProveTask(body({ held }))).harms).toEqual([]);
    const waits = answerOf(jobPlanTask(body({ held }))).steps.filter(({ kind }) => kind === "others");
    expect(waits).toMatchObject([
      { state: "waits-for-others", acts: [{ do: "others-open", at: ["SV-10"] }] },
    ]);
    expect(waits[0]?.words.title).toContain("SK-H3");
  });
});

describe("what cannot be asked", () => {
  it.each([
    ["a part nobody knows", { reach: ["propeller"] }, "/reach", /no part "propeller"/],
    ["a broken sheet", { sheet: { ...sheet, singles: ["ghost"] } }, "/sheet/singles/0", /no part "ghost"/],
    ["no valve", { valve: undefined }, "/valve", /./],
  ])("%s is refused at its path", (_, more, path, says) => {
    for (const task of [jobPlanTask, jobProveTask]) {
      const refused = task(body(more));
      if (refused.ok) throw new Error("answered");
      expect(refused.status).toBe(422);
      expect(refused.problems[0]).toMatchObject({ path, message: expect.stringMatching(says) });
    }
  });
});
