import type { Metadata } from "next";
import { services } from "@/server/services";
import { NotForYou } from "@/ui/people/not-for-you";
import { knownTags } from "../known-tags";
import { NewLine } from "./new-line";

export const metadata: Metadata = { title: "A new line" };

export default function NewLinePage() {
  return (
    <>
      <NotForYou asks="planner" />
      <NewLine tags={knownTags(services())} />
    </>
  );
}
