import { ShieldCheck, ShieldX } from "lucide-react";
import type { Names } from "@/words";
import { differenceWords, harmWords, stepTitle, truthWords } from "@/words";
import type { ProveAnswer } from "@/workers/prove.worker";
import { useSpeaker } from "../use-speaker";
import { HarmDrawing } from "./harm-drawing";

/** The worst are drawn; what follows of them seldom lies elsewhere. */
const DRAWN = 2;

/** Whether this plan was proven on the physical model, and what was tried: a touch away. */
export function ProofPanel({ answer, names }: { answer: ProveAnswer | undefined; names: Names }) {
  const words = useSpeaker();
  const { say } = words;
  if (answer === undefined)
    return (
      <p role="status" className="card p-4 text-soft">
        Trying every act of this plan …
      </p>
    );
  const { proof, tried } = answer;
  if (proof === undefined) return null;
  const found = proof.harms.length + proof.differences.length;
  const sound = found === 0;
  return (
    <details className={`card border-l-[6px] px-4 py-2 ${sound ? "border-go" : "border-stop"}`} open={!sound}>
      <summary className="flex min-h-12 cursor-pointer items-center gap-2 font-semibold">
        {sound ? (
          <ShieldCheck size={20} aria-hidden className="shrink-0 text-go-text" />
        ) : (
          <ShieldX size={20} aria-hidden className="shrink-0 text-stop" />
        )}
        {sound ? say.harms.proven(proof.acts, proof.truths) : say.harms.notProven(found)}
      </summary>
      {!sound && (
        <ul className="dashed" aria-label="Harms">
          {proof.harms.map(({ harm, step, truth }, index) => {
            const { happens, cure } = harmWords(words, harm, names);
            return (
              <li key={index} className="py-2">
                <b className="block">{stepTitle(words, step)}</b>
                {happens} <span className="text-soft">{cure}</span>
                {truth.kind !== "none" && (
                  <small className="block text-note text-soft">{truthWords(words, truth, names)}</small>
                )}
                {index < DRAWN && <HarmDrawing harm={harm} names={names} />}
              </li>
            );
          })}
          {proof.differences.map((each, index) => (
            <li key={`end ${index}`} className="py-2">
              {differenceWords(words, each, names)}
            </li>
          ))}
        </ul>
      )}
      {!sound && (
        <p className="mt-1 font-semibold">
          It can be kept as a draft. Until it is put right nobody can start a job by it.
        </p>
      )}
      <p className="mt-1 text-note text-soft">
        A small model of the line and the valve does each act of each card in turn, once for each of these:
      </p>
      <ul className="dashed pb-1 text-note">
        {[...new Set(tried.map((truth) => truthWords(words, truth, names)))].map((truth) => (
          <li key={truth} className="py-1">
            {truth}
          </li>
        ))}
      </ul>
      {sound && (
        <p className="pb-2 text-note text-soft">
          It ends with everything standing as service wants it, or stops at one of its own gates. It proves
          the plan, not the valve: local code, site procedure and the licensed person decide.
        </p>
      )}
    </details>
  );
}
