import { heldBy } from "./browser";
import { soundForAll } from "./quick-axe";
import { TestServer } from "./server";
import { Technician } from "./technician";
import { expect, test } from "./test";

const server = new TestServer("demo");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());
test.use({ storageState: heldBy("Tam Arkle"), viewport: { width: 390, height: 844 } });

/** What a sound cock gives, by the start of the headline that asks for it. */
const FIGURES = { "Feel the key": "12", "Read the air": "15 °C", "Read the gas monitor": "2" };

test("a gas job: refused to one who may not, on the screen and on the route; done under the eye of one who may", async ({
  page,
}) => {
  await page.clock.install();
  await page.goto(`${server.url}/valves/RW-G17/start`);
  await page.getByRole("button", { name: /Start the job/ }).click();
  await page.waitForURL(/\/jobs\/[^/]+$/);
  const job = page.url().split("/").at(-1);
  const tech = new Technician(page, server);
  await expect(tech.card.getByText("This job is work on gas. Who may: Isla Venn, Jory Pask.")).toBeVisible();
  await tech.until(/^This is work on gas/, FIGURES);
  await expect(
    tech.card.getByText("Nothing that holds today says that Tam Arkle may work on gas"),
  ).toBeVisible();
  await soundForAll(page);

  // The route asks the same.
  const { events } = await (await page.request.get(`${server.url}/api/v1/jobs/${job}`)).json();
  const send = (event: object) =>
    page.request.post(`${server.url}/api/v1/jobs/${job}/events`, {
      data: {
        events: [{ v: 1, id: crypto.randomUUID(), at: new Date().toISOString(), by: "Tam Arkle", ...event }],
      },
      headers: { origin: server.url },
    });
  const forged = { may: { gas: { until: "open", proof: "GC-0000" } } };
  expect((await send({ kind: "signed-on", ...forged })).status()).toBe(200);
  await page.reload();
  await expect(tech.headline).toHaveText(/^This is work on gas/);
  const log = await (await page.request.get(`${server.url}/api/v1/jobs/${job}`)).json();
  expect(log.events).toHaveLength(events.length + 1);
  expect(Object.keys(log.events.at(-1).event.may)).toEqual(["fire"]);

  await tech.card.getByRole("button", { name: "Isla Venn watches over it" }).click();
  await expect(tech.headline).not.toHaveText(/^This is work on gas/);
  await expect(page.getByText("saved", { exact: true })).toBeVisible();
  const after = await (await page.request.get(`${server.url}/api/v1/jobs/${job}`)).json();
  expect(after.events.slice(-2).map(({ event }: { event: object }) => event)).toMatchObject([
    { kind: "signed-on", by: "Isla Venn", may: { gas: { proof: "GC-4471" } } },
    { kind: "signed-on", by: "Tam Arkle", under: "Isla Venn" },
  ]);
});
