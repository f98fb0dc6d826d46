import { beforeEach, describe, expect, it } from "vitest";
import type { Problem, Result } from "@/core/result";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import type { Services } from "../services";
import { copyLine, joinStored, splitStored } from "./rework";

const TAM = "Tam Arkle";
let services: Services;
beforeEach(() => {
  services = demoServices(() => Date.parse("2027-03-01T09:00:00Z"));
});
const taken = <T>(done: Result<T, Problem[]>): T => {
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const told = (done: Result<unknown, Problem[]>) =>
  done.ok ? "" : `${done.error[0]!.path} ${done.error[0]!.message}`;
const on = (line: string) => services.register.onLine(line).map(({ tag }) => tag);

describe("a stored line", () => {
  it("is split with its valves and joined again, and either is undone as one", () => {
    const before = {
      line: services.library.line("ropewalk-gas"),
      valves: services.register.onLine("ropewalk-gas"),
    };
    const head = { id: "number-21", name: "Number 21" };
    const split = taken(splitStored(services, "ropewalk-gas", { ...head, at: "p-K2-r21" }, TAM));
    expect([on("ropewalk-gas"), on("number-21")]).toEqual([["RW-G17", "RW-G19"], ["RW-G21"]]);
    const edge = services.library.line("number-21")!.nodes.find(({ kind }) => kind === "boundary")!.id;
    const joined = taken(
      joinStored(services, "ropewalk-gas", { at: "K2", other: "number-21", place: edge }, TAM),
    );
    expect(on("ropewalk-gas")).toEqual(["RW-G17", "RW-G19", "RW-G21"]);
    expect(services.library.line("number-21")).toBeUndefined();
    taken(undoEdit(services, joined.edit!, TAM));
    expect(on("number-21")).toEqual(["RW-G21"]);
    taken(undoEdit(services, split.edit!, TAM));
    expect(services.library.line("ropewalk-gas")).toEqual(before.line);
    expect(services.register.onLine("ropewalk-gas")).toEqual(before.valves);
  });

  it("that was made and changed again in one act is gone when that is undone", () => {
    // A valve whose tag is not written at its place: the new line gets it with the move.
    const line = services.library.line("ropewalk-gas")!;
    const [, last] = ["RW-G17", "RW-G21"].map((tag) => services.register.valve(tag)!);
    services.register.save({ ...last!, node: "c21" }, { family: "", due: { at: 0, what: "", why: "" } });
    const head = { id: "number-21", name: "Number 21" };
    const split = taken(splitStored(services, line.id, { ...head, at: "p-K2-r21" }, TAM));
    expect(services.library.line("number-21")!.nodes.find(({ id }) => id === "c21")?.asset).toBe("RW-G21");
    taken(undoEdit(services, split.edit!, TAM));
    expect(services.library.line("number-21")).toBeUndefined();
    expect(services.library.line(line.id)).toEqual(line);
  });

  it("is copied without its valves", () => {
    taken(copyLine(services, "ropewalk-gas", { id: "twin", name: "Twin" }, TAM));
    expect(on("twin")).toEqual([]);
    expect(services.library.line("twin")!.nodes.every(({ asset }) => asset === undefined)).toBe(true);
    expect(on("ropewalk-gas")).toHaveLength(3);
  });

  it("is left alone where it cannot be, with what to do", () => {
    const head = { id: "b", name: "B" };
    expect(told(splitStored(services, "ropewalk-gas", { ...head, at: "none" }, TAM))).toContain(
      "/at This line has no link",
    );
    expect(
      told(splitStored(services, "ropewalk-gas", { ...head, id: "lido-steam", at: "p-K2-r21" }, TAM)),
    ).toContain("/id There is a line");
    expect(told(splitStored(services, "moon", { ...head, at: "x" }, TAM))).toContain('no line "moon"');
    expect(
      told(joinStored(services, "ropewalk-gas", { at: "K2", other: "lido-steam", place: "H2" }, TAM)),
    ).toContain("Here runs gas and there steam");
    expect(
      told(joinStored(services, "ropewalk-gas", { at: "K2", other: "ropewalk-gas", place: "K2" }, TAM)),
    ).toContain("very line");
  });
});
