import { spawnSync } from "node:child_process";
import { rmSync, writeFileSync } from "node:fs";
import { heldBy } from "./browser";
import { TestServer } from "./server";
import { expect, type Page, test } from "./test";

/** Backups: made while one works, put back on screen, and the way back when the database is damaged. */

test.use({ storageState: heldBy("Ina Lund") });
const server = new TestServer("own");
test.beforeAll(() => server.start());
test.afterAll(() => server.end());

/** What ./loftbell backup, restore and doctor run, on the folder of this server. */
function care(...args: string[]) {
  const env = { ...process.env, LOFTBELL_MODE: "own", LOFTBELL_DATA: server.folder };
  const { status, stdout, stderr } = spawnSync(process.execPath, ["dist/care.mjs", ...args], {
    env,
    encoding: "utf8",
  });
  return { status, says: stdout + stderr };
}

async function hire(page: Page, name: string): Promise<void> {
  await page.goto(`${server.url}/crew/new`);
  await page.getByLabel("Name", { exact: true }).fill(name);
  await page.getByRole("button", { name: "Add to the crew" }).click();
  await page.waitForURL(/\/crew$/);
}

test("a backup is put back on screen with what would be lost named, and a damaged database is known and replaced", async ({
  page,
}) => {
  await hire(page, "Ina Lund");
  await page.goto(`${server.url}/loft/backups`);
  await page.getByRole("button", { name: "Back up now" }).click();
  await expect(page.getByText("opened and found whole").first()).toBeVisible();
  await hire(page, "Tam Arkle");
  await page.goto(`${server.url}/loft/backups`);
  await page
    .getByRole("listitem")
    .filter({ hasText: "by hand" })
    .getByRole("button", { name: "Look at it" })
    .click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("It is whole.");
  await expect(dialog).toContainText("1 change of own data");
  await dialog.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByText("It is as it was then.").first()).toBeVisible();
  await page.goto(`${server.url}/crew`);
  await expect(page.getByRole("main")).toContainText("Ina Lund");
  await expect(page.getByRole("main")).not.toContainText("Tam Arkle");
  await page.goto(`${server.url}/loft/changes`);
  await expect(page.getByRole("main")).toContainText("Backup put back");
  // One goes on working on it.
  await hire(page, "Bryn Collier");
  expect(care("backup")).toMatchObject({ status: 0, says: expect.stringContaining("found whole") });
  expect(care("restore", "nothing").says).toContain("There is no backup");

  await server.kill();
  // What a broken disk leaves.
  writeFileSync(server.database, Buffer.alloc(30_000, 7));
  rmSync(`${server.database}-wal`, { force: true });
  await server.start(0, 503);
  await page.goto(server.url);
  await expect(page.getByRole("main")).toContainText("damaged");
  const told = await page.getByRole("main").innerText();
  const [, offered = ""] = /loftbell restore (\S+)/.exec(told) ?? [];
  expect(offered).not.toBe("");
  await server.kill();
  expect(care("doctor")).toMatchObject({
    status: 1,
    says: expect.stringContaining("WRONG  The database is damaged"),
  });
  expect(care("restore", offered)).toMatchObject({
    status: 1,
    says: expect.stringContaining("Nothing was changed"),
  });
  expect(care("restore", offered, "--yes")).toMatchObject({
    status: 0,
    says: expect.stringContaining("damaged-"),
  });
  expect(care("doctor").status).toBe(0);
  await server.start();
  await page.goto(`${server.url}/crew`);
  await expect(page.getByRole("main")).toContainText("Bryn Collier");
});
