import { kindOf } from "../book/kinds";
import type { Services } from "../services";
import type { Owned } from "./save-thing";

/** The id a form was opened with, when there is something by it; nothing for a new thing. */
export const knownAs = (services: Services, kind: Owned, id: string): string | undefined =>
  kindOf(kind).find(services, id) === undefined ? undefined : id;
