"use client";

import clsx from "clsx";
import { useState } from "react";
import { awayFrom } from "@/core/job";
import { leftoverWhy } from "@/words";
import { Asked, useAsked } from "../kit/asked";
import { Counter } from "../kit/counter";
import { TextField } from "../kit/text-field";
import { useSpeaker } from "../use-speaker";
import { SignName } from "../who-picker";
import { PhotoStrip } from "./photo-strip";
import { type BodyProps, STEP_FORM, StepForm } from "./step-form";
import { TickLines } from "./tick-lines";

/** The tag, with a photograph of it for whoever reads it next. */
export function TagBody({ step, log }: BodyProps<"tag">) {
  return (
    <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
      <PhotoStrip log={log} step={step.id} take />
    </StepForm>
  );
}

export function TrayBody({ step, log }: BodyProps<"tray">) {
  const words = useSpeaker();
  const { account } = words.say.card;
  const { tray, plan } = log.job;
  const [left, setLeft] = useState(0);
  const form = useAsked({ what: "" });
  const kept = tray.items.filter((item) => item.keep !== undefined);
  const renewed = tray.items.filter((item) => item.place === "renewed");
  const done = form.handleSubmit(({ what }) => {
    const entry = left === step.leftovers || what.trim() === "" ? `${left}` : `${left}: ${what.trim()}`;
    log.add({ kind: "step-done", step: step.id, entry });
  });
  return (
    <StepForm onDone={done}>
      <dl className="card dashed px-4 py-1">
        <Account says={account.off} value={`${tray.off}`} />
        <Account
          says={account.back}
          value={`${tray.back}`}
          note={
            renewed.length > 0 ? account.new(words.say.common.commas(renewed.map((item) => item.name))) : ""
          }
        />
        <Account
          says={account.still}
          value={`${tray.missing.length}`}
          note={words.say.common.commas(tray.missing.map((item) => item.name))}
          bad={tray.missing.length > 0}
        />
        {tray.short.length > 0 && (
          <Account
            says={account.short}
            value={`${tray.short.length}`}
            note={words.say.common.commas(
              tray.short.map((item) => account.counted(item.name, item.counted, item.quantity)),
            )}
            bad
          />
        )}
        <Account
          says={account.kept}
          value={`${kept.length}`}
          note={words.say.common.commas(kept.map((item) => item.name))}
        />
        <Account
          says={account.leftOver}
          value={`${step.leftovers}`}
          note={plan.kits.leftovers.map((each) => `${each.name}: ${leftoverWhy(words, each)}`).join(" ")}
        />
      </dl>
      <TickLines step={step} log={log} />
      <Counter label={account.left} count={left} onCount={setLeft} />
      {left !== step.leftovers && left > 0 && (
        <Asked form={form} name="what">
          {(field) => <TextField large label={account.what} hint={account.whatHint} {...field} />}
        </Asked>
      )}
    </StepForm>
  );
}

function Account({
  says,
  value,
  note = "",
  bad = false,
}: {
  says: string;
  value: string;
  note?: string;
  bad?: boolean;
}) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-4 py-2">
      <dt>
        {says}
        {note && <small className="block text-note text-soft">{note}</small>}
      </dt>
      <dd className={clsx("plate text-head", bad && "text-stop")}>{value}</dd>
    </div>
  );
}

/** The one who looked at it as the second person writes the name: the other signs the job. */
export function SecondSignatureBody({ step, log }: BodyProps<"second-signature">) {
  return (
    <SignName
      id={STEP_FORM}
      onSigned={(name) => log.add({ kind: "step-done", step: step.id }, { by: name })}
    />
  );
}

export function SignOffBody({ step, log }: BodyProps<"sign-off">) {
  const { signOff } = useSpeaker().say.card;
  const { valve } = log.job.inputs;
  const inLine = awayFrom(log.job.inputs) === undefined;
  const statement = signOff.statement[inLine ? "inLine" : "away"];
  return (
    <SignName id={STEP_FORM} onSigned={(name) => log.add({ kind: "signed-off", statement }, { by: name })}>
      <p className="card p-4 text-body" data-step={step.id}>
        {signOff[inLine ? "inLine" : "away"](valve.tag)}
      </p>
    </SignName>
  );
}
