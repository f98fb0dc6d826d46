"use client";

import { useState } from "react";
import { wrenchSetting } from "@/core/fastening";
import { WRENCH_BAND } from "@/core/job";
import { formatQuantity, type Length, parseQuantity, preferredUnit, type Torque } from "@/core/quantity";
import { useSettings } from "../settings";
import { Field, useReading } from "./step-form";

type Read =
  | { readonly kind: "ticked" }
  | { readonly kind: "read"; readonly torque_Nm: number }
  | { readonly kind: "unreadable" };

/** The torque wrench in use: what to set it to with an extension on it, and what it read, brought back to the bolt. */
export function useWrench(wanted_Nm: number | undefined) {
  const { system } = useSettings();
  const [open, setOpen] = useState(false);
  const [handle, setHandle] = useState("");
  const [extension, setExtension] = useState("");
  const reading = useReading("torque", preferredUnit("torque", system).id);
  const length = preferredUnit("length", system);
  const metres = (text: string) => {
    const read = parseQuantity(text, "length", length);
    return read.ok && read.value.si > 0 ? (read.value.si as Length) : undefined;
  };
  const [arm, reach] = [metres(handle), metres(extension)];
  /** Wrench reading over torque at the bolt: below one with an extension in line. */
  const share = arm === undefined || reach === undefined ? 1 : wrenchSetting(1 as Torque, arm, reach, 0);
  return {
    open,
    setOpen,
    handle,
    setHandle,
    extension,
    setExtension,
    length,
    reading,
    setting_Nm: wanted_Nm === undefined ? undefined : wanted_Nm * share,
    extended: share !== 1,
    clear: () => reading.setText(""),
    /** What the pull was, at the bolt; a plain tick when nothing was typed. */
    read(): Read {
      if (!open || reading.text.trim() === "") return { kind: "ticked" };
      const read = reading.read();
      return read === undefined ? { kind: "unreadable" } : { kind: "read", torque_Nm: read.si / share };
    },
  };
}

/** Readings instead of ticks, and the setting with an extension: folded away until it is wanted. */
export function WrenchPanel({
  wrench,
  limit_Nm,
}: {
  wrench: ReturnType<typeof useWrench>;
  limit_Nm?: number;
}) {
  const { system } = useSettings();
  const shown = (value: number) => formatQuantity(value, "torque", system);
  const { setting_Nm } = wrench;
  return (
    <details
      open={wrench.open}
      onToggle={(event) => wrench.setOpen(event.currentTarget.open)}
      className="card px-4 py-1"
    >
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        Read the wrench, or use an extension
        {limit_Nm !== undefined && (
          <span className="ml-2 font-normal text-soft">never above {shown(limit_Nm)}</span>
        )}
      </summary>
      <div className="grid gap-3 pb-3 sm:grid-cols-3">
        <Field
          label="Wrench read"
          hint={
            setting_Nm === undefined
              ? ""
              : `${shown(setting_Nm * (1 - WRENCH_BAND))} to ${shown(setting_Nm * (1 + WRENCH_BAND))}`
          }
          value={wrench.reading.text}
          onChange={wrench.reading.setText}
          error={wrench.reading.error}
          inputMode="decimal"
          measure
        />
        <Field
          label="Handle to drive"
          hint={`in ${wrench.length.label}`}
          value={wrench.handle}
          onChange={wrench.setHandle}
          inputMode="decimal"
        />
        <Field
          label="Extension, in line"
          hint={`in ${wrench.length.label}`}
          value={wrench.extension}
          onChange={wrench.setExtension}
          inputMode="decimal"
        />
      </div>
      {wrench.extended && setting_Nm !== undefined && (
        <p className="pb-3 text-body">
          Set the wrench to <b className="plate text-head">{shown(setting_Nm)}</b>: the extension makes the
          lever longer.
        </p>
      )}
    </details>
  );
}
