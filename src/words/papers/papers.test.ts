import { describe, expect, it } from "vitest";
import { benchTitle } from "@/core/calculators";
import type { Line, SealedEvent } from "@/core/formats";
import { planIsolation } from "@/core/isolation";
import { chainStart, jobRecord, seal, whereItStands } from "@/core/job";
import { demoDocument, Walk, wetJob } from "@/core/job/job.fixtures";
import { speaker } from "../speaker";
import { isolationSet } from "./isolation-paper";
import { handOverBlocks, orderBlocks } from "./job-papers";
import type { PaperBlock } from "./paper";
import { customerBlocks, recordBlocks } from "./record-paper";

const words = speaker();
const plain = (blocks: readonly PaperBlock[]) => JSON.stringify(blocks);
const titles = (blocks: readonly PaperBlock[]) =>
  blocks.flatMap((block) => ("title" in block ? [block.title] : []));

function sealed(walk: Walk): SealedEvent[] {
  let previous = chainStart(walk.inputs);
  return walk.events.map((event, index) => {
    const made = seal(event, index + 1, event.at, previous);
    previous = made.seal.hash;
    return made;
  });
}

describe("the papers of a job", () => {
  const walk = new Walk(wetJob()).until(() => false);
  const record = jobRecord(walk.job, sealed(walk));

  it("tell the customer what was done, and not who overrode what", () => {
    const [whole, customers] = [recordBlocks(words, record, benchTitle), customerBlocks(words, record)];
    expect(titles(whole)).toEqual(expect.arrayContaining(["Isolation", "Overrides", "Torques", "People"]));
    expect(titles(customers)).toEqual(expect.arrayContaining(["As found", "As left", "Parts", "Rings next"]));
    for (const inner of ["Isolation", "Overrides", "People"]) expect(titles(customers)).not.toContain(inner);
    for (const { name } of record.renewed) expect(plain(customers)).toContain(`New: ${name}`);
  });

  it("tell whoever takes it on each lock that stays, in words that stop", () => {
    const begun = new Walk(wetJob()).until((step) => step.id === "check:disc-face");
    begun.add({ kind: "stopped", reason: "Too dark" });
    const blocks = handOverBlocks(words, whereItStands(begun.job));
    for (const link of begun.job.shut) expect(plain(blocks)).toContain(`${link}, lock `);
    expect(blocks[0]).toMatchObject({ kind: "text", tone: "stop", lead: "Work is stopped." });
    expect(plain(blocks)).toContain("only whoever set a lock takes it off");
    expect(titles(blocks).at(-1)).toBe("Handed over");
  });

  it("order what was handed over with the danger first, and what was read", () => {
    const over = {
      what: "graded-leak",
      to: "Gas office",
      at: 0,
      by: "Isla Venn",
      says: "Graded 2.",
    } as const;
    const blocks = orderBlocks(words, record, over);
    expect(blocks[0]).toMatchObject({ tone: "stop" });
    expect(plain(blocks.slice(0, 1))).toMatch(/ignite/);
    expect(plain(blocks)).toContain("Gas office");
    for (const { typed } of record.readings) expect(plain(blocks)).toContain(typed);
    expect(titles(blocks)).toContain("Taken on");
  });
});

describe("an isolation as a set", () => {
  const line = demoDocument<Line>("lines/lido-steam.json");
  const demand = { open: ["LD-T11"], avoid: [], passing: [], keep: [], pumpedOut: [] };
  const plan = planIsolation(line, demand);
  if (!plan.ok) throw new Error(JSON.stringify(plan.error));
  const blocks = isolationSet(words, line, plan.value);
  const table = (title: RegExp) =>
    blocks.find((block) => block.kind === "table" && title.test(block.title)) as Extract<
      PaperBlock,
      { kind: "table" }
    >;

  it("shuts and brings back all that the plan does, in its order", () => {
    expect(table(/^Shut/).rows).toHaveLength(plan.value.shutting.length);
    expect(table(/^Bring back/).rows).toHaveLength(plan.value.restoring.length);
  });

  it("has a row to fill in for each lock and each permit", () => {
    const locked = new Set(["stop-pump", "switch-off", "shut", "turn", "hold-stem"]);
    expect(table(/^Locks/).rows).toHaveLength(
      plan.value.shutting.filter(({ kind }) => locked.has(kind)).length,
    );
    expect(table(/^Permits/).rows).toHaveLength(plan.value.permits.length);
    expect(plan.value.permits.length).toBeGreaterThan(0);
  });

  it("gives each column its share of the paper", () => {
    for (const block of blocks)
      if (block.kind === "table")
        expect(block.columns.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(100);
  });
});
