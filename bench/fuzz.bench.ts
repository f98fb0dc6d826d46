import Database from "better-sqlite3";
import { mutations } from "../e2e/mutations";
import { loadDemo, TestServer } from "../e2e/server";
import { row } from "./table";

/** Six thousand mutated requests over all routes against the built app: no 5xx, no change on refusal. SEED, COUNT change it. */
const COUNT = Number(process.env.COUNT ?? 6000);
const SEED = Number(process.env.SEED ?? 1);
const TABLES = ["jobs", "job_events", "valves", "people", "sheets", "lines", "stores", "readings", "anchors"];

const server = new TestServer("demo", false, (folder) => loadDemo(folder, "--without-town-main"));
const statuses = new Map<number, number>();
const wrong: string[] = [];
try {
  await server.start();
  const db = new Database(server.database, { readonly: true });
  const state = () =>
    TABLES.map((table) =>
      JSON.stringify(db.prepare(`select count(*), total(rowid) from ${table}`).get()),
    ).join();
  const begun = performance.now();
  for (const { method, path, headers, body } of mutations(COUNT, SEED)) {
    const before = state();
    const answer = await fetch(server.url + path, { method, headers, ...(body !== undefined && { body }) });
    const text = await answer.text();
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    const sent = `${method} ${path} ${body?.slice(0, 200) ?? ""} → ${answer.status} ${text.slice(0, 160)}`;
    if (answer.status >= 500) wrong.push(`5xx: ${sent}`);
    if (answer.status >= 400 && state() !== before) wrong.push(`changed on refusal: ${sent}`);
  }
  console.log(
    `\n${COUNT} mutated requests in ${((performance.now() - begun) / 1000).toFixed(0)} s: ${[...statuses]
      .sort((a, b) => a[0] - b[0])
      .map(([status, count]) => `${status} × ${count}`)
      .join(", ")}`,
  );
  row({
    bench: "fuzz",
    what: `${COUNT} mutated requests: 5xx, or changed on refusal`,
    measured: String(wrong.length),
    reach: "0",
  });
  console.log(wrong.length === 0 ? "  no 5xx, nothing changed on refusal" : wrong.slice(0, 20).join("\n"));
  db.close();
} finally {
  await server.end();
}
if (wrong.length > 0) process.exit(1);
