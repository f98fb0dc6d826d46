"use client";

import { BookmarkPlus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import type { Calculator, MeasuredOutput } from "@/core/calculators";
import { call } from "@/edge/client";
import { FIND } from "@/edge/contracts/here";
import { KEEP_RESULT, TAKE_BACK } from "@/edge/contracts/register";
import { Modal } from "../modal";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { saidOf } from "./answer-card";
import type { CalculatorForm } from "./use-calculator";

const UNDO_MS = 60_000;

/** Valves whose tag or name begins with what was typed. */
function useValvesNear(typed: string): readonly { readonly name: string; readonly says: string }[] {
  const [near, setNear] = useState<readonly { readonly name: string; readonly says: string }[]>([]);
  useEffect(() => {
    if (typed.trim() === "") return setNear([]);
    const stop = new AbortController();
    void call(FIND, { query: { words: typed }, signal: stop.signal }).then((answer) => {
      if (answer.ok) setNear(answer.value.hits.filter((hit) => hit.kind === "valve"));
    });
    return () => stop.abort();
  }, [typed]);
  return near;
}

/** The tag as the register writes it, of the valve that was typed. */
const tagOf = (hits: readonly { readonly kind: string; readonly name: string }[], typed: string) =>
  hits.find((hit) => hit.kind === "valve" && hit.name.toLowerCase() === typed.trim().toLowerCase())?.name;

/** Figures of an answer that can be kept as a reading. */
export const keepable = (calculator: Calculator, form: CalculatorForm): readonly MeasuredOutput[] =>
  calculator.outputs.filter(
    (output): output is MeasuredOutput =>
      output.kind !== "named" && form.answer?.outputs[output.name] !== undefined,
  );

/** Keeps one figure of the answer as a reading of a valve; taken back with one touch. */
export function KeepWithValve({ calculator, form }: { calculator: Calculator; form: CalculatorForm }) {
  const { system } = useSettings();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [typedTag, setTag] = useState("");
  const [output, setOutput] = useState("");
  const [refusal, setRefusal] = useState<string>();
  const [sending, setSending] = useState(false);
  const choices = keepable(calculator, form);
  const near = useValvesNear(typedTag);
  if (choices.length === 0) return null;
  const chosen = choices.find((each) => each.name === output) ?? choices[0]!;
  const keep = async () => {
    if (typedTag.trim() === "") {
      setRefusal("Choose a valve of the register: type its tag.");
      return;
    }
    setSending(true);
    // Asked again, as what is offered while typing may lag behind a quick hand.
    const found = await call(FIND, { query: { words: typedTag } });
    const tag = found.ok && tagOf(found.value.hits, typedTag);
    if (!tag) {
      setSending(false);
      setRefusal(
        found.ok ? "Choose a valve of the register: type its tag." : found.error.problems[0]?.message,
      );
      return;
    }
    const kept = await call(KEEP_RESULT, {
      params: { tag },
      body: { calculator: calculator.id, inputs: { ...form.typed }, output: chosen.name, system },
    });
    setSending(false);
    if (!kept.ok) {
      setRefusal(kept.error.problems[0]?.message);
      return;
    }
    setOpen(false);
    setRefusal(undefined);
    const { id } = kept.value;
    toast(`Kept with ${tag}: ${saidOf(chosen, form.answer!.outputs)}`, {
      // Long enough to look at the valve and come back with gloves on.
      duration: UNDO_MS,
      closeButton: true,
      action: {
        label: "Undo",
        onClick: () =>
          void call(TAKE_BACK, { params: { tag, id: String(id) } }).then((gone) =>
            toast(gone.ok ? `Taken back from ${tag}.` : "It could not be taken back."),
          ),
      },
    });
    router.refresh();
  };
  return (
    <>
      <button type="button" className="btn btn-go" onClick={() => setOpen(true)}>
        <BookmarkPlus size={20} aria-hidden /> Keep with a valve
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title="Keep with a valve"
        says="It stands among the valve's readings, with your name and what it was worked out from."
      >
        <label className="block font-semibold" htmlFor="keep-valve">
          Valve
          <input
            id="keep-valve"
            className="field mt-1 font-normal"
            list="keep-valves"
            autoComplete="off"
            value={typedTag}
            onChange={(event) => setTag(event.target.value)}
          />
        </label>
        <datalist id="keep-valves">
          {near.map((valve) => (
            <option key={valve.name} value={valve.name}>
              {valve.says}
            </option>
          ))}
        </datalist>
        <label className="block font-semibold" htmlFor="keep-output">
          Figure
          <select
            id="keep-output"
            className="field mt-1 font-normal"
            value={chosen.name}
            onChange={(event) => setOutput(event.target.value)}
          >
            {choices.map((each) => (
              <option key={each.name} value={each.name}>
                {each.label}: {saidOf(each, form.answer!.outputs)}
              </option>
            ))}
          </select>
        </label>
        {refusal !== undefined && (
          <Notice tone="stop" live>
            {refusal}
          </Notice>
        )}
        <button type="button" className="btn btn-go" disabled={sending} onClick={() => void keep()}>
          {sending ? "Keeping …" : "Keep it"}
        </button>
      </Modal>
    </>
  );
}
