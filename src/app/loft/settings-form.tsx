"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Settings, saveSettings, useSettings } from "@/ui/settings";
import { WhoPicker } from "@/ui/who-picker";
import { QuietHours } from "./quiet-hours";

const CHOICES = {
  system: {
    label: "Units",
    options: [
      ["metric", "Metric"],
      ["us", "US"],
    ],
  },
  mark: {
    label: "Figures",
    options: [
      ["point", "0.4 bar"],
      ["comma", "0,4 bar"],
    ],
  },
  theme: {
    label: "Light",
    options: [
      ["system", "As the device"],
      ["light", "Light"],
      ["dark", "Dark"],
      ["sun", "In the sun"],
    ],
  },
  hand: {
    label: "Held in",
    options: [
      ["right", "The right hand"],
      ["left", "The left hand"],
    ],
  },
  keys: {
    label: "Figures are typed with",
    options: [
      ["ours", "Large keys, units and fractions"],
      ["device", "The keyboard of the device"],
    ],
  },
  tone: {
    label: "Bells",
    options: [
      ["on", "With a tone"],
      ["off", "Shown and shaken only"],
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

export function SettingsForm() {
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
    root.dataset.hand = next.hand;
    router.refresh();
  };
  return (
    <section className="card flex flex-col gap-3 p-4">
      <h2 className="caption">This device</h2>
      <div>
        <h3 className="mb-1 font-semibold">Who is holding it</h3>
        <WhoPicker onChosen={(who) => setSettings({ ...settings, who })} />
      </div>
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
      <QuietHours settings={settings} set={set} />
    </section>
  );
}
