"use client";

import dynamic from "next/dynamic";
import { useSpeaker } from "../use-speaker";

/**
 * What a job needs a moment later than its first step: the bench book and the drawn line are heavy. They are fetched as
 * soon as the card stands, so that they are there when the signal is not.
 */
const stepBench = () => import("./step-bench").then((made) => made.StepBench, orMissing);
const linePane = () => import("./line-pane").then((made) => made.LinePane, orMissing);

const modals = () => import("./modals");

/** The signal went before it was there: the card goes on without it. */
const orMissing = () => () => <Missing />;

function Missing() {
  const { card } = useSpeaker().say;
  return <p className="p-4 text-soft">{card.notFetched}</p>;
}

function Waiting() {
  const { card } = useSpeaker().say;
  return (
    <p role="status" className="p-4 text-soft">
      {card.fetching}
    </p>
  );
}

export const StepBench = dynamic(stepBench, { ssr: false });
export const LinePane = dynamic(linePane, { ssr: false, loading: Waiting });

export const NoteModal = dynamic(() => modals().then((made) => made.NoteModal), { ssr: false });
export const StopModal = dynamic(() => modals().then((made) => made.StopModal), { ssr: false });
export const ReasonModal = dynamic(() => modals().then((made) => made.ReasonModal), { ssr: false });
export const CloseModal = dynamic(() => modals().then((made) => made.CloseModal), { ssr: false });

/** Fetches all of it now. */
export function fetchLater(): void {
  void stepBench();
  void linePane();
  void modals();
}
