import type { Look, Trouble, TroubleFacts } from "@/core/formats";
import { seeded } from "@/core/seeded";
import { advise } from "@/core/trouble";
import { expecting } from "@/core/trouble/expected.fixtures";
import { byAdvice, inFileOrder, likeliestFirst, rightEndMinutes } from "@/core/trouble/play.fixtures";
import { policyValue } from "@/core/trouble/policy-value.fixtures";
import { FAMILIES, factsOf, knowledgeOf } from "@/core/trouble/trouble.fixtures";
import { row } from "./table";

/**
 * Every family, every complaint, every cause with its honest noise: by what is advised, by asking in the order of the file,
 * and by asking after the likeliest cause first. Not sampled but gone through, every way that answers can go by its chance.
 * The others act once one end is 95 of 100 sure: then they are about as often right.
 */
const SEED = 20_261_130;

const policies = { advised: byAdvice, "file order": inFileOrder, "likeliest first": likeliestFirst } as const;
type Name = keyof typeof policies;
const names = Object.keys(policies) as Name[];
const sums = Object.fromEntries(
  names.map((name) => [name, { right: 0, evenly: 0, looking: 0, wrong: 0, looks: 0 }]),
) as Record<Name, Record<"right" | "evenly" | "looking" | "wrong" | "looks", number>>;
let pairs = 0;
let worst: readonly [share: number, family: string] = [1, ""];
for (const family of FAMILIES) {
  const known = knowledgeOf(family);
  let right = 0;
  let here = 0;
  for (const { id } of known.complaints.filter(({ danger }) => danger === undefined)) {
    const facts = factsOf(family, id);
    const causes = known.causes.filter(({ weights }) => weights[id] !== undefined);
    const all = causes.reduce((sum, { weights }) => sum + weights[id]!, 0);
    for (const name of names) {
      const expect = expecting(known, facts, policies[name]);
      for (const cause of causes) {
        // As often as it comes: of a complaint with six causes the likeliest counts more than the rarest.
        const often = (causes.length * cause.weights[id]!) / all;
        const came = expect(cause.id);
        const sum = sums[name];
        sum.right += often * came.right;
        sum.evenly += came.right;
        sum.looking += often * came.looking;
        // What the right end itself takes is the same for all.
        sum.wrong += often * (came.end - rightEndMinutes(known, facts, cause.id));
        sum.looks += often * came.looks;
        if (name === "advised") right += came.right;
      }
    }
    here += causes.length;
  }
  pairs += here;
  if (right / here < worst[0]) worst = [right / here, family];
}
const share = (of: number) => `${((100 * of) / pairs).toFixed(1)} of 100`;
const looking = (name: Name) => sums[name].looking / pairs;
const mean = (name: Name) => (sums[name].looking + sums[name].wrong) / pairs;
console.log(
  `\nTrouble: ${pairs} complaints with a cause, ${FAMILIES.length} families, each gone through wholly`,
);
for (const name of names)
  console.log(
    `  ${name.padEnd(16)} right end ${share(sums[name].right)} as often as they come, ${share(sums[name].evenly)} with every cause as often; ${(sums[name].looks / pairs).toFixed(1)} looks, ${looking(name).toFixed(1)} min of looking, ${(sums[name].wrong / pairs).toFixed(1)} min of wrong ends, ${mean(name).toFixed(1)} min in all`,
  );
console.log(`  worst family: ${worst[1]}, ${(100 * worst[0]).toFixed(1)} of 100`);
row({
  bench: "trouble",
  what: `the right end, ${pairs} complaints with a cause`,
  measured: share(sums.advised.right),
  reach: "95 of 100",
});
for (const other of ["file order", "likeliest first"] as const)
  for (const [what, of] of [
    ["minutes of looking and of wrong ends", mean],
    ["minutes of looking alone", looking],
  ] as const)
    row({
      bench: "trouble",
      what: `${what}, against ${other}`,
      measured: `${of("advised").toFixed(1)} min`,
      reach: other === "file order" ? "30 % less" : "less",
      ratio: `${(100 * (1 - of("advised") / of(other))).toFixed(0)} % less than ${of(other).toFixed(1)} min`,
    });

// Against the exact optimum, where that can be computed.
const MOMENTS = 60_000;
let exact = 0;
let policy = 0;
let cases = 0;
let furthest = 1;
for (const family of FAMILIES) {
  const known = knowledgeOf(family);
  for (const { id } of known.complaints.filter(({ danger }) => danger === undefined)) {
    const facts = factsOf(family, id);
    const best = advise(known, facts, new Map(), MOMENTS);
    if (!best.exact) continue;
    const value = policyValue(known, facts);
    cases += 1;
    exact += best.next.cost;
    policy += value;
    furthest = Math.max(furthest, value / best.next.cost);
  }
}
console.log(
  `  ${cases} complaints exactly: as advised ${(policy / exact).toFixed(4)} of the optimum, at most ${furthest.toFixed(4)}`,
);
row({
  bench: "trouble",
  what: `expected minutes against the exact optimum, ${cases} complaints`,
  measured: `${(100 * (policy / exact - 1)).toFixed(2)} % above`,
  reach: "5 %",
  ratio: `at most ${(100 * (furthest - 1)).toFixed(2)} %`,
});

// Large: 40 causes, 60 looks.
const random = seeded(SEED);
const ids = Array.from({ length: 40 }, (_, index) => `cause${index}`);
const large: Trouble = {
  format: "loftbell.trouble",
  version: 1,
  family: "large",
  revision: 1,
  title: "Large",
  demonstration: true,
  complaints: [{ id: "wrong", says: "Wrong" }],
  causes: ids.map((id, index) => ({
    id,
    name: id,
    where: "this-part",
    weights: { wrong: 1 + random() * 20 },
    held: 10,
    end: `end${index % 20}`,
  })),
  looks: Array.from(
    { length: 60 },
    (_, index): Look => ({
      kind: "choice",
      id: `look${index}`,
      ask: "?",
      do: "?",
      minutes: 1 + Math.floor(random() * 12),
      drawn: "test",
      answers: ["a", "b", "c"].map((id) => ({ id, label: id })),
      usual: { a: 0.9, b: 0.06, c: 0.04 },
      tells: ids
        .filter(() => random() < 0.15)
        .map((id) => ({
          causes: [id],
          chances: random() < 0.5 ? { a: 0.04, b: 0.9, c: 0.06 } : { a: 0.03, b: 0.07, c: 0.9 },
        })),
    }),
  ),
  ends: Array.from({ length: 20 }, (_, index) => ({
    id: `end${index}`,
    kind: "job" as const,
    says: "?",
    minutes: 20 + 10 * index,
    symptom: "wrong",
  })),
  else_percent: 4,
};
const facts: TroubleFacts = { complaint: "wrong" };
const times = Array.from({ length: 21 }, () => {
  const at = performance.now();
  advise(large, facts);
  return performance.now() - at;
}).sort((a, b) => a - b);
console.log(`  40 causes, 60 looks: ${times[10]!.toFixed(1)} ms, worst ${times[20]!.toFixed(1)} ms`);
row({
  bench: "trouble",
  what: "the next look, 40 causes and 60 looks",
  measured: `${times[10]!.toFixed(1)} ms`,
  reach: "50 ms",
  ratio: `worst ${times[20]!.toFixed(1)} ms`,
});
