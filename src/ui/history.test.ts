import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { begun, changed, type History, marked, redone, slid, undone } from "./history";

const typed = (history: History<string>, text: string, field: string) =>
  [...text].reduce((was, letter) => changed(was, was.now + letter, field), history);

describe("undo", () => {
  it("takes back what was typed into one field in one step", () => {
    const name = typed(begun(""), "main", "name");
    expect(name.now).toBe("main");
    expect(undone(name).now).toBe("");
    const then = typed(name, " yard", "place");
    expect(undone(then).now).toBe("main");
    expect(undone(undone(then)).now).toBe("");
  });

  it("begins a step anew where something else came between", () => {
    const twice = typed(changed(typed(begun(""), "ab", "name"), "ab!"), "cd", "name");
    expect(twice.now).toBe("ab!cd");
    expect(undone(twice).now).toBe("ab!");
    expect(undone(undone(twice)).now).toBe("ab");
    const back = typed(undone(typed(begun(""), "ab", "name")), "c", "name");
    expect(undone(back).now).toBe("");
  });

  it("knows nothing before the first step and after the last", () => {
    const first = begun(1);
    expect(undone(first)).toBe(first);
    expect(redone(first)).toBe(first);
  });

  it("takes a whole drag back in one step", () => {
    const dragged = [2, 3, 4].reduce(slid, marked(begun(1)));
    expect(dragged.now).toBe(4);
    expect(undone(dragged).now).toBe(1);
    expect(redone(undone(dragged)).now).toBe(4);
  });

  it("forgets what was undone as soon as something else is done", () => {
    const other = changed(undone(changed(begun(1), 2)), 3);
    expect(redone(other).now).toBe(3);
    expect(undone(other).now).toBe(1);
  });

  it("keeps as many steps as one can want", () => {
    const long = Array.from({ length: 500 }, (_, at) => at + 1).reduce(
      (was, at) => changed(was, at),
      begun(0),
    );
    let steps = 0;
    for (let at = long; undone(at) !== at; at = undone(at)) steps += 1;
    expect(steps).toBe(200);
  });

  it("and redo are each other's way back, whatever was done", () => {
    let undoes = 0;
    const acts = fc.array(
      fc.oneof(
        fc.record({ to: fc.nat(99), field: fc.constantFrom(undefined, "a", "b") }),
        fc.constantFrom("undo" as const, "redo" as const),
      ),
      { minLength: 20, maxLength: 40 },
    );
    fc.assert(
      fc.property(acts, (all) => {
        let history = begun(0);
        for (const act of all) {
          if (act === "redo") history = redone(history);
          else if (act === "undo") {
            if (history.past.length > 0) {
              undoes += 1;
              expect(redone(undone(history)).now).toBe(history.now);
            }
            history = undone(history);
          } else history = changed(history, act.to, act.field);
        }
        while (history.past.length > 0) history = undone(history);
        expect(history.now).toBe(0);
      }),
    );
    expect(undoes).toBeGreaterThan(50);
  });
});
