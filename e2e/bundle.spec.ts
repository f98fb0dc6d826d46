import { TestServer } from "./server";
import { expect, test } from "./test";

/** Everything as one file: out of one Loft Bell, and into a second one that was empty. */
test("a bundle goes out and into a second Loft Bell, as far as one wants, with its logs whole", async ({
  page,
}) => {
  const [first, second] = [new TestServer("demo"), new TestServer("own")];
  try {
    await first.start();
    await second.start();
    await page.goto(`${first.url}/loft/bundle`);
    const href = await page.getByRole("link", { name: "Take everything out" }).getAttribute("href");
    const zip = await page.request.get(first.url + href);
    expect(zip.headers()["content-type"]).toBe("application/zip");
    const valves = (await page.request.get(`${first.url}/api/v1/export/valves.csv`)).text();
    await first.kill();

    await page.goto(`${second.url}/loft/bundle`);
    const file = page.getByLabel("The file, as it was taken out");
    await file.setInputFiles({ name: "x.zip", mimeType: "application/zip", buffer: Buffer.from("no zip") });
    await expect(page.getByRole("alert").filter({ hasText: "This is no bundle of Loft Bell" })).toBeVisible();
    await file.setInputFiles({ name: "b.zip", mimeType: "application/zip", buffer: await zip.body() });
    await expect(page.getByText("Every file is as it was packed.")).toBeVisible();
    // The map is left out.
    await page.getByRole("checkbox", { name: /The map/ }).uncheck();
    await page.getByRole("button", { name: "Bring the chosen parts in" }).click();
    await expect(page.getByText("It is in.")).toBeVisible({ timeout: 120_000 });

    expect(await (await page.request.get(`${second.url}/api/v1/export/valves.csv`)).text()).toBe(
      await valves,
    );
    await page.goto(`${second.url}/jobs/demo-h08-done/record`);
    await expect(page.getByRole("main")).toContainText("The log is whole.");
    await expect(page.getByRole("main")).toContainText("brought in from another installation");
    await page.goto(`${second.url}/loft/changes`);
    await expect(page.getByRole("main")).toContainText("crew-0001.json");
    const health = await (await page.request.get(`${second.url}/api/health`)).json();
    expect(health).toMatchObject({ ok: true, doubts: 0 });
  } finally {
    await first.end();
    await second.end();
  }
});
