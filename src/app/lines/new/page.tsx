import type { Metadata } from "next";
import { services } from "@/server/services";
import { knownTags } from "../known-tags";
import { NewLine } from "./new-line";

export const metadata: Metadata = { title: "A new line" };

export default function NewLinePage() {
  return <NewLine tags={knownTags(services())} />;
}
