import { expect, it } from "vitest";
import { passingServices } from "../services";
import { liveStream } from "./news";

it("whoever is signed out while a screen is open hears no more, and the stream ends", async () => {
  const services = passingServices(() => 1_800_000_000_000);
  let signedIn = true;
  const reader = liveStream(services, new AbortController().signal, () => signedIn).getReader();
  const text = async () => new TextDecoder().decode((await reader.read()).value);
  expect(await text()).toContain("retry");
  expect(await text()).toContain("bells");
  signedIn = false;
  services.live.changed();
  expect((await reader.read()).done).toBe(true);
});
