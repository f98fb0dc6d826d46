"use client";

import { useEffect, useMemo, useState } from "react";
import { type JobInputs, type Line, PLAN_RULES, type Sheet, sheetNow, type Valve } from "@/core/formats";
import { enoughOfLine } from "@/core/isolation";
import { call } from "@/edge/client";
import { GET_SHEET } from "@/edge/contracts/documents";
import { Notice } from "@/ui/notice";
import { ProofPanel } from "@/ui/proof/proof-panel";
import { useTrials } from "@/ui/proof/use-trials";
import { useSpeaker } from "@/ui/use-speaker";
import { isolationMessage } from "@/words";

/** What a sheet or a line that comes in would ask of people, tried before anybody works by it. */
export function ProvenFile({
  text,
  valves,
  inAll,
}: {
  text: string;
  /** Those that are tried, and how many stand on the line in all. */
  valves: readonly Valve[];
  inAll: number;
}) {
  const document = useMemo(() => documentIn(text), [text]);
  switch (document?.format) {
    case "loftbell.sheet":
      return <ProvenSheet sheet={document} />;
    case "loftbell.line":
      return valves.length === 0 ? null : <ProvenLine line={document} valves={valves} inAll={inAll} />;
    default:
      return null;
  }
}

/** The server has read and checked it before its plans are tried here. */
function documentIn(text: string): Sheet | Line | undefined {
  try {
    const value = JSON.parse(text) as { readonly format?: unknown };
    if (value.format === "loftbell.sheet") return sheetNow(value as Sheet);
    return value.format === "loftbell.line" ? (value as Line) : undefined;
  } catch {
    return undefined;
  }
}

function ProvenSheet({ sheet }: { sheet: Sheet }) {
  const asked = useMemo(
    () =>
      sheet.symptoms.map((symptom) =>
        trialOf({ tag: "import", name: "Import", place: "Bench", sheet: sheet.id }, sheet, symptom),
      ),
    [sheet],
  );
  return <Tried asked={asked} how="by hand, without a line" />;
}

function ProvenLine({ line, valves, inAll }: { line: Line; valves: readonly Valve[]; inAll: number }) {
  const sheets = useSheets(valves);
  const asked = useMemo(
    () =>
      valves.flatMap((valve): JobInputs[] => {
        const sheet = sheets?.get(valve.sheet);
        if (sheet === undefined) return [];
        const around = enoughOfLine(line, { open: [valve.node ?? valve.tag] });
        return sheet.symptoms.map((symptom) => ({ ...trialOf(valve, sheet, symptom), line: around }));
      }),
    [line, valves, sheets],
  );
  const which = valves.length < inAll ? `first ${valves.length} of ${inAll} ` : "";
  return <Tried asked={asked} how={`on the ${which}valves that stand on it`} />;
}

/** Sheets of these valves, as they are here. */
function useSheets(valves: readonly Valve[]): ReadonlyMap<string, Sheet> | undefined {
  const [sheets, setSheets] = useState<ReadonlyMap<string, Sheet>>();
  useEffect(() => {
    let wanted = true;
    const ids = [...new Set(valves.map(({ sheet }) => sheet))];
    void Promise.all(ids.map((id) => call(GET_SHEET, { params: { id } }))).then((answers) => {
      const found = answers.flatMap((answer) =>
        answer.ok ? [[answer.value.id, sheetNow(answer.value)] as const] : [],
      );
      if (wanted) setSheets(new Map(found));
    });
    return () => {
      wanted = false;
    };
  }, [valves]);
  return sheets;
}

function Tried({ asked, how }: { asked: readonly JobInputs[]; how: string }) {
  const answers = useTrials(asked);
  if (asked.length === 0) return null;
  const harmful = answers.find(
    ({ proof }) => (proof?.harms.length ?? 0) + (proof?.differences.length ?? 0) > 0,
  );
  if (harmful !== undefined) {
    const { sheet, line, valve } = harmful.inputs;
    return (
      <div className="mt-2">
        {line !== undefined && <p className="mb-1 font-semibold">{valve.tag}</p>}
        <ProofPanel answer={harmful} names={{ sheet, ...(line !== undefined && { line }) }} />
      </div>
    );
  }
  const went = answers.filter(({ proof, blocked }) => proof !== undefined && blocked === undefined);
  const acts = went.reduce((sum, { proof }) => sum + (proof?.acts ?? 0), 0);
  return (
    <>
      <p role="status" className="mt-1 text-note text-soft">
        {answers.length < asked.length
          ? `Trying its plans: ${answers.length} of ${asked.length} …`
          : went.length === 0
            ? `None of its ${asked.length} plans goes on to its end ${how}.`
            : `Proven ${how}: ${went.length} ${went.length === 1 ? "plan" : "plans"}, ${acts} acts, no harm.`}
      </p>
      <NotGone answers={answers} />
    </>
  );
}

/** Plans that go nowhere are no proof of anything: each valve with why. */
function NotGone({ answers }: { answers: ReturnType<typeof useTrials> }) {
  const words = useSpeaker();
  const why = new Map(
    answers.flatMap(({ inputs, proof, blocked }) => {
      const says =
        blocked !== undefined
          ? isolationMessage(words, blocked)
          : proof === undefined
            ? "Its parts cannot be reached as the sheet stands."
            : undefined;
      return says === undefined ? [] : [[inputs.valve.tag, says] as const];
    }),
  );
  if (why.size === 0) return null;
  return (
    <div className="mt-2">
      <Notice tone="wait">
        <b className="block">No job goes on by this:</b>
        {[...why].map(([tag, says]) => (
          <span key={tag} className="block">
            {tag}: {says}
          </span>
        ))}
      </Notice>
    </div>
  );
}

const trialOf = (
  valve: Valve,
  sheet: Sheet,
  { id, says, reach, renews }: Sheet["symptoms"][number],
): JobInputs => ({
  id: "import",
  valve,
  sheet,
  reason: { kind: "symptom", says, symptom: id },
  reach,
  renew: renews ?? [],
  policy: "what-was-disturbed",
  openedAt: "2026-01-01T00:00:00Z",
  openedBy: "Import",
  rules: PLAN_RULES,
});
