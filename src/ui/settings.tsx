"use client";

import { createContext, type ReactNode, useContext, useEffect, useState } from "react";
import { mayAs, type Role } from "@/core/people";
import type { Notation } from "@/core/quantity";
import { QUIET_USUALLY } from "@/core/ringing";

/** What a person set for this device. */
export interface Settings extends Notation {
  /** sun: black on white, for a screen that is read in it. */
  readonly theme: "light" | "dark" | "sun" | "system";
  readonly motion: "on" | "off";
  /** The hand that holds the device: what is pressed most lies under its thumb. */
  readonly hand: "right" | "left";
  /** How figures are typed where there is a touch screen: with large keys of our own, or the keyboard of the device. */
  readonly keys: "ours" | "device";
  /** Whether bells make a tone. */
  readonly tone: "on" | "off";
  /** Nothing rings that may wait from this minute of the day on, up to that one; the same twice: at any hour. */
  readonly quietFrom: number;
  readonly quietTo: number;
  /** The one of the crew who holds it; empty when nobody was chosen. */
  readonly who: string;
}

/** As what somebody signed in. */
export interface SignedIn {
  readonly name: string;
  readonly role: Role;
}

interface Here {
  readonly settings: Settings;
  /** Nothing where one need not sign in. */
  readonly signedIn: SignedIn | undefined;
  /** Names of the crew: entries are signed by one of them. */
  readonly crew: readonly string[];
}

/** What counts where nobody set anything. */
export const USUALLY: Settings = {
  system: "metric",
  mark: "point",
  theme: "system",
  motion: "on",
  hand: "right",
  keys: "ours",
  tone: "on",
  quietFrom: QUIET_USUALLY.from,
  quietTo: QUIET_USUALLY.to,
  who: "",
};

const Context = createContext<Here>({
  settings: USUALLY,
  signedIn: undefined,
  crew: [],
});

export function SettingsProvider({
  settings,
  signedIn,
  crew,
  children,
}: {
  settings: Settings;
  signedIn: SignedIn | undefined;
  crew: readonly string[];
  children: ReactNode;
}) {
  const set = useSetHere(settings, signedIn !== undefined, crew);
  return <Context.Provider value={{ settings: set, signedIn, crew }}>{children}</Context.Provider>;
}

/** Told when settings of this device were saved. */
const SAVED = "loftbell-settings";

/** A page that was taken along knows the settings of that day: what was set since goes before them. */
function useSetHere(drawn: Settings, signedIn: boolean, crew: readonly string[]): Settings {
  const [set, setSet] = useState(drawn);
  useEffect(() => {
    const read = () => {
      const { who, ...saved } = savedSettings();
      const known = who !== undefined && !signedIn && (who === "" || crew.includes(who));
      setSet({ ...drawn, ...saved, ...(known && { who }) });
    };
    read();
    addEventListener(SAVED, read);
    return () => removeEventListener(SAVED, read);
  }, [drawn, signedIn, crew]);
  return set;
}

/** What was saved on this device; the server reads the same with each page. */
function savedSettings(): Partial<Settings> {
  const kept = document.cookie.split(/;\s*/).find((each) => each.startsWith("loftbell="));
  try {
    return JSON.parse(decodeURIComponent(kept?.slice("loftbell=".length) ?? "{}")) as Partial<Settings>;
  } catch {
    // A cookie that was meddled with counts as none.
    return {};
  }
}

export const useSettings = (): Settings => useContext(Context).settings;
export const useSignedIn = (): SignedIn | undefined => useContext(Context).signedIn;
/** Whether what is asked as at least this role is offered here; the server asks in any case. */
export const useMay = (asked: Role): boolean => {
  const signedIn = useSignedIn();
  return signedIn === undefined || mayAs(signedIn.role, asked);
};
export const useCrew = (): readonly string[] => useContext(Context).crew;

/** Keeps the settings of this device for a year; the server reads them with the next page. */
export function saveSettings(settings: Settings): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser a van carries
  document.cookie = `loftbell=${encodeURIComponent(JSON.stringify(settings))}; path=/; max-age=31536000; samesite=lax`;
  dispatchEvent(new Event(SAVED));
}
