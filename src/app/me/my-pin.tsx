"use client";

import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { SET_PIN } from "@/edge/contracts/people";
import { Asked, needed, useAsked } from "@/ui/kit/asked";
import { TextField } from "@/ui/kit/text-field";

/** A PIN is quicker with gloves on, and good on this device alone. */
export function MyPin({ has }: { has: boolean }) {
  const router = useRouter();
  const form = useAsked({ pin: "" });
  const { isSubmitting } = form.formState;
  const set = form.handleSubmit(async ({ pin }) => {
    const done = await call(SET_PIN, { body: { pin } });
    if (!done.ok) return form.setError("pin", { message: done.error.problems[0]?.message ?? "" });
    form.reset();
    toast("From now on your name and this PIN let you in here.");
    router.refresh();
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={set}>
      <p>
        {has
          ? "You have one here. Another takes its place."
          : "For a device that several share: your name and a PIN let you in, instead of the password. Five wrong ones take it away."}
      </p>
      <Asked form={form} name="pin" refuse={needed("Write four to eight figures.")}>
        {(field) => (
          <TextField
            label="PIN"
            hint="Four to eight figures."
            secret
            figures
            autoComplete="off"
            maxLength={8}
            {...field}
          />
        )}
      </Asked>
      <button type="submit" className="btn btn-go self-start" disabled={isSubmitting}>
        {isSubmitting ? "Setting …" : has ? "Change the PIN" : "Set the PIN"}
      </button>
    </form>
  );
}
