"use client";

import { useEffect, useState } from "react";
import { wrenchSetting } from "@/core/fastening";
import type { TakenWith } from "@/core/formats";
import { WRENCH_BAND } from "@/core/job";
import { type Length, preferredUnit, type Torque } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { useHasKind } from "../instruments/connected";
import { useAsked } from "../kit/asked";
import { AskedFigure } from "../kit/asked-figure";
import { blankFigure, type Figure, isEmpty, readFigure, readWith, refuseFigure } from "../kit/figure";
import { useSettings } from "../settings";
import { useSpeaker } from "../use-speaker";

/** What a pull was, at the bolt; nothing of a plain tick. */
interface Pulled {
  readonly reading_Nm?: number;
  readonly with?: TakenWith;
}

/** What may be left out is only refused when it cannot be read. */
const ifGiven = (dimension: "torque" | "length") => (figure: Figure) =>
  isEmpty(figure) ? undefined : refuseFigure(dimension)(figure);

const metres = (figure: Figure): Length | undefined => {
  const read = readFigure(figure, "length");
  return read.ok && read.value.si > 0 ? (read.value.si as Length) : undefined;
};

/** The torque wrench in use: what to set it to with an extension on it, and what it read, brought back to the bolt. */
export function useWrench(wanted_Nm: number | undefined) {
  const { system } = useSettings();
  const [open, setOpen] = useState(false);
  const connected = useHasKind("torque-wrench");
  // A wrench that reads is read.
  useEffect(() => {
    if (connected) setOpen(true);
  }, [connected]);
  const length = preferredUnit("length", system).id;
  const form = useAsked({
    read: blankFigure(preferredUnit("torque", system).id),
    handle: blankFigure(length),
    extension: blankFigure(length),
  });
  const [arm, reach] = form.watch(["handle", "extension"]).map(metres);
  /** Wrench reading over torque at the bolt: below one with an extension in line. */
  const share = arm === undefined || reach === undefined ? 1 : wrenchSetting(1 as Torque, arm, reach, 0);
  return {
    open,
    setOpen,
    form,
    setting_Nm: wanted_Nm === undefined ? undefined : wanted_Nm * share,
    extended: share !== 1,
    clear: () => form.resetField("read"),
    /** Hands over what the pull was, at the bolt; nothing for a plain tick, and not at all what cannot be read. */
    whenRead: (pulled: (pull: Pulled) => void) => {
      const read = form.handleSubmit((said) => {
        const torque = readFigure(said.read, "torque");
        pulled(torque.ok ? { reading_Nm: torque.value.si / share, ...readWith(torque.value) } : {});
      });
      return () => (open ? void read() : pulled({}));
    },
  };
}

const FIELDS = ["handle", "extension"] as const;

/** Readings instead of ticks, and the setting with an extension: folded away until it is wanted. */
export function WrenchPanel({
  wrench,
  limit_Nm,
}: {
  wrench: ReturnType<typeof useWrench>;
  limit_Nm?: number;
}) {
  const { quantity } = useFigures();
  const words = useSpeaker().say.card.wrench;
  const shown = (value: number) => quantity(value, "torque");
  const { setting_Nm, form } = wrench;
  return (
    <details
      open={wrench.open}
      onToggle={(event) => wrench.setOpen(event.currentTarget.open)}
      className="card px-4 py-1"
    >
      <summary className="min-h-12 cursor-pointer content-center font-semibold">
        {words.title}
        {limit_Nm !== undefined && (
          <span className="ml-2 font-normal text-soft">{words.never(shown(limit_Nm))}</span>
        )}
      </summary>
      <div className="grid gap-3 pb-3 sm:grid-cols-2 sm:[&>*:first-child]:col-span-2">
        <AskedFigure
          form={form}
          name="read"
          refuse={ifGiven("torque")}
          measure
          label={words.read}
          hint={
            setting_Nm === undefined
              ? ""
              : words.band(shown(setting_Nm * (1 - WRENCH_BAND)), shown(setting_Nm * (1 + WRENCH_BAND)))
          }
          dimension="torque"
          inputMode="decimal"
        />
        {FIELDS.map((name) => (
          <AskedFigure
            key={name}
            form={form}
            name={name}
            refuse={ifGiven("length")}
            label={words[name]}
            dimension="length"
            inputMode="decimal"
          />
        ))}
      </div>
      {wrench.extended && setting_Nm !== undefined && (
        <p className="pb-3 text-body">
          {words.setTo} <b className="plate text-head">{shown(setting_Nm)}</b>
          {words.longer}
        </p>
      )}
    </details>
  );
}
