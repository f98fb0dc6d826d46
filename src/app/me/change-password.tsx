"use client";

import { toast } from "sonner";
import { call } from "@/edge/client";
import { CHANGE_PASSWORD } from "@/edge/contracts/people";
import { Asked, needed, useAsked } from "@/ui/kit/asked";
import { TextField } from "@/ui/kit/text-field";
import { NewPassword } from "@/ui/people/new-password";

export function ChangePassword({ name }: { name: string }) {
  const form = useAsked({ old: "", password: "" });
  const { isSubmitting } = form.formState;
  const change = form.handleSubmit(async (said) => {
    const done = await call(CHANGE_PASSWORD, { body: said });
    if (done.ok) {
      form.reset();
      toast("It is changed. Everywhere else you are signed out.");
      return;
    }
    const refusedNew = done.error.kind === "refused" && done.error.status === 422;
    form.setError(refusedNew ? "password" : "old", { message: done.error.problems[0]?.message ?? "" });
  });
  return (
    <form className="flex flex-col gap-3" onSubmit={change}>
      {/* Whose it is, for what keeps passwords in the browser. */}
      <input type="text" hidden readOnly autoComplete="username" value={name} />
      <Asked form={form} name="old" refuse={needed("Write the one you have.")}>
        {(field) => (
          <TextField
            label="The one you have"
            secret
            autoComplete="current-password"
            maxLength={300}
            {...field}
          />
        )}
      </Asked>
      <Asked form={form} name="password" refuse={needed("Choose a password.")}>
        {(field) => <NewPassword label="The new one" {...field} />}
      </Asked>
      <button type="submit" className="btn btn-go self-start" disabled={isSubmitting}>
        {isSubmitting ? "Changing …" : "Change it"}
      </button>
    </form>
  );
}
