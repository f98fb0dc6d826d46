import type { Certificates } from "@/core/formats";

/** What each of the crew may do alone, by name. */
export type Crew = ReadonlyMap<string, Certificates>;
