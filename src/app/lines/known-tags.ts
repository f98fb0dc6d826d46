import type { Services } from "@/server/services";
import type { KnownTag } from "./[id]/edit/tag-field";

/** More tags than these are not offered: they are typed. */
const MOST_OFFERED = 3000;

/** Valves that can stand at a place of a line. */
export const knownTags = ({ register, now }: Services): KnownTag[] =>
  register
    .list({ sort: "tag", down: false, from: 0, most: MOST_OFFERED, now: now() })
    .rows.map(({ tag, name, line }) => ({ tag, name, line: line ?? undefined }));
