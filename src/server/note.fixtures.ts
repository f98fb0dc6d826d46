import type { JobEvent } from "@/core/formats";

/** A note as a device would send it. @param at ms */
export const noteAt = (id: string, at: number): Extract<JobEvent, { kind: "note-added" }> => ({
  v: 1,
  id,
  at: new Date(at).toISOString(),
  by: "Tam Arkle",
  kind: "note-added",
  text: id,
});
