import { TestServer } from "./server";
import { type APIRequestContext, expect, test } from "./test";

/** Pages are drawn by processes of their own, beside the one that takes entries. */

const server = new TestServer("demo");
server.drawers = 2;
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

const NOTE = { v: 1, by: "Tam Arkle", kind: "note-added" };
const JOB = "demo-h09-wait";
const note = (request: APIRequestContext, id: string) =>
  request.post(`${server.url}/api/v1/jobs/${JOB}/events`, {
    headers: { "loftbell-person": "tam" },
    data: { events: [{ ...NOTE, id, at: new Date().toISOString(), text: `Said ${id}` }] },
  });
const signal = (name: NodeJS.Signals) => {
  for (const pid of server.children()) process.kill(pid, name);
};

test("an entry, a bell and find do not wait for pages: they are taken while no page can be drawn", async ({
  request,
}) => {
  signal("SIGSTOP");
  let drawn = false;
  const page = request.get(`${server.url}/valves`).then((answer) => {
    drawn = true;
    return answer.status();
  });
  try {
    expect((await note(request, "while-stopped")).status()).toBe(200);
    expect((await request.get(`${server.url}/api/v1/find?words=NQ-H07`)).status()).toBe(200);
    expect(drawn).toBe(false);
  } finally {
    signal("SIGCONT");
  }
  expect(await page).toBe(200);
});

test("what was stored is on the very next page, whichever process draws it", async ({ request }) => {
  const on = async (path: string) => (await request.get(server.url + path)).text();
  for (let time = 0; time < 12; time++) {
    expect((await note(request, `n${time}`)).status()).toBe(200);
    expect(await on(`/jobs/${JOB}/record`)).toContain(`Said n${time}`);
  }
  const bringIn = (text: string) =>
    request.post(`${server.url}/api/v1/import`, {
      headers: { "loftbell-person": "tam" },
      data: { files: [{ name: "some.csv", text }], apply: true },
    });
  const valve = (number: number) =>
    `tag,name,place,sheet\nZZ-${number},Newest hydrant ${number},North quay,brae-quaywall-4\n`;
  const before = Number(/([\d,]+) in the register/.exec(await on("/valves"))?.[1]);
  for (let number = 1; number < 5; number++) {
    expect((await bringIn(valve(number))).status()).toBe(200);
    const list = await on(`/valves?find=newest`);
    expect(list).toContain(`${before + number} in the register`);
    expect(list).toContain(`ZZ-${number}`);
  }
});

test("a register of thousands comes in beside the work: who reads waits for nothing, an entry goes in after it", async ({
  request,
}) => {
  const rows = Array.from({ length: 6000 }, (_, n) => `TH-${n},Valve ${n},Far quay,brae-quaywall-4`);
  let through = false;
  const brought = request
    .post(`${server.url}/api/v1/import`, {
      headers: { "loftbell-person": "tam" },
      data: { files: [{ name: "many.csv", text: `tag,name,place,sheet\n${rows.join("\n")}` }], apply: true },
      timeout: 120_000,
    })
    .then(async (answer) => {
      through = true;
      return { status: answer.status(), body: await answer.json() };
    });
  let read = 0;
  while (!through) {
    expect((await request.get(`${server.url}/api/v1/find?words=NQ-H07`)).status()).toBe(200);
    expect((await request.get(`${server.url}/jobs`)).status()).toBe(200);
    if (!through) read += 1;
    if (read === 2) expect((await note(request, "meanwhile")).status()).toBe(200);
  }
  expect(read).toBeGreaterThan(1);
  const { status, body } = await brought;
  expect(status).toBe(200);
  expect(body.lines[0]).toMatchObject({ effect: "new", total: 6000 });
  expect(await (await request.get(`${server.url}/valves?place=Far+quay`)).text()).toMatch(/6\s000 rows/);
  expect(await (await request.get(`${server.url}/jobs/${JOB}/record`)).text()).toContain("Said meanwhile");
  const undone = await request.delete(`${server.url}/api/v1/edits/${body.id}`, {
    headers: { "loftbell-person": "tam" },
    timeout: 120_000,
  });
  expect(await undone.json()).toEqual({ changes: 6000 });
  expect(await (await request.get(`${server.url}/valves?place=Far+quay`)).text()).toContain("No valve fits");
  await expect(async () =>
    expect(await (await request.get(`${server.url}/api/health`)).json()).toMatchObject({
      doubts: 0,
      verified: true,
    }),
  ).toPass();
});

test("a drawing process that is killed costs no page, and is started again", async ({ request }) => {
  const pages = ["/", "/valves", "/jobs", "/lines", "/bench"].map(async (path) =>
    (await request.get(server.url + path)).status(),
  );
  const [first] = server.children();
  process.kill(first!, "SIGKILL");
  expect(await Promise.all(pages)).toEqual([200, 200, 200, 200, 200]);
  expect((await request.get(server.url)).status()).toBe(200);
  await expect(async () => {
    expect(server.children()).toHaveLength(2);
    expect(server.children()).not.toContain(first);
  }).toPass();
});
