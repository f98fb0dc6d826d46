import type { AskedField } from "../kit/asked";
import { TextField } from "../kit/text-field";

/** A password that somebody chooses; what is wrong with it the server says, at this field. */
export const NewPassword = ({ label, ...field }: AskedField<string> & { label: string }) => (
  <TextField
    label={label}
    hint="Ten signs or more; three words are easy to keep."
    secret
    autoComplete="new-password"
    maxLength={300}
    {...field}
  />
);
