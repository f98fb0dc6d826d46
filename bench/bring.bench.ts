import { readFileSync } from "node:fs";
import { bring } from "@/core/bring";
import type { Store, TroubleFacts } from "@/core/formats";
import { visitsOf } from "@/core/trouble";
import { FAMILIES, factsOf, knowledgeOf, sheetOf } from "@/core/trouble/trouble.fixtures";
import { row } from "./table";

/**
 * Every family and complaint of the demo, before anybody goes there: the chance to finish on the first visit with what is
 * advised, with tools alone, and with all that lies in van and shop and could serve.
 */
const store = JSON.parse(readFileSync("demo/stores/works-store.json", "utf8")) as Store;
const weigh = { trip_min: 42, outage: 0.22, money_min: 1.1 };
const own = { ...store, stock: store.stock.filter(({ place }) => place !== "mainland") };

const sums = { advised: 0, tools: 0, everything: 0, kg: 0, most_kg: 0, others: 0 };
const took: number[] = [];
let calls = 0;
for (const family of FAMILIES) {
  const knowledge = knowledgeOf(family);
  const sheet = sheetOf(family);
  for (const { id } of knowledge.complaints.filter(({ danger }) => danger === undefined)) {
    const facts: TroubleFacts = { ...factsOf(family, id), from: "telephone", weigh };
    const asked = { knowledge, facts, answers: new Map<string, string>(), sheet };
    const begun = performance.now();
    const [now] = bring({ ...asked, store: own }, undefined, 600).departures;
    took.push(performance.now() - begun);
    // Nothing weighs, nothing has to be fetched: all that lies there and could serve comes along.
    const free = { by: "van" as const, weigh: { kg_min: 0, fetch_min: 0 } };
    const [all] = bring(
      { ...asked, facts: { ...facts, weigh: { ...weigh, money_min: 0 } }, store: own, goes: free },
      undefined,
      600,
    ).departures;
    const visits = visitsOf(knowledge, facts, asked.answers, 600);
    const [tools] = bring(asked, undefined, 600).departures;
    calls += 1;
    sums.advised += now!.chance;
    sums.everything += all!.chance;
    sums.kg += now!.kg;
    sums.most_kg += all!.kg;
    sums.others += visits.reduce((sum, { goes, chance }) => (goes === "others" ? sum + chance : sum), 0);
    sums.tools += tools!.chance;
  }
}
took.sort((a, b) => a - b);
const of = (sum: number) => `${((100 * sum) / calls).toFixed(1)} of 100`;
console.log(`\nWhat to bring: ${calls} calls, ${FAMILIES.length} families`);
console.log(`  advised            ${of(sums.advised)}, ${(sums.kg / calls).toFixed(1)} kg`);
console.log(`  tools alone        ${of(sums.tools)}`);
console.log(
  `  all that could serve ${of(sums.everything)}, ${(sums.most_kg / calls).toFixed(1)} kg; ${of(sums.others)} are for somebody else`,
);
console.log(
  `  worked out in      ${took[Math.floor(took.length / 2)]!.toFixed(0)} ms, worst ${took.at(-1)!.toFixed(0)} ms`,
);
row({
  bench: "bring",
  what: "what to bring for each complaint of the demo by telephone: finished on the first visit with what is advised; worked out in",
  measured: `${of(sums.advised)}; median ${took[Math.floor(took.length / 2)]!.toFixed(0)} ms, worst ${took.at(-1)!.toFixed(0)} ms`,
  ratio: `${of(sums.tools)} with tools alone, ${of(sums.everything)} with all that could serve`,
});
