"use client";

import { useState } from "react";
import type { JobEvent } from "@/core/formats";
import type { Run } from "@/core/job";
import { Asked, needed, useAsked } from "../kit/asked";
import { Choices } from "../kit/choices";
import { TextField } from "../kit/text-field";
import { Modal } from "../modal";
import { useSpeaker } from "../use-speaker";
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
  const { ask } = useSpeaker().say.card;
  const form = useAsked({ text: "" });
  return (
    <form className="flex flex-col gap-3" onSubmit={form.handleSubmit(({ text }) => onDone(text.trim()))}>
      <Asked form={form} name="text" refuse={needed(ask.few)}>
        {(field) => (
          <>
            {usual !== undefined && (
              <div className="flex flex-wrap gap-2">
                {usual.map((each) => (
                  <button
                    key={each}
                    type="button"
                    aria-pressed={field.value === each}
                    onClick={() => field.onChange(each)}
                    className={`btn ${field.value === each ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
                  >
                    {each}
                  </button>
                ))}
              </div>
            )}
            <TextField long label={label} maxLength={380} {...field} />
          </>
        )}
      </Asked>
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
  const { ask, buttons } = useSpeaker().say.card;
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title={buttons.note}>
      <Words
        label={ask.note}
        button={ask.keepNote}
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
  const { ask, buttons } = useSpeaker().say.card;
  const [mistake, setMistake] = useState(false);
  const shut = job.shut.length > 0 ? ask.shut(job.shut.join(", ")) : ask.nothingShut;
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title={buttons.stopWork} says={shut}>
      {onGiveUp !== undefined && (
        <button
          type="button"
          className="btn btn-quiet"
          aria-pressed={mistake}
          onClick={() => setMistake(!mistake)}
        >
          {mistake ? ask.noMistake : ask.mistake}
        </button>
      )}
      {onGiveUp !== undefined && mistake ? (
        <Words
          key="mistake"
          label={ask.whatMistake}
          button={ask.notBegun}
          tone="stop"
          usual={ask.mistakes}
          onDone={(reason) => {
            onGiveUp(reason);
            onClose();
          }}
        />
      ) : (
        <Words
          label={ask.why}
          button={ask.stopHere}
          tone="stop"
          usual={ask.reasons}
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
  const { ask } = useSpeaker().say.card;
  return (
    <Modal open={open} onOpenChange={(now) => !now && onClose()} title={title} says={says}>
      <Words
        label={ask.reason}
        button={ask.keepReason}
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
/** What somebody else has to do now; nothing where it is put right. */
export type HandOver = Extract<JobEvent, { kind: "signed-off" }>["handedOver"];

export function CloseModal({
  open,
  onClose,
  onSigned,
}: {
  open: boolean;
  onClose: () => void;
  onSigned: (name: string, handedOver: HandOver) => void;
}) {
  const { say } = useSpeaker();
  const words = say.entries.handOver;
  const form = useAsked<{ what: "" | keyof typeof words.what; to: string }>({ what: "", to: "" });
  const what = form.watch("what");
  const sign = (name: string) =>
    void form.handleSubmit((said) => {
      if (said.what !== "")
        onSigned(name, said.what === "nothing" ? undefined : { what: said.what, to: said.to.trim() });
    })();
  return (
    <Modal
      open={open}
      onOpenChange={(now) => !now && onClose()}
      title={say.card.ask.close}
      says={say.card.ask.closeSays}
    >
      <div className="mb-3 flex flex-col gap-3">
        <Asked form={form} name="what" refuse={needed(words.whatMissing)}>
          {(field) => (
            <Choices
              label={words.ask}
              options={Object.entries(words.what).map(([id, label]) => ({ id, label }))}
              {...field}
              onChange={(id) => field.onChange(id as keyof typeof words.what)}
            />
          )}
        </Asked>
        {what !== "" && what !== "nothing" && (
          <Asked form={form} name="to" refuse={needed(words.toMissing)}>
            {(field) => <TextField label={words.to} hint={words.toHint} maxLength={200} {...field} />}
          </Asked>
        )}
      </div>
      <SignName onSigned={sign}>
        <button type="submit" className="btn btn-go min-h-14">
          {say.card.ask.sign}
        </button>
      </SignName>
    </Modal>
  );
}
