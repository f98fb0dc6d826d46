"use client";

import clsx from "clsx";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { type Item, type Move, plainNumber } from "@/core/formats";
import { askOrKeep } from "@/device/acts";
import { deviceStore } from "@/device/store";
import { Counter } from "@/ui/kit/counter";
import { DateField } from "@/ui/kit/date-field";
import { SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { newId } from "@/ui/new-id";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useBooked } from "@/ui/store/use-booked";
import { pcs } from "../store-words";

interface BookPlace {
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly aside: readonly { readonly for: string; readonly quantity: number }[];
  /** Days until which some of them hold. */
  readonly days: readonly string[];
}

type ByHand = Exclude<Move, "used">;

const MOVES: readonly { readonly kind: ByHand; readonly name: string; readonly verb: string }[] = [
  { kind: "in", name: "Came in", verb: "Book in" },
  { kind: "out", name: "Given out", verb: "Book out" },
  { kind: "back", name: "Brought back", verb: "Book back in" },
  { kind: "moved", name: "Moved", verb: "Move" },
  { kind: "counted", name: "Counted", verb: "Keep the count" },
  { kind: "scrapped", name: "Thrown away", verb: "Book off" },
  { kind: "aside", name: "Put aside", verb: "Put aside" },
  { kind: "freed", name: "Free again", verb: "Free" },
];

/** Fields that say themselves what is wrong with them; of the pieces it is said by the button. */
const AT_FIELD: ReadonlySet<string> = new Set(["price", "until", "to", "why"]);

/** Books one movement of an item: what, where, how many. */
export function BookIt({
  store,
  item,
  name,
  currency,
  places,
}: {
  store: string;
  item: Item;
  name: string;
  currency: string;
  places: readonly BookPlace[];
}) {
  const router = useRouter();
  const booked = useBooked();
  const [kind, setKind] = useState<ByHand>("in");
  const [at, setAt] = useState(places.find(({ pieces }) => pieces > 0)?.id ?? places[0]?.id ?? "");
  const [to, setTo] = useState("");
  const [pieces, setPieces] = useState(1);
  const [price, setPrice] = useState("");
  const [until, setUntil] = useState("");
  const [why, setWhy] = useState("");
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const place = places.find(({ id }) => id === at);
  const { verb } = MOVES.find((each) => each.kind === kind)!;
  const some = places.some((each) => each.aside.length > 0);
  const book = async () => {
    const cost = kind === "in" ? plainNumber(price) : undefined;
    const asks: Record<string, string> = {
      ...(kind === "moved" && to === "" && { to: "Choose where it is moved to." }),
      ...(cost !== undefined && !(cost >= 0) && { price: "Write the price as a number: 14.50." }),
      ...((kind === "aside" || kind === "freed") && why.trim() === "" && { why: "Say what for." }),
    };
    setWrong(asks);
    if (Object.keys(asks).length > 0) return;
    setBusy(true);
    const id = newId();
    const asked = {
      params: { id: store },
      body: {
        movements: [
          {
            id,
            kind,
            item,
            name,
            place: at,
            quantity: pieces,
            ...(kind === "moved" && { to }),
            ...(cost !== undefined && { price: cost }),
            ...((kind === "in" || kind === "scrapped") && until !== "" && { until }),
            ...(why.trim() !== "" && { why: why.trim() }),
            ...(kind === "counted" && place !== undefined && { was: place.pieces }),
          },
        ],
      },
    };
    const says = `${name}: ${verb.toLowerCase()}, ${pcs(pieces)}`;
    const done = await askOrKeep(deviceStore(), "moveStock", asked, { id, says, at: Date.now() });
    setBusy(false);
    if (done.kind === "waits") {
      toast(`${says}. On this device until there is a signal.`);
      return;
    }
    if (done.kind === "refused")
      return setWrong(
        Object.fromEntries(
          done.error.problems.map(({ path, message }) => {
            const field = path.split("/").at(-1) ?? "";
            return [AT_FIELD.has(field) ? field : "", message];
          }),
        ),
      );
    booked(
      `${verb}: ${pcs(pieces)}.`,
      done.value.entries.map(({ id }) => id),
    );
    setWhy("");
    setPrice("");
    setUntil("");
    setPieces(1);
    router.refresh();
  };
  const error = (field: string) => (wrong[field] === undefined ? {} : { error: wrong[field] });
  if (places.length === 0)
    return (
      <Panel title="Book it">
        <p className="text-soft">This store has no place of its own. Add a van or a shop first.</p>
      </Panel>
    );
  return (
    <Panel title="Book it">
      <div className="flex flex-col gap-3">
        <fieldset>
          <legend className="sr-only">What happened</legend>
          <div className="grid grid-cols-2 gap-1.5">
            {MOVES.filter((each) => each.kind !== "freed" || some).map((each) => (
              <label
                key={each.kind}
                className={clsx(
                  "flex min-h-12 items-center gap-2 rounded border-[1.5px] px-3",
                  kind === each.kind ? "border-ink bg-sunk font-semibold" : "border-rule",
                )}
              >
                <input
                  type="radio"
                  name="move"
                  className="size-5 accent-[var(--ink)]"
                  checked={kind === each.kind}
                  onChange={() => {
                    setKind(each.kind);
                    setPieces(each.kind === "counted" ? (place?.pieces ?? 0) : 1);
                    setWrong({});
                  }}
                />
                {each.name}
              </label>
            ))}
          </div>
        </fieldset>
        <SelectField
          label={kind === "moved" ? "From" : "Place"}
          value={at}
          options={places.map(({ id, name, pieces }) => ({ id, name: `${name}: ${pcs(pieces)}` }))}
          onChange={(next) => {
            setAt(next);
            if (kind === "counted") setPieces(places.find(({ id }) => id === next)?.pieces ?? 0);
          }}
        />
        {kind === "moved" && (
          <SelectField
            label="To"
            value={to}
            options={places.filter(({ id }) => id !== at)}
            onChange={setTo}
            {...error("to")}
          />
        )}
        <Counter label={kind === "counted" ? "Lie there" : "Pieces"} count={pieces} onCount={setPieces} />
        {kind === "in" && (
          <TextField
            label="Price of one"
            mark={`${currency}, if it is another one`}
            value={price}
            onChange={setPrice}
            {...error("price")}
          />
        )}
        {kind === "in" && (
          <DateField
            label="May be used until"
            mark="if it ages"
            hint="Stands on the bag of rubber parts, on locker and paste."
            value={until}
            onChange={setUntil}
            {...error("until")}
          />
        )}
        {kind === "scrapped" && place !== undefined && place.days.length > 0 && (
          <SelectField
            label="Of which"
            value={until}
            options={[
              { id: "", name: "whatever runs out first" },
              ...place.days.map((day) => ({ id: day, name: `those until ${day}` })),
            ]}
            onChange={setUntil}
          />
        )}
        {kind === "freed" ? (
          <SelectField
            label="What it was for"
            value={why}
            options={(place?.aside ?? []).map((each) => ({
              id: each.for,
              name: `${each.for}: ${pcs(each.quantity)}`,
            }))}
            onChange={setWhy}
            {...error("why")}
          />
        ) : (
          <TextField
            label={kind === "aside" ? "What for" : "Why"}
            mark={kind === "aside" ? "a job, a round" : "if it should be known"}
            value={why}
            onChange={setWhy}
            maxLength={200}
            {...error("why")}
          />
        )}
        {wrong[""] !== undefined && (
          <Notice tone="stop" live>
            <b>Nothing was booked.</b> {wrong[""]}
          </Notice>
        )}
        <button
          type="button"
          className="btn btn-go min-h-14 text-lead"
          disabled={busy}
          onClick={() => void book()}
        >
          {busy ? "Booking …" : verb}
        </button>
      </div>
    </Panel>
  );
}
