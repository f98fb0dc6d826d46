"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState } from "react";
import { findHere } from "@/device/find-here";
import { deviceStore } from "@/device/store";
import { call } from "@/edge/client";
import type { AnswerTo } from "@/edge/contract";
import { FIND } from "@/edge/contracts/here";
import { ENTER } from "./use-find";

type Found = AnswerTo<typeof FIND>;

const GROUPS: Readonly<Record<string, string>> = {
  valve: "Valves",
  job: "Open jobs",
  place: "Places",
  line: "Lines",
  link: "Isolating valves",
  sheet: "Sheets",
  part: "Parts",
  kit: "Kits",
  person: "The crew",
  bench: "Bench book",
};

/** Letters come faster than answers: the last word of a burst is asked for. */
const PAUSE_MS = 70;

/** What stands under the field. What was found for other letters is not what was asked for. */
type Shown =
  | { readonly kind: "nothing-typed" }
  | { readonly kind: "looking"; readonly before: Found | undefined }
  | { readonly kind: "found"; readonly found: Found }
  /** Without signal: what lies on this device. */
  | { readonly kind: "here"; readonly found: Found };

/** What the server finds for what stands in the field; without it, what lies on this device. */
function useFound(typed: string): Shown {
  const [answer, setAnswer] = useState<{
    readonly typed: string;
    readonly found: Found;
    readonly here: boolean;
  }>();
  useEffect(() => {
    if (typed.trim() === "") return;
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      const answer = await call(FIND, { query: { words: typed }, signal: stop.signal });
      if (stop.signal.aborted) return;
      if (answer.ok) return setAnswer({ typed, found: answer.value, here: false });
      const hits = await findHere(deviceStore(), typed);
      if (!stop.signal.aborted) setAnswer({ typed, found: { hits: [...hits], near: false }, here: true });
    }, PAUSE_MS);
    return () => {
      stop.abort();
      clearTimeout(timer);
    };
  }, [typed]);
  if (typed.trim() === "") return { kind: "nothing-typed" };
  if (answer?.typed !== typed) return { kind: "looking", before: answer?.found };
  return { kind: answer.here ? "here" : "found", found: answer.found };
}

/** Find and go, by `/` or Ctrl-K: looked for in the server as one types. */
export function Commands({
  open,
  onOpenChange,
  takeEarlier,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** What was typed before the field had the focus; it is given once. */
  takeEarlier: () => string;
}) {
  const router = useRouter();
  const [typed, setTyped] = useState("");
  const [chosen, setChosen] = useState("");
  const shown = useFound(typed);
  // The next search begins empty.
  const opened = useRef(open);
  useEffect(() => {
    if (opened.current && !open) setTyped("");
    opened.current = open;
  }, [open]);

  const found =
    shown.kind === "looking" ? shown.before : shown.kind === "nothing-typed" ? undefined : shown.found;
  const here = shown.kind === "here";
  // Without the server only what a browser opens anew comes from this device.
  const goTo = useCallback(
    (href: string) => {
      onOpenChange(false);
      if (here) location.assign(href);
      else router.push(href);
    },
    [here, onOpenChange, router],
  );
  const keyed = (found?.hits ?? []).map((hit, index) => ({ ...hit, key: `${index} ${hit.href}` }));
  // What was asked for comes first and Enter takes it. What is only near is not taken unless somebody chooses it.
  const sure = (here || shown.kind === "found") && found?.near !== true ? keyed[0] : undefined;
  const first = sure?.key ?? "";
  useEffect(() => setChosen(first), [first]);
  // Enter pressed while the answer is on its way waits for it: it must not open what stood there before.
  const pressed = useRef(false);
  useEffect(() => {
    if (shown.kind === "looking" || shown.kind === "nothing-typed") return;
    if (pressed.current && sure !== undefined) goTo(sure.href);
    pressed.current = false;
  }, [shown.kind, sure, goTo]);
  const kinds = [...new Set(keyed.map((hit) => hit.kind))];
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label="Find"
      shouldFilter={false}
      value={chosen}
      onValueChange={setChosen}
      overlayClassName="fixed inset-0 z-40 bg-black/45"
      contentClassName="card fixed top-[10vh] left-1/2 z-50 w-[min(620px,94vw)] -translate-x-1/2 overflow-hidden shadow-2xl"
      onKeyDown={(event) => {
        if (event.key !== "Enter" || shown.kind !== "looking") return;
        event.preventDefault();
        event.stopPropagation();
        pressed.current = true;
      }}
    >
      <Command.Input
        placeholder="Tag, place, serial, part, kit, sum …"
        value={typed}
        onValueChange={setTyped}
        onFocus={() => {
          const earlier = takeEarlier();
          if (earlier.includes(ENTER)) pressed.current = true;
          setTyped((now) => earlier.replaceAll(ENTER, "") + now);
        }}
        className="h-14 w-full border-rule border-b-[1.5px] bg-card px-5 text-lead outline-none"
      />
      <Command.List className="max-h-[56vh] overflow-y-auto p-2" aria-busy={shown.kind === "looking"}>
        {shown.kind === "nothing-typed" && (
          <p className="p-4 text-soft">
            Type a tag and press Enter. Names, places, serials, isolating valves, parts, kits, people and sums
            are found as well.
          </p>
        )}
        {shown.kind === "looking" && found === undefined && (
          <p role="status" className="p-4 text-soft">
            Looking …
          </p>
        )}
        {here && (
          <p role="status" className="p-4 text-wait">
            No signal: {keyed.length === 0 ? "nothing of that" : "only what is below"} lies on this device.
            The rest is found when there is one.
          </p>
        )}
        {shown.kind === "found" && keyed.length === 0 && (
          <p role="status" className="p-4 text-soft">
            Nothing begins with “{typed}”, and nothing is one letter away. Try a tag, a place or a part.
          </p>
        )}
        {found?.near && keyed.length > 0 && (
          // The first of the list is what Enter takes: here it is these words, and Enter takes nothing.
          <Command.Item value="near" className="min-h-11 px-3 py-2 text-wait">
            Nothing is called so. Close to it: choose one, if you mean it.
          </Command.Item>
        )}
        {kinds.map((kind) => (
          <Command.Group
            key={kind}
            heading={GROUPS[kind] ?? kind}
            className="[&_[cmdk-group-heading]]:caption [&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3"
          >
            {keyed
              .filter((hit) => hit.kind === kind)
              .map((hit) => (
                <Command.Item
                  key={hit.key}
                  value={hit.key}
                  onSelect={() => goTo(hit.href)}
                  className="min-h-11 cursor-pointer items-baseline gap-3 rounded px-3 py-2 data-[selected=true]:bg-sunk sm:flex"
                >
                  <span className="block font-semibold sm:shrink-0">{hit.name}</span>
                  <span className="block truncate text-fine text-soft">{hit.says}</span>
                </Command.Item>
              ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
