import { describe, expect, it } from "vitest";
import { asFoundWords, speaker } from "@/words";
import { afterJob } from "./after-job";
import { chainStart, seal } from "./chain";
import { foundBuild } from "./found-build";
import { Walk } from "./job.fixtures";
import { jobAt } from "./proof.fixtures";
import { jobRecord } from "./record";
import type { Step } from "./step";

const [LEFT, RIGHT] = ["Left (anticlockwise)", "Right (clockwise)"];
const atMark = (step: Step) => step.id === "mark:opens";
const kindAt = (walk: Walk) => walk.job.current?.kind;

/** The west wall's hydrant, of this build in the register, up to the arrow on its bonnet. */
const walkTo = (build?: string) =>
  new Walk(
    jobAt("NQ-H10", "quillon-harbour-5", "north-quay", build === undefined ? {} : { build }),
    {},
  ).until(atMark);
const note = (walk: Walk, entry: string) => walk.add({ kind: "step-done", step: "mark:opens", entry });
const holdDown = ({ job }: Walk) => {
  const step = job.plan.steps.find((each) => each.id === "strip:hold-down");
  return step?.drawn?.find((each) => each.kind === "turn");
};

describe("which build it is, as it stands there", () => {
  it("what the register says goes on without a question", () => {
    const walk = note(walkTo("opens-right"), RIGHT!);
    expect(kindAt(walk)).not.toBe("other-build");
    expect(walk.job.plan.build).toBe("opens-right");
  });

  it("another than the register says is looked at again, and the work goes by what stands there", () => {
    const walk = walkTo("opens-right");
    expect(holdDown(walk)).toMatchObject({ kind: "turn", way: "right" });
    note(walk, LEFT!);
    expect(walk.job.current).toMatchObject({
      kind: "other-build",
      registered: "Opens right (clockwise)",
      found: "Opens left (anticlockwise)",
    });
    expect(walk.job.current?.mayOverride).toBe(false);
    expect(walk.job.plan.build).toBe("opens-left");
    expect(holdDown(walk)).toMatchObject({ kind: "turn", way: "left" });
  });

  it("a tap that was wrong is taken back, and with it the question", () => {
    const walk = note(walkTo("opens-right"), LEFT!);
    walk.add({ kind: "undone", event: walk.events.at(-1)!.id });
    expect(walk.job.plan.build).toBe("opens-right");
    expect(walk.job.plan.steps.some(({ kind }) => kind === "other-build")).toBe(false);
  });

  it("a job that is closed at the question leaves the register as it is", () => {
    const walk = note(walkTo("opens-right"), LEFT!);
    const closed = () => afterJob(walk.inputs.valve, walk.job, walk.now).build;
    expect(closed()).toBe("opens-right");
    walk.add({ kind: "step-done", step: "build:opens" });
    expect(closed()).toBe("opens-left");
  });

  it("is asked as well where a cover hid what tells it", () => {
    const inputs = jobAt("NQ-H10", "quillon-harbour-5", "north-quay", { build: "opens-right" });
    const capture = inputs.sheet.capture.map((each) =>
      each.id === "opens" ? { ...each, needsOff: ["weather-cap"] } : each,
    );
    const walk = new Walk({ ...inputs, sheet: { ...inputs.sheet, capture } }).until(atMark);
    expect(walk.job.current?.phase).toBe("strip");
    expect(note(walk, LEFT!).job.current?.kind).toBe("other-build");
  });

  it("where the register says nothing, what is noted is the build", () => {
    const walk = note(walkTo(), LEFT!);
    expect(kindAt(walk)).not.toBe("other-build");
    expect(walk.job.plan.build).toBe("opens-left");
  });

  it("the record says both, and the signature puts the register right", () => {
    const walk = note(walkTo("opens-right"), LEFT!).toEnd();
    expect(foundBuild(walk.inputs.sheet, walk.job.progress)?.id).toBe("opens-left");
    let previous = chainStart(walk.inputs);
    const sealed = walk.events.map((event, index) => {
      const made = seal(event, index + 1, event.at, previous);
      previous = made.seal.hash;
      return made;
    });
    const noted = jobRecord(walk.job, sealed).asFound.map((each) => asFoundWords(speaker(), each));
    expect(noted).toContain(
      "Which way does it open? Look at the arrow on the bonnet. Left (anticlockwise) The register said: Opens right (clockwise); the signature puts it right.",
    );
    expect(afterJob(walk.inputs.valve, walk.job, walk.now).build).toBe("opens-left");
  });
});
