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
import { type BodyProps, STEP_FORM, StepForm } from "./step-form";

export function TrayBody({ step, log }: BodyProps<"tray">) {
  const words = useSpeaker();
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
        <Account says="Came off" value={`${tray.off}`} />
        <Account
          says="Back in"
          value={`${tray.back}`}
          note={renewed.length > 0 ? `of these new: ${renewed.map((item) => item.name).join(", ")}` : ""}
        />
        <Account
          says="Still on the tray"
          value={`${tray.missing.length}`}
          note={tray.missing.map((item) => item.name).join(", ")}
          bad={tray.missing.length > 0}
        />
        {tray.short.length > 0 && (
          <Account
            says="Fewer than came out of the works"
            value={`${tray.short.length}`}
            note={tray.short.map((item) => `${item.name}: ${item.counted} of ${item.quantity}`).join(", ")}
            bad
          />
        )}
        <Account
          says="Kept and refitted"
          value={`${kept.length}`}
          note={kept.map((item) => item.name).join(", ")}
        />
        <Account
          says="Right to be left over"
          value={`${step.leftovers}`}
          note={plan.kits.leftovers.map((each) => `${each.name}: ${leftoverWhy(words, each)}`).join(" ")}
        />
      </dl>
      <Counter label="Pieces left on the bench" count={left} onCount={setLeft} />
      {left !== step.leftovers && left > 0 && (
        <Asked form={form} name="what">
          {(field) => (
            <TextField
              large
              label="What is left over?"
              hint="Find out first: something that should have gone in may not have."
              {...field}
            />
          )}
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

export function SignOffBody({ step, log }: BodyProps<"sign-off">) {
  const { valve } = log.job.inputs;
  const inLine = awayFrom(log.job.inputs) === undefined;
  const statement = inLine ? "Back in service" : "Ready, not in its line";
  return (
    <SignName id={STEP_FORM} onSigned={(name) => log.add({ kind: "signed-off", statement }, { by: name })}>
      <p className="card p-4 text-body" data-step={step.id}>
        {inLine
          ? `I put ${valve.tag} back in service. Every closure of this job is open, every test is passed.`
          : `${valve.tag} is ready. It is not in its line: whoever fits it tests it there.`}
      </p>
    </SignName>
  );
}
