import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { knownTrouble } from "@/server/trouble/all-trouble";
import { NotForYou } from "@/ui/people/not-for-you";
import { KnowledgeEditor } from "./knowledge-editor";

export const metadata: Metadata = { title: "What may be wrong" };

export default async function FamilyPage({ params }: { params: Promise<{ family: string }> }) {
  const all = services();
  const known = knownTrouble(all, pathId((await params).family));
  if (known === undefined) notFound();
  const { knowledge, own, ships, learnt } = known;
  const sheet = all.library.sheets().find(({ family }) => family === knowledge.family);
  return (
    <>
      <NotForYou asks="planner" />
      <KnowledgeEditor
        key={knowledge.revision}
        first={knowledge}
        own={own && ships}
        learnt={learnt.map(({ found, complaint, place }) => ({ found, complaint, place }))}
        names={{
          parts: sheet?.parts.map(({ id, name }) => ({ id, name })) ?? [],
          symptoms: sheet?.symptoms.map(({ id, says }) => ({ id, name: says })) ?? [],
          checks: sheet?.checks.map(({ id, ask }) => ({ id, name: ask })) ?? [],
        }}
      />
    </>
  );
}
