"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Settings, saveSettings, useSettings } from "@/ui/settings";

const CHOICES = {
  system: {
    label: "Units",
    options: [
      ["metric", "Metric"],
      ["us", "US"],
    ],
  },
  theme: {
    label: "Light",
    options: [
      ["system", "As the device"],
      ["light", "Light"],
      ["dark", "Dark"],
    ],
  },
  motion: {
    label: "Motion",
    options: [
      ["on", "On"],
      ["off", "Off"],
    ],
  },
} as const;

export function SettingsForm({ people }: { people: readonly string[] }) {
  const router = useRouter();
  const [settings, setSettings] = useState(useSettings());
  const set = (change: Partial<Settings>) => {
    const next = { ...settings, ...change };
    setSettings(next);
    saveSettings(next);
    const root = document.documentElement;
    root.dataset.theme =
      next.theme === "system"
        ? matchMedia("(prefers-color-scheme: dark)").matches
          ? "dark"
          : "light"
        : next.theme;
    root.dataset.motion = next.motion;
    router.refresh();
  };
  return (
    <section className="card flex flex-col gap-3 p-4">
      <h2 className="caption">This device</h2>
      <label className="block">
        <span className="font-semibold">Who is holding it</span>
        <input
          className="field mt-1"
          list="loft-crew"
          value={settings.who}
          onChange={(event) => set({ who: event.target.value })}
        />
        <datalist id="loft-crew">
          {people.map((person) => (
            <option key={person} value={person} />
          ))}
        </datalist>
      </label>
      {Object.entries(CHOICES).map(([key, { label, options }]) => (
        <fieldset key={key}>
          <legend className="font-semibold">{label}</legend>
          <div className="mt-1 flex flex-wrap gap-2">
            {options.map(([value, name]) => {
              const on = settings[key as keyof typeof CHOICES] === value;
              return (
                <button
                  key={value}
                  type="button"
                  aria-pressed={on}
                  onClick={() => set({ [key]: value })}
                  className={`btn ${on ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
                >
                  {name}
                </button>
              );
            })}
          </div>
        </fieldset>
      ))}
    </section>
  );
}
