"use client";

import { useState } from "react";
import type { Trouble } from "@/core/formats";
import { findComplaints } from "@/core/trouble";
import { Choices } from "@/ui/kit/choices";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import type { CaseInHand } from "./use-trouble";

const FROM = [
  { id: "site", label: "I am there" },
  { id: "telephone", label: "Somebody is on the telephone" },
] as const;

/** What the customer says: picked, or typed and found. */
export function ComplaintForm({
  knowledge,
  reported,
  onBegin,
}: {
  knowledge: Trouble;
  reported: string | undefined;
  onBegin: (begun: Pick<CaseInHand, "complaint" | "says" | "from">) => void;
}) {
  const [typed, setTyped] = useState(reported ?? "");
  const [from, setFrom] = useState<CaseInHand["from"]>("site");
  const found = findComplaints(knowledge, typed);
  return (
    <section className="flex max-w-[760px] flex-col gap-4" aria-label="What is wrong">
      <Choices
        label="Where do you ask from?"
        options={FROM}
        value={from}
        onChange={(to) => setFrom(to as CaseInHand["from"])}
      />
      <div className="card flex flex-col gap-3 p-4">
        <TextField
          label="What do they say?"
          hint="In their words. What fits moves up."
          value={typed}
          onChange={setTyped}
          maxLength={400}
          placeholder="e.g. the far bed stays dry"
        />
        <ul className="flex flex-col gap-2">
          {found.map((complaint) => (
            <li key={complaint.id}>
              <button
                type="button"
                className="btn btn-quiet min-h-14 w-full justify-start text-left text-lead"
                onClick={() =>
                  onBegin({ complaint: complaint.id, says: typed.trim() || complaint.says, from })
                }
              >
                {complaint.says}
                {complaint.danger !== undefined && (
                  <span className="plate ml-auto shrink-0 text-stop">danger</span>
                )}
              </button>
            </li>
          ))}
        </ul>
      </div>
      <Notice tone="stop">
        It smells of gas or burns in the throat, people are ill, water is hot enough to scald, a fire: people
        first. Get them out, ring the emergency number, then come back here.
      </Notice>
    </section>
  );
}
