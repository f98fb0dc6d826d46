"use client";

import { useState } from "react";
import type { Run } from "@/core/job";
import { Modal } from "../modal";
import { SignName } from "../who-picker";

/** A few words asked for; the field is refused empty, at the field. */
function Words({
  label,
  button,
  tone,
  usual,
  onDone,
}: {
  label: string;
  button: string;
  tone: "go" | "stop";
  usual?: readonly string[];
  onDone: (text: string) => void;
}) {
  const [text, setText] = useState("");
  const [missing, setMissing] = useState(false);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === "") setMissing(true);
        else onDone(text.trim());
      }}
    >
      {usual !== undefined && (
        <div className="flex flex-wrap gap-2">
          {usual.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={text === each}
              onClick={() => setText(each)}
              className={`btn ${text === each ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
            >
              {each}
            </button>
          ))}
        </div>
      )}
      <label className="block">
        <span className="font-semibold">{label}</span>
        <textarea
          className="field mt-1"
          rows={2}
          maxLength={380}
          value={text}
          aria-invalid={missing && text.trim() === ""}
          onChange={(event) => setText(event.target.value)}
        />
        {missing && text.trim() === "" && (
          <span role="alert" className="text-stop">
            Write a few words.
          </span>
        )}
      </label>
      <button type="submit" className={`btn min-h-14 ${tone === "go" ? "btn-go" : "btn-stop"}`}>
        {button}
      </button>
    </form>
  );
}

export function NoteModal({
  open,
  onClose,
  onNote,
}: {
  open: boolean;
  onClose: () => void;
  onNote: (text: string) => void;
}) {
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title="Note">
      <Words
        label="What should be on record?"
        button="Keep the note"
        tone="go"
        onDone={(text) => {
          onNote(text);
          onClose();
        }}
      />
    </Modal>
  );
}

export function StopModal({
  open,
  onClose,
  job,
  onStop,
  onGiveUp,
}: {
  open: boolean;
  onClose: () => void;
  job: Run;
  onStop: (reason: string) => void;
  /** There as long as nothing was done to the valve or the line. */
  onGiveUp?: (reason: string) => void;
}) {
  const [mistake, setMistake] = useState(false);
  const shut =
    job.shut.length > 0
      ? `${job.shut.join(", ")} stay shut. The bell rings on every screen until this is taken up again.`
      : "Nothing is shut. The job stays open and rings.";
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title="Stop work" says={shut}>
      {onGiveUp !== undefined && (
        <button
          type="button"
          className="btn btn-quiet"
          aria-pressed={mistake}
          onClick={() => setMistake(!mistake)}
        >
          {mistake ? "No: stop it, to be taken up again" : "It was started by mistake"}
        </button>
      )}
      {onGiveUp !== undefined && mistake ? (
        <Words
          key="mistake"
          label="What was the mistake?"
          button="Close it as not begun"
          tone="stop"
          usual={["The wrong valve", "Two jobs for one", "Not needed any more"]}
          onDone={(reason) => {
            onGiveUp(reason);
            onClose();
          }}
        />
      ) : (
        <Words
          label="Why?"
          button="Stop work here"
          tone="stop"
          usual={["Too dark", "A part is missing", "Called away", "Not safe to go on"]}
          onDone={(reason) => {
            onStop(reason);
            onClose();
          }}
        />
      )}
    </Modal>
  );
}

export function ReasonModal({
  open,
  onClose,
  title,
  says,
  onReason,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  says: string;
  onReason: (reason: string) => void;
}) {
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title={title} says={says}>
      <Words
        label="Reason"
        button="Keep the reason and go on"
        tone="go"
        onDone={(reason) => {
          onReason(reason);
          onClose();
        }}
      />
    </Modal>
  );
}

/** A job that ends at triage is signed for, too. */
export function CloseModal({
  open,
  onClose,
  onSigned,
}: {
  open: boolean;
  onClose: () => void;
  onSigned: (name: string) => void;
}) {
  return (
    <Modal
      open={open}
      onOpenChange={(now) => !now && onClose()}
      title="Close the job here?"
      says="Nothing was shut and nothing was taken off. The valve stays due, and the record says why."
    >
      <SignName onSigned={onSigned}>
        <button type="submit" className="btn btn-go min-h-14">
          Sign and close
        </button>
      </SignName>
    </Modal>
  );
}
