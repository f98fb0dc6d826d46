import { describe, expect, it } from "vitest";
import { advise, outlook } from "@/core/trouble";
import { factsOf, knowledgeOf } from "@/core/trouble/trouble.fixtures";
import { speaker } from "..";
import { troubleBlocks } from "./trouble-paper";

const words = speaker();
const paper = (family: string, complaint: string, answers: Record<string, string> = {}, done = false) => {
  const [knowledge, facts] = [knowledgeOf(family), factsOf(family, complaint)];
  const given = new Map(Object.entries(answers));
  const told = outlook(knowledge, facts, advise(knowledge, facts, given));
  return troubleBlocks(words, { knowledge, outlook: told, answers: given, parts: ["Pilot coil"], done });
};
const titles = (blocks: ReturnType<typeof paper>) =>
  blocks.flatMap((each) => ("title" in each ? [each.title] : []));

describe("the page for the customer", () => {
  it("says what we think, what we do with its hours and service, and what else it may come to", () => {
    const blocks = paper("electric-pilot-valve", "dry", { stop: "open", click: "silent" });
    expect(titles(blocks)).toEqual([
      "What we think",
      "What was looked at",
      "What we will do",
      "What else it may come to",
    ]);
    const said = JSON.stringify(blocks);
    expect(said).toMatch(/ in 100/);
    expect(said).toMatch(/Takes about .* of work/);
    expect(said).toMatch(/Goes in new: Pilot coil/);
    expect(said).toMatch(/licensed people decide/);
    expect(said).toMatch(/Demonstration data/);
    // What it costs is for the house to say.
    expect(said).not.toMatch(/SHP/);
  });

  it("begins with what cannot wait where somebody may be hurt", () => {
    const [first] = paper("plug-meter-cock", "smell");
    expect(first).toMatchObject({ title: "Do this now" });
    expect(JSON.stringify(first)).toMatch(/Everybody out/);
  });

  it("of what works again says what it was, and nothing of what else it might be", () => {
    const blocks = paper("combination-air-valve", "silent", { stop: "shut" }, true);
    expect(titles(blocks)).toEqual(["What was looked at", "What was wrong, and what we did"]);
  });
});
