import type { Metadata } from "next";
import { feedKey } from "@/server/access/feed";
import { services } from "@/server/services";
import { readEntered } from "../settings";
import { RoundsScreen } from "./rounds-screen";

export const metadata: Metadata = { title: "Rounds" };
export const dynamic = "force-dynamic";

export default async function RoundsPage() {
  const entered = await readEntered();
  const all = services();
  const places = all.things
    .all("place")
    .flatMap(({ name, lat, lon }) => (lat === undefined || lon === undefined ? [] : [name]))
    .sort();
  return <RoundsScreen feedKey={entered && (await feedKey(all, entered.person))} places={places} />;
}
