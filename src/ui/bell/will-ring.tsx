"use client";

import { useEffect, useState } from "react";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { type MayNotify, mayNotify } from "./notify";
import { sound } from "./sound";
import { makesTones } from "./tone";
import { canStayAwake } from "./use-awake";

interface Means {
  readonly tone: boolean;
  readonly shakes: boolean;
  readonly notified: MayNotify;
  readonly awake: boolean;
  /** It goes into a pocket, and is locked there. */
  readonly locks: boolean;
}

/** Says before a wait begins how its end will be heard here, and what this browser cannot do. */
export function WillRing() {
  const words = useSpeaker().say.ringing.will;
  const { tone } = useSettings();
  const [means, setMeans] = useState<Means>();
  useEffect(() => {
    const locks = matchMedia("(pointer: coarse)").matches;
    setMeans({
      tone: tone === "on" && makesTones(),
      shakes: locks && "vibrate" in navigator,
      notified: mayNotify(),
      awake: canStayAwake(),
      locks,
    });
  }, [tone]);
  if (means === undefined) return null;
  const allow = async () => {
    const notified = await Notification.requestPermission();
    setMeans({ ...means, notified });
  };
  const said = [
    words.rings,
    means.tone ? words.tone : words.noTone,
    ...(means.shakes ? [words.shakes] : []),
    ...(means.notified === "granted" ? [words.notified] : []),
  ];
  return (
    <div className="text-note text-soft">
      <p>
        {said.join(", ")}. {means.notified === "denied" && words.denied}
      </p>
      {means.locks && (
        <p className="font-semibold text-ink">{means.awake ? words.locked : words.lockedNoAwake}</p>
      )}
      <p className="mt-1.5 flex flex-wrap gap-2">
        <button type="button" className="btn btn-quiet" onClick={() => void sound("alarm", means.tone)}>
          {words.tryIt}
        </button>
        {means.notified === "default" && (
          <button type="button" className="btn btn-quiet" onClick={() => void allow()}>
            {words.allow}
          </button>
        )}
      </p>
    </div>
  );
}
