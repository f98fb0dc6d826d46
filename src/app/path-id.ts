import { notFound } from "next/navigation";

/** An id as it stands in the address of a page: `Z:1` comes as `Z%3A1`. */
export function pathId(raw: string): string {
  try {
    return decodeURIComponent(raw);
  } catch {
    return notFound();
  }
}
