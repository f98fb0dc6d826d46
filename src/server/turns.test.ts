import { setImmediate } from "node:timers/promises";
import { expect, it } from "vitest";
import { Turns } from "./turns";

/** Works that end when they are told to, and what has begun and ended so far. */
function works() {
  const said: string[] = [];
  const end: Record<string, () => void> = {};
  const work = (name: string) => async () => {
    said.push(`${name} begins`);
    await new Promise<void>((resolve) => {
      end[name] = resolve;
    });
    said.push(`${name} ends`);
    return name;
  };
  const finish = async (name: string) => {
    end[name]!();
    await setImmediate();
  };
  return { said, work, finish };
}

it("lets those of a moment in beside each other", async () => {
  const turns = new Turns();
  const { said, work, finish } = works();
  const done = [turns.shared(work("a")), turns.shared(work("b"))];
  await setImmediate();
  expect(said).toEqual(["a begins", "b begins"]);
  await finish("b");
  await finish("a");
  expect(await Promise.all(done)).toEqual(["a", "b"]);
});

it("waits with the one who is alone for those inside, and with the others for it", async () => {
  const turns = new Turns();
  const { said, work, finish } = works();
  void turns.shared(work("a"));
  await setImmediate();
  void turns.alone(work("long"));
  void turns.shared(work("b"));
  void turns.alone(work("longer"));
  await setImmediate();
  expect(said).toEqual(["a begins"]);
  await finish("a");
  expect(said).toEqual(["a begins", "a ends", "long begins"]);
  await finish("long");
  expect(said.slice(3)).toContain("long ends");
  // Whoever of the two is first, the one who is alone is alone.
  if (said.includes("b begins")) await finish("b");
  await setImmediate();
  expect(said).toContain("longer begins");
  await finish("longer");
  if (!said.includes("b ends")) await finish("b");
  for (const long of ["long", "longer"])
    expect(said.indexOf(`${long} ends`)).toBe(said.indexOf(`${long} begins`) + 1);
});

it("goes on after a work that failed, alone or not", async () => {
  const turns = new Turns();
  const fails = () => Promise.reject(new Error("no"));
  await expect(turns.shared(fails)).rejects.toThrow("no");
  await expect(turns.alone(fails)).rejects.toThrow("no");
  expect(await turns.shared(() => 1)).toBe(1);
  expect(await turns.alone(() => 2)).toBe(2);
});
