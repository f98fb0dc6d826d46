"use client";

import { type FormEvent, useEffect, useRef, useState } from "react";
import { typing } from "../keys";
import { STEP_FORM } from "./step-form";

/** Nobody holds a button so long by brushing against it, ms. */
export const HOLD_MS = 800;
/** Whoever cannot hold presses again, not sooner and not later than that, ms. */
const AGAIN_MS = { from: 500, to: 4000 };

const form = () => document.getElementById(STEP_FORM) as HTMLFormElement | null;

/**
 * A card that is done by a press that is held. Whatever else would hand the card in (a tap, the Enter key in a field)
 * only says so. By keys it is the Enter key that is held; a screen reader presses twice.
 *
 * @param card which card it is; what was said on the one before is said no more
 * @param asked whether this card wants it
 */
export function useHeld(card: string | undefined, asked: boolean) {
  const [holding, setHolding] = useState(false);
  const [hint, setHint] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const meant = useRef(false);
  const swallow = useRef(false);
  const refusedAt = useRef(0);
  const touchedAt = useRef(0);

  const release = () => {
    clearTimeout(timer.current);
    setHolding(false);
  };
  const touch = () => {
    touchedAt.current = Date.now();
    begin(true);
  };
  const begin = (byFinger = false) => {
    clearTimeout(timer.current);
    swallow.current = false;
    if (!asked) return;
    setHolding(true);
    timer.current = setTimeout(() => {
      setHolding(false);
      setHint(false);
      meant.current = true;
      // The click that comes when the finger goes up belongs to this card, not to the next; of a key none comes.
      swallow.current = byFinger;
      navigator.vibrate?.(60);
      form()?.requestSubmit();
      meant.current = false;
    }, HOLD_MS);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: by the card
  useEffect(() => setHint(false), [card]);
  const keys = useRef({ begin, release });
  keys.current = { begin, release };
  useEffect(() => {
    if (!asked) return;
    const down = (event: KeyboardEvent) => {
      if (event.key === "Enter" && !event.repeat && !typing(event)) keys.current.begin();
    };
    const up = (event: KeyboardEvent) => {
      if (event.key === "Enter") keys.current.release();
    };
    addEventListener("keydown", down);
    addEventListener("keyup", up);
    return () => {
      removeEventListener("keydown", down);
      removeEventListener("keyup", up);
      keys.current.release();
    };
  }, [asked]);

  return {
    holding,
    hint,
    button: {
      onPointerDown: touch,
      onPointerUp: release,
      onPointerLeave: release,
      onPointerCancel: release,
      // A long press is no wish for a menu here.
      onContextMenu: (event: { preventDefault: () => void }) => asked && event.preventDefault(),
    },
    /** Whether the click that comes now has been answered by what was held before it. */
    swallowed: (): boolean => {
      const was = swallow.current;
      swallow.current = false;
      return was;
    },
    /** Handed in without being held: said, and not done. */
    onSubmitCapture: (event: FormEvent) => {
      if (!asked || meant.current) return;
      const since = Date.now() - refusedAt.current;
      const byFinger = Date.now() - touchedAt.current < AGAIN_MS.to;
      if (!byFinger && since > AGAIN_MS.from && since < AGAIN_MS.to) {
        refusedAt.current = 0;
        setHint(false);
        return;
      }
      refusedAt.current = Date.now();
      event.preventDefault();
      event.stopPropagation();
      setHint(true);
    },
  };
}
