"use client";

import { INSTRUMENT_NAMES } from "@/app/crew/competence-names";
import { INSTRUMENT_KINDS, type Instrument } from "@/core/formats";
import { call } from "@/edge/client";
import { INSTRUMENTS } from "@/edge/contracts/own";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";

const sections = (keepers: readonly string[], isNew: boolean): OwnSection[] => [
  {
    title: "What it is",
    fields: [
      ...(isNew
        ? [{ kind: "words" as const, name: "id", label: "Number on it", placeholder: "e.g. IN-12" }]
        : []),
      { kind: "words", name: "name", label: "What it is", placeholder: "e.g. Test gauge 0 to 16 bar" },
      {
        kind: "choice",
        name: "kind",
        label: "Kind",
        options: INSTRUMENT_KINDS.map((id) => ({ id, name: INSTRUMENT_NAMES[id] })),
      },
      { kind: "words", name: "serial", label: "Serial" },
      {
        kind: "words",
        name: "keeper",
        label: "Who carries it, or where it lies",
        offered: keepers.map((value) => ({ value })),
      },
    ],
  },
  {
    title: "Calibration",
    fields: [
      { kind: "day", name: "calibrated", label: "Last calibrated" },
      {
        kind: "number",
        name: "every_months",
        label: "Holds for",
        mark: "months",
        hint: "Left empty it needs none.",
      },
      { kind: "words", name: "certificate", label: "Certificate" },
      ...(isNew ? [] : [{ kind: "day" as const, name: "out", label: "Out of use since" }]),
    ],
  },
];

/** An instrument, new or known. */
export function EditInstrument({
  instrument,
  keepers,
}: {
  instrument: Instrument | undefined;
  keepers: readonly string[];
}) {
  return (
    <OwnForm
      what={instrument?.id ?? "the new instrument"}
      verb={instrument === undefined ? "Add this instrument" : "Save"}
      sections={sections(keepers, instrument === undefined)}
      row={instrument ?? ({} as Instrument)}
      save={(row) =>
        call(INSTRUMENTS.save, {
          params: { id: instrument?.id ?? row.id ?? "-" },
          body: instrument === undefined ? { row } : { was: instrument, row },
        })
      }
      after={() => "/instruments"}
      cancel="/instruments"
    />
  );
}
