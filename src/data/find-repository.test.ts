import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { type FindRepository, findRepository, openDatabase } from ".";

let found: FindRepository;
beforeEach(() => {
  found = findRepository(openDatabase(":memory:"));
});

const entry = (name: string, says = "", words?: string) => ({
  name,
  says,
  href: `/x/${name}`,
  ...(words !== undefined && { words }),
});
const names = (typed: string) => found.beginning(typed).map((hit) => hit.name);

describe("what find can lead to", () => {
  it("is found by name, by what it says, and by words that are not shown", () => {
    found.put("valve", "NQ-H07", [entry("NQ-H07", "Hydrant on the slip", "brae serial 4137")]);
    for (const typed of ["nq", "H07", "hydr slip", "4137", "slip NQ"])
      expect(names(typed)).toEqual(["NQ-H07"]);
    expect(found.beginning("hydrant")[0]).toEqual({
      kind: "valve",
      owner: "NQ-H07",
      name: "NQ-H07",
      says: "Hydrant on the slip",
      href: "/x/NQ-H07",
    });
  });

  it("nothing typed, or signs alone, lead nowhere", () => {
    found.put("valve", "A", [entry("A")]);
    for (const typed of ["", "  ", "-", '"', "*", "()"]) expect(names(typed)).toEqual([]);
  });

  it("what is written anew for an owner replaces all it had, and nobody else's", () => {
    found.put("line", "quay", [entry("V-11"), entry("V-12")]);
    found.put("line", "lido", [entry("V-11")]);
    found.put("line", "quay", [entry("V-13")]);
    expect(names("V").sort()).toEqual(["V-11", "V-13"]);
    found.remove("line", "lido");
    expect(names("V")).toEqual(["V-13"]);
    expect([found.has("line", "quay"), found.has("line", "lido")]).toEqual([true, false]);
  });

  it("the same owner of another kind is another", () => {
    found.put("valve", "one", [entry("alder")]);
    found.put("sheet", "one", [entry("alder")]);
    found.remove("valve", "one");
    expect(found.beginning("alder").map((hit) => hit.kind)).toEqual(["sheet"]);
  });

  it("cleared it is empty, and can be filled again", () => {
    expect(found.isEmpty()).toBe(true);
    found.put("person", "tam", [entry("Tam Arkle")]);
    expect(found.isEmpty()).toBe(false);
    found.clear();
    expect([found.isEmpty(), names("tam")]).toEqual([true, []]);
    found.put("person", "tam", [entry("Tam Arkle")]);
    expect(names("tam")).toEqual(["Tam Arkle"]);
  });

  it("holds just what a plain search over all words holds", () => {
    const WORDS = ["quay", "quarry", "queen", "hydrant", "hyacinth", "h07", "07", "seat", "séance"];
    const name = fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 3 });
    const typed = fc.array(fc.constantFrom("qu", "quay", "h", "hy", "07", "sea", "sé", "x"), {
      minLength: 1,
      maxLength: 2,
    });
    let hits = 0;
    fc.assert(
      fc.property(
        fc.uniqueArray(name, { minLength: 1, maxLength: 8, selector: String }),
        typed,
        (all, begins) => {
          found.clear();
          for (const [at, each] of all.entries()) found.put("valve", `${at}`, [entry(each.join(" "))]);
          const plain = (word: string) => word.normalize("NFD").replaceAll(/\p{M}/gu, "");
          const expected = all.filter((each) =>
            begins.every((start) => each.some((word) => plain(word).startsWith(plain(start)))),
          );
          expect(names(begins.join(" ")).sort()).toEqual(expected.map((each) => each.join(" ")).sort());
          hits += expected.length;
        },
      ),
    );
    expect(hits).toBeGreaterThan(30);
  });
});

describe("a word with a slip", () => {
  beforeEach(() => found.put("valve", "A", [entry("hydrant"), entry("strainer"), entry("seat")]));
  const all = () => true;

  it("is looked for among words that begin or end as it does", () => {
    expect(found.near("hydrnat", all)).toContain("hydrant");
    expect(found.near("jydrant", all), "wrong at its beginning").toContain("hydrant");
    expect(found.near("strainre", all), "wrong at its end").toContain("strainer");
  });

  it("is only what the caller calls near", () => {
    expect(found.near("hydrnat", () => false)).toEqual([]);
    expect(found.near("hydrnat", (term) => term.length > 8)).toEqual([]);
  });

  it("is not mended where it is shorter than four letters", () => {
    expect(found.near("sea", all)).toEqual([]);
    expect(found.near("seat", all)).toContain("seat");
  });
});
