import type { ActRule } from "../act-rule";

/** What is noted has to stand as it was found. */
export const note: ActRule<"note"> = {
  harms: (world, { mark }) => {
    const { valve, site } = world;
    const asked = site.sheet.capture.find((each) => each.id === mark);
    const covered = (asked?.needsOff ?? []).find((part) => !valve.off.has(part));
    if (covered !== undefined)
      return [{ kind: "cannot-be-done", act: "note", why: { kind: "under-a-cover", part: covered } }];
    // A loose end, or what a cover hid, is noted while its own part still sits; what shows from outside before all.
    const end = site.sheet.connections.find((each) => mark === `at:${each.id}`);
    const own = end?.part ?? asked?.confirmAfter;
    const late =
      end !== undefined || asked?.needsOff !== undefined
        ? own !== undefined && valve.off.has(own)
        : valve.moved || valve.off.size > 0;
    return late ? [{ kind: "asked-too-late", mark }] : [];
  },
  effect: (world, { mark }) => void world.noted.add(mark),
};
