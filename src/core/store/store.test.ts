import { describe, expect, it } from "vitest";
import type { Sheet, Store } from "../formats";
import { demoDocument } from "../job/job.fixtures";
import { chooseKits } from ".";

const sheet = demoDocument<Sheet>("sheets/brae-quaywall-4.json");
const store = demoDocument<Store>("stores/works-store.json");
const choose = (parts: Record<string, number>, generation = "C", from: Store | undefined = store) =>
  chooseKits(sheet, new Map(Object.entries(parts)), from, generation);

describe("kit choice", () => {
  it("takes single parts when they are cheaper than the kit", () => {
    expect(choose({ "gland-gasket": 1, "nozzle-gasket": 1 }).picks.map((pick) => pick.id)).toEqual([
      "gland-gasket",
      "nozzle-gasket",
    ]);
  });

  it("takes the kit when only the kit has the part, and says what is left over", () => {
    const choice = choose({ disc: 1, "friction-ring": 1 });
    expect(choice.picks.map((pick) => pick.id)).toEqual(["BF-K31"]);
    expect(choice.leftovers.map((left) => left.name)).toEqual([
      "White shim ring",
      "Square ring, 3 mm",
      "Stem ring",
      "Gland gasket",
      "Nozzle gasket",
    ]);
  });

  it("rather has it today than cheaper in three days", () => {
    expect(choose({ "friction-ring": 1 }).days).toBe(0);
  });

  it("offers only the kit of this generation, and names the look-alike", () => {
    const choice = choose({ disc: 1 }, "A");
    expect(choice.picks.map((pick) => pick.id)).toEqual(["BF-K21"]);
    expect(choice.doNotTake.map((kit) => kit.id)).toEqual(["BF-K31"]);
  });

  it("names what no stock has", () => {
    expect(choose({ nozzle: 1 }).missing).toEqual(["nozzle"]);
    expect(chooseKits(sheet, new Map([["disc", 1]]), undefined).missing).toEqual(["disc"]);
  });

  it("wants nothing when nothing is renewed", () => {
    expect(choose({})).toMatchObject({ picks: [], missing: [], leftovers: [], price: 0 });
  });
});
