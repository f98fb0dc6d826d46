"use client";

import { useState } from "react";
import { putBellOff } from "@/device/put-off";
import { deviceStore } from "@/device/store";
import { timeNow } from "@/edge/clock";
import type { SpokenBell } from "@/words";
import { newId } from "../new-id";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { WhoPicker } from "../who-picker";
import { silence } from "./heard";

const MINUTES = [5, 15, 60, 120] as const;

/** Puts a bell off: for how long and why, which the record keeps. */
export function PutOff({
  bell,
  onDone,
}: {
  bell: SpokenBell & { readonly job: string };
  onDone: () => void;
}) {
  const words = useSpeaker().say.ringing;
  const { who } = useSettings();
  const [minutes, setMinutes] = useState<number>(MINUTES[0]);
  const [why, setWhy] = useState("");
  const [fault, setFault] = useState<string>();
  const reasons = words.reasons[bell.kind === "impairment" ? "impairment" : "wait"];
  const put = async () => {
    const reason = why.trim();
    if (reason === "") return setFault(words.putOffWhyMissing);
    const at = timeNow();
    const asked = { job: bell.job, bell: bell.id, minutes, reason, by: who };
    try {
      await putBellOff(deviceStore(), asked, { id: newId(), at });
    } catch {
      return setFault(words.notKept);
    }
    silence(bell.id, at + minutes * 60_000);
    onDone();
  };
  if (who === "")
    return (
      <div className="flex basis-full flex-col gap-2 pb-2">
        <p>{words.whoFirst}</p>
        <WhoPicker />
      </div>
    );
  return (
    <form
      className="flex basis-full flex-col gap-2 pb-2"
      onSubmit={(event) => {
        event.preventDefault();
        void put();
      }}
    >
      <fieldset>
        <legend className="caption">{words.putOffFor}</legend>
        <div className="flex flex-wrap gap-2">
          {MINUTES.map((each) => (
            <Chip key={each} on={minutes === each} onPress={() => setMinutes(each)}>
              {words.minutes(each)}
            </Chip>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="caption">{words.putOffWhy}</legend>
        <div className="flex flex-wrap items-center gap-2">
          {reasons.map((each) => (
            <Chip
              key={each}
              on={why === each}
              onPress={() => {
                setWhy(each);
                setFault(undefined);
              }}
            >
              {each}
            </Chip>
          ))}
          <input
            className="field min-w-52 flex-1"
            aria-label={words.otherReason}
            placeholder={words.otherReason}
            maxLength={300}
            value={reasons.includes(why) ? "" : why}
            onChange={(event) => {
              setWhy(event.target.value);
              setFault(undefined);
            }}
          />
        </div>
      </fieldset>
      {fault !== undefined && (
        <Notice tone="stop" live>
          {fault}
        </Notice>
      )}
      <button type="submit" className="btn border-2 border-ink bg-card">
        {words.putOffDo(words.minutes(minutes))}
      </button>
    </form>
  );
}

function Chip({ on, onPress, children }: { on: boolean; onPress: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className={`btn ${on ? "border-2 border-ink bg-ink text-paper" : "btn-quiet bg-card"}`}
    >
      {children}
    </button>
  );
}
