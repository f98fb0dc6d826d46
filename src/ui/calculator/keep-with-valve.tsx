"use client";

import { BookmarkPlus } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { toast } from "sonner";
import type { Calculator, MeasuredOutput } from "@/core/calculators";
import { askOrKeep } from "@/device/acts";
import { deviceStore } from "@/device/store";
import { call } from "@/edge/client";
import { clockAhead } from "@/edge/clock";
import { FIND } from "@/edge/contracts/here";
import { TAKE_BACK } from "@/edge/contracts/register";
import { useFigures } from "@/ui/use-figures";
import { Asked, needed, useAsked } from "../kit/asked";
import { SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import { Modal } from "../modal";
import { newId } from "../new-id";
import { Notice } from "../notice";
import { useSettings } from "../settings";
import { saidOf } from "./answer-card";
import type { CalculatorForm } from "./use-calculator";

const UNDO_MS = 60_000;
const NO_VALVE = "Choose a valve of the register: type its tag.";

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
export function KeepWithValve({ calculator, form: bench }: { calculator: Calculator; form: CalculatorForm }) {
  const { system } = useSettings();
  const figures = useFigures();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const form = useAsked({ valve: "", output: "" });
  const { errors, isSubmitting } = form.formState;
  const choices = keepable(calculator, bench);
  const near = useValvesNear(form.watch("valve"));
  if (choices.length === 0) return null;
  const chosen = choices.find((each) => each.name === form.watch("output")) ?? choices[0]!;
  const keep = form.handleSubmit(async ({ valve }) => {
    // Asked again, as what is offered while typing may lag behind a quick hand.
    const found = await call(FIND, { query: { words: valve } });
    // Without signal the tag is taken as it was typed: the server looks it up when it is handed in.
    const away = !found.ok && found.error.kind === "no-signal";
    if (!found.ok && !away) return form.setError("root", { message: found.error.problems[0]?.message ?? "" });
    const tag = found.ok ? tagOf(found.value.hits, valve) : valve.trim();
    if (tag === undefined) return form.setError("valve", { message: NO_VALVE }, { shouldFocus: true });
    const at = Date.now() - clockAhead();
    const says = `${tag}: ${saidOf(chosen, bench.answer!.outputs, figures)}`;
    const kept = await askOrKeep(
      deviceStore(),
      "keepResult",
      {
        params: { tag },
        body: { calculator: calculator.id, inputs: { ...bench.typed }, output: chosen.name, system, at },
      },
      { id: newId(), says, at },
    );
    if (kept.kind === "refused")
      return form.setError("root", { message: kept.error.problems[0]?.message ?? "" });
    setOpen(false);
    if (kept.kind === "waits") {
      toast(`${says}: on this device, and with the valve when there is a signal.`);
      return;
    }
    const { id } = kept.value;
    toast(`Kept with ${tag}: ${saidOf(chosen, bench.answer!.outputs, figures)}`, {
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
  });
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
        <form className="flex flex-col gap-3" onSubmit={keep}>
          <Asked form={form} name="valve" refuse={needed(NO_VALVE)}>
            {(field) => (
              <TextField
                label="Valve"
                offered={near.map((valve) => ({ value: valve.name, says: valve.says }))}
                {...field}
              />
            )}
          </Asked>
          <Asked form={form} name="output">
            {({ onChange }) => (
              <SelectField
                label="Figure"
                value={chosen.name}
                options={choices.map((each) => ({
                  id: each.name,
                  name: `${each.label}: ${saidOf(each, bench.answer!.outputs, figures)}`,
                }))}
                onChange={onChange}
              />
            )}
          </Asked>
          {errors.root !== undefined && (
            <Notice tone="stop" live>
              {errors.root.message}
            </Notice>
          )}
          <button type="submit" className="btn btn-go" disabled={isSubmitting}>
            {isSubmitting ? "Keeping …" : "Keep it"}
          </button>
        </form>
      </Modal>
    </>
  );
}
