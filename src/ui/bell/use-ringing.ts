"use client";

import { useEffect, useState, useSyncExternalStore } from "react";
import { type Ringing, rings, strikesAfter } from "@/core/ringing";
import { clockAhead, timeNow } from "@/edge/clock";
import type { SpokenBell } from "@/words";
import { bellHref } from "../bell-knots";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";
import { useNow } from "../when";
import { heardHere, heardUpTo, onHeard } from "./heard";
import { notify } from "./notify";
import { soundAlone } from "./sound";
import { useMoment } from "./use-moment";

const localMinute = (at: number): number => {
  const there = new Date(at);
  return there.getHours() * 60 + there.getMinutes();
};
/** Marks the title of a page whose bell rings. */
const MARK = "\u25CF ";

/** What sounds now on this screen; it is struck, shaken and told here as well. */
export function useRinging(bells: readonly SpokenBell[]): {
  readonly ringing: readonly Ringing<SpokenBell>[];
  /** The browser makes no sound before the screen was touched. */
  readonly untouched: boolean;
} {
  const { quietFrom, quietTo, tone } = useSettings();
  const heard = useSyncExternalStore(onHeard, heardHere, () => null);
  // Behind other pages the clock of a page goes slow; what wakes it then is the moment itself.
  const ticked = useNow(1000);
  const now = ticked === null ? null : timeNow();
  const { ringing, next } =
    now === null || heard === null
      ? { ringing: [], next: undefined }
      : rings(bells, { now, quiet: { from: quietFrom, to: quietTo }, localMinute, heard });
  useMoment(next === undefined ? undefined : next + clockAhead());
  const untouched = useStrikes(ringing, tone === "on");

  // Nothing is struck that was over before this device was looked at; what nobody answered stays.
  const chimes = ringing.some(({ manner }) => manner === "chime");
  const minute = now === null ? null : Math.floor(now / 60_000);
  useEffect(() => {
    if (minute !== null && !chimes) heardUpTo(timeNow());
  }, [minute, chimes]);
  return { ringing, untouched };
}

/** Strikes what rings. @returns whether the browser held the tone back */
function useStrikes(ringing: readonly Ringing<SpokenBell>[], tone: boolean): boolean {
  const words = useSpeaker().say.ringing;
  const [heldBack, setHeldBack] = useState(false);
  const first = ringing[0];
  const newest = ringing.reduce<Ringing<SpokenBell> | undefined>(
    (latest, each) => (latest === undefined || each.since > latest.since ? each : latest),
    undefined,
  );
  const manner = first?.manner;
  const which = ringing.map(({ bell, since }) => `${bell.id}@${since}`).join(" ");
  const since = newest?.since;
  const [telling, setTelling] = useState<SpokenBell>();
  if (newest !== undefined && telling?.id !== newest.bell.id) setTelling(newest.bell);

  useEffect(() => {
    if (which === "" || manner === undefined || since === undefined || telling === undefined) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over = false;
    let told = false;
    const once = () => {
      if (told || document.hasFocus()) return;
      told = true;
      void notify({
        bell: telling.id,
        title: words.title(telling.title, telling.valve),
        says: telling.look,
        href: bellHref(telling),
      });
    };
    const go = async () => {
      const how = await soundAlone(manner, tone, once);
      if (over) return;
      setHeldBack(how === "needs-touch");
      if (manner === "alarm") timer = setTimeout(go, strikesAfter(timeNow() - since));
    };
    void go();
    // Free to sound at last: at once, and not with the next strike.
    const touch = () => {
      clearTimeout(timer);
      void go();
    };
    const untouched = navigator.userActivation?.hasBeenActive === false;
    if (untouched) addEventListener("pointerup", touch, { once: true });
    return () => {
      over = true;
      clearTimeout(timer);
      removeEventListener("pointerup", touch);
    };
  }, [which, manner, since, tone, telling, words]);
  return heldBack;
}

/** The title of the page says what rings: it is read in a row of tabs. */
export function useRingingTitle(says: string | undefined): void {
  const ticked = useNow(1000);
  useEffect(() => {
    // Each page sets its own when it is drawn.
    if (ticked === null) return;
    const own = document.title.startsWith(MARK)
      ? document.title.slice(document.title.indexOf(" · ") + 3)
      : document.title;
    const wanted = says === undefined ? own : `${MARK}${says} · ${own}`;
    if (document.title !== wanted) document.title = wanted;
  }, [says, ticked]);
}
