"use client";

import { createContext, type ReactNode, useContext } from "react";
import type { UnitSystem } from "@/core/quantity";

/** What a person set for this device. */
export interface Settings {
  readonly system: UnitSystem;
  readonly theme: "light" | "dark" | "system";
  readonly motion: "on" | "off";
  /** The one of the crew who holds it; empty when nobody was chosen. */
  readonly who: string;
}

interface Here {
  readonly settings: Settings;
  /** Names of the crew: entries are signed by one of them. */
  readonly crew: readonly string[];
}

const Context = createContext<Here>({
  settings: { system: "metric", theme: "system", motion: "on", who: "" },
  crew: [],
});

export function SettingsProvider({
  settings,
  crew,
  children,
}: {
  settings: Settings;
  crew: readonly string[];
  children: ReactNode;
}) {
  return <Context.Provider value={{ settings, crew }}>{children}</Context.Provider>;
}

export const useSettings = (): Settings => useContext(Context).settings;
export const useCrew = (): readonly string[] => useContext(Context).crew;

/** Keeps the settings of this device for a year; the server reads them with the next page. */
export function saveSettings(settings: Settings): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser a van carries
  document.cookie = `loftbell=${encodeURIComponent(JSON.stringify(settings))}; path=/; max-age=31536000; samesite=lax`;
}
