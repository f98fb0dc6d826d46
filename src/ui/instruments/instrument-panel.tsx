/// <reference types="w3c-web-serial" />
"use client";

import clsx from "clsx";
import { useEffect, useState } from "react";
import { INSTRUMENT_KINDS, type Instrument } from "@/core/formats";
import {
  type Broken,
  faultOf,
  HIDES,
  type Hides,
  identityOf,
  ranOut,
  registeredAs,
  runsOutOn,
} from "@/core/instruments";
import { timeNow } from "@/edge/clock";
import { noReadingWords, shownFigure } from "@/words";
import { SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { Day, useNow } from "../when";
import { type Plugged, usePlugged, useRegister } from "./connected";
import { hide, hiding } from "./remembered";
import { learnRegister } from "./resume";
import { cable, connect } from "./ways";

/** What is connected, its battery and calibration; what can be connected; and how one is broken on purpose. */
export function InstrumentPanel() {
  const { instruments: words } = useSpeaker().say;
  const plugged = usePlugged();
  const register = useRegister();
  useEffect(() => void learnRegister(), []);
  return (
    <div className="grid gap-5 pt-3 lg:grid-cols-[1.15fr_1fr]">
      <section aria-label={words.title} className="flex min-w-0 flex-col gap-3">
        {plugged.length === 0 && <p className="card dashed px-4 py-6 text-soft">{words.none}</p>}
        {plugged.map((one) => (
          <Connected key={one.id} one={one} register={register ?? []} />
        ))}
      </section>
      <div className="flex min-w-0 flex-col gap-5">
        <SimulatedOnes plugged={plugged} register={register} />
        <Gateway />
        <Cable />
      </div>
    </div>
  );
}

function Connected({ one, register }: { one: Plugged; register: readonly Instrument[] }) {
  const words = useSpeaker();
  const { instruments: say } = words.say;
  useNow(1000);
  const { hello, battery, readings } = one.heard;
  const name = hello?.name ?? one.name;
  const fault = faultOf(one.heard, timeNow());
  const known = hello === undefined ? undefined : registeredAs(register, hello.serial);
  const until = known && runsOutOn(known);
  const over = until !== undefined && ranOut(until, timeNow());
  return (
    <article aria-label={name} className="card flex flex-col gap-2 p-3">
      <header className="flex flex-wrap items-baseline gap-x-3">
        <b className="text-lead">{name}</b>
        {hello !== undefined && <span className="plate">{hello.serial}</span>}
        <span className="text-note text-soft">{say.by[one.by]}</span>
        {battery !== undefined && (
          <span className={clsx("plate ml-auto", battery < 15 && "text-wait")}>
            {say.state.battery(battery)}
          </span>
        )}
      </header>
      {fault === undefined ? (
        <p className="plate flex flex-wrap gap-x-5 text-head tabular-nums">
          {[...readings].map(([channel, { value, unit }]) => (
            <span key={channel}>{value === undefined ? `--- ${unit}` : shownFigure(words, value, unit)}</span>
          ))}
        </p>
      ) : (
        <p role="status" className="rounded border-wait border-l-[6px] bg-wait-bg px-3 py-2">
          {one.by === "socket" && hello === undefined && fault.kind === "gone"
            ? say.panel.cannotReach(one.name)
            : noReadingWords(words, fault, String)}
        </p>
      )}
      {hello !== undefined && (
        <p
          className={clsx("text-note", known === undefined || over ? "font-semibold text-wait" : "text-soft")}
        >
          {known === undefined
            ? say.doubt.notRegistered
            : known.every_months === undefined
              ? say.state.needsNone
              : until === undefined
                ? say.doubt.neverCalibrated
                : over && say.doubt.calibrationOver(until)}
          {until !== undefined && !over && (
            <>
              {say.state.calibratedUntil} <Day at={Date.parse(until)} />
            </>
          )}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {one.broken !== undefined && one.handles.breakIt !== undefined && (
          <BreakIt one={one} broken={one.broken} onBreak={one.handles.breakIt} />
        )}
        {(one.unplugged === true || fault?.kind === "gone") && (
          <button type="button" className="btn btn-go" onClick={one.handles.again}>
            {one.unplugged === true ? say.panel.plugIn : say.panel.again}
          </button>
        )}
        {one.unplugged !== true && (
          <button type="button" className="btn btn-quiet" onClick={one.handles.unplug}>
            {say.panel.unplug}
          </button>
        )}
        <button
          type="button"
          className="btn btn-quiet"
          aria-label={say.panel.disconnect(name)}
          onClick={one.handles.letGo}
        >
          {say.panel.letGo}
        </button>
      </div>
    </article>
  );
}

const WAYS = ["freeze", "drift", "garble"] as const;
const FLAG = { freeze: "frozen", drift: "drifts", garble: "garbled" } as const satisfies Record<
  (typeof WAYS)[number],
  keyof Broken
>;

/** A simulated instrument is broken on purpose, to see what is said of it. */
function BreakIt({ one, broken, onBreak }: { one: Plugged; broken: Broken; onBreak: (to: Broken) => void }) {
  const { panel } = useSpeaker().say.instruments;
  return (
    <fieldset className="flex flex-wrap gap-2" aria-label={`${panel.breakIt}: ${one.name}`}>
      {WAYS.map((way) => (
        <button
          key={way}
          type="button"
          aria-pressed={broken[FLAG[way]]}
          className={clsx("btn", broken[FLAG[way]] ? "btn-stop" : "btn-quiet")}
          onClick={() => onBreak({ ...broken, [FLAG[way]]: !broken[FLAG[way]] })}
        >
          {panel[way]}
        </button>
      ))}
    </fieldset>
  );
}

/** One of each kind, by the name and serial it has in the register. */
function SimulatedOnes({
  plugged,
  register,
}: {
  plugged: readonly Plugged[];
  register: readonly Instrument[] | undefined;
}) {
  const { panel } = useSpeaker().say.instruments;
  const [hides, setHides] = useState<Hides>("by-the-valve");
  useEffect(() => setHides(hiding()), []);
  const here = new Set(plugged.flatMap(({ by, heard }) => (by === "simulated" ? [heard.hello?.serial] : [])));
  return (
    <section aria-label={panel.simulated}>
      <h3 className="caption">{panel.simulated}</h3>
      <p className="mb-2 text-note text-soft">{panel.simulatedSays}</p>
      <div className="mb-3 flex flex-wrap gap-2">
        {register === undefined && (
          <span role="status" className="text-soft">
            {panel.asking}
          </span>
        )}
        {(register === undefined ? [] : INSTRUMENT_KINDS.map((kind) => identityOf(kind, register)))
          .filter(({ serial }) => !here.has(serial))
          .map((is) => (
            <button
              key={is.kind}
              type="button"
              className="btn btn-quiet"
              aria-label={panel.connectSimulated(is.name)}
              onClick={() => connect({ by: "simulated", is })}
            >
              {is.name}
            </button>
          ))}
      </div>
      <SelectField
        label={panel.hides}
        value={hides}
        options={HIDES.map((id) => ({ id, name: panel.hide[id] }))}
        onChange={(to) => {
          hide(to as Hides);
          setHides(to as Hides);
        }}
      />
    </section>
  );
}

const ADDRESS = /^wss?:\/\/[^\s/]+(\/\S*)?$/;

function Gateway() {
  const { panel } = useSpeaker().say.instruments;
  const [address, setAddress] = useState("");
  const [wrong, setWrong] = useState<string>();
  return (
    <section aria-label={panel.gateway}>
      <h3 className="caption">{panel.gateway}</h3>
      <p className="mb-2 text-note text-soft">{panel.gatewaySays}</p>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const to = address.trim();
          if (!ADDRESS.test(to)) return setWrong(panel.addressWrong);
          try {
            connect({ by: "socket", address: to });
            setAddress("");
            setWrong(undefined);
          } catch {
            setWrong(panel.cannotReach(to));
          }
        }}
      >
        <div className="min-w-[min(12em,100%)] flex-1">
          <TextField
            label={panel.address}
            hint={panel.addressHint}
            error={wrong}
            value={address}
            onChange={(to) => {
              setAddress(to);
              setWrong(undefined);
            }}
          />
        </div>
        <button type="submit" className="btn btn-go">
          {panel.connect}
        </button>
      </form>
    </section>
  );
}

/** What most such cables speak at. */
const SPEEDS = [9600, 19200, 57600, 115200];

function Cable() {
  const { panel } = useSpeaker().say.instruments;
  const [can, setCan] = useState(true);
  const [baud, setBaud] = useState(115200);
  useEffect(() => setCan("serial" in navigator), []);
  return (
    <section aria-label={panel.cable}>
      <h3 className="caption">{panel.cable}</h3>
      {!can ? (
        <Notice tone="wait">{panel.noSerial}</Notice>
      ) : (
        <>
          <p className="mb-2 text-note text-soft">{panel.cableSays}</p>
          <div className="flex flex-wrap items-end gap-2">
            <div className="w-36">
              <SelectField
                label={panel.speed}
                value={String(baud)}
                options={SPEEDS.map((each) => ({ id: String(each), name: `${each} baud` }))}
                onChange={(to) => setBaud(Number(to))}
              />
            </div>
            <button
              type="button"
              className="btn btn-go"
              onClick={() =>
                void navigator.serial.requestPort().then(
                  (port) => cable(port, baud),
                  // Whoever closes the list chose none.
                  () => {},
                )
              }
            >
              {panel.choosePort}
            </button>
          </div>
        </>
      )}
    </section>
  );
}
