"use client";

import { createContext, type ReactNode, useContext } from "react";
import type { UnitSystem } from "@/core/quantity";

/** What a person set for this device. */
export interface Settings {
  readonly system: UnitSystem;
  readonly theme: "light" | "dark" | "system";
  readonly motion: "on" | "off";
  readonly who: string;
}

const Context = createContext<Settings>({ system: "metric", theme: "system", motion: "on", who: "" });

export function SettingsProvider({ settings, children }: { settings: Settings; children: ReactNode }) {
  return <Context.Provider value={settings}>{children}</Context.Provider>;
}

export const useSettings = (): Settings => useContext(Context);

/** Keeps the settings of this device for a year; the server reads them with the next page. */
export function saveSettings(settings: Settings): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser a van carries
  document.cookie = `loftbell=${encodeURIComponent(JSON.stringify(settings))}; path=/; max-age=31536000; samesite=lax`;
}
