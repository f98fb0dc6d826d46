"use client";

import { PlugZap } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { Modal } from "../modal";
import { useSpeaker } from "../use-speaker";
import { useHowMany } from "./connected";

const InstrumentPanel = dynamic(() => import("./instrument-panel").then((made) => made.InstrumentPanel), {
  ssr: false,
});

/** What is connected, one touch away from every card. */
export function InstrumentsSwitch() {
  const words = useSpeaker().say.instruments;
  const [open, setOpen] = useState(false);
  const many = useHowMany();
  return (
    <>
      <button
        type="button"
        aria-label={many === 0 ? words.open : words.connected(many)}
        title={words.open}
        onClick={() => setOpen(true)}
        className="relative grid size-12 shrink-0 place-items-center rounded-full border-[1.5px] border-rule bg-card"
      >
        <PlugZap size={22} aria-hidden="true" />
        {many > 0 && (
          <span
            aria-hidden="true"
            className="plate absolute -top-1 -right-1 grid size-5 place-items-center rounded-full bg-go text-fine text-paper"
          >
            {many}
          </span>
        )}
      </button>
      {open && (
        <Modal wide open onOpenChange={setOpen} title={words.title} says={words.says}>
          <InstrumentPanel />
        </Modal>
      )}
    </>
  );
}
