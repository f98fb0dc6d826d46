import type { LostConsumer } from "@/core/isolation";
import type { Speaker } from "./speaker";

/** Who goes without, or keeps cold water alone. */
export const lostName = ({ say }: Speaker, { name, left }: LostConsumer): string =>
  left === "cold" ? say.isolation.coldAlone(name) : name;
