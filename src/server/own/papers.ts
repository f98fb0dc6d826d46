import { createHash } from "node:crypto";
import type { Paper } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import { kindOf } from "../book/kinds";
import { cleaned } from "../pictures";
import type { Services } from "../services";

const isPdf = (bytes: Uint8Array): boolean =>
  Buffer.from(bytes.subarray(0, 5)).toString("latin1") === "%PDF-";

/** Keeps a photograph or a PDF with something: a photograph made anew, a PDF as it is. */
export async function addPaper(
  services: Services,
  { of, owner, name }: Pick<Paper, "of" | "owner" | "name">,
  bytes: Uint8Array,
  by: string,
): Promise<Result<Paper, Problem[]>> {
  const { things, now, newId } = services;
  if (of !== "sheet" && kindOf(of).find(services, owner) === undefined)
    return err([{ path: "/owner", message: `There is no "${owner}" here any more.` }]);
  const picture = isPdf(bytes) ? undefined : await cleaned(bytes);
  if (picture === undefined && !isPdf(bytes))
    return err([
      {
        path: "",
        message: "This is neither a picture nor a PDF that can be read. Send a JPEG, PNG, WebP or PDF.",
      },
    ]);
  const kept = picture?.bytes ?? Buffer.from(bytes);
  const sha256 = createHash("sha256").update(kept).digest("hex");
  const paper: Paper = {
    id: newId(),
    of,
    owner,
    name,
    mime: picture === undefined ? "application/pdf" : "image/jpeg",
    bytes: kept.byteLength,
    sha256,
    ...(picture !== undefined && { width: picture.width, height: picture.height }),
    at: new Date(now()).toISOString(),
    by,
  };
  things.saveBytes(sha256, kept);
  const done = edit(services, { by, what: { kind: "added", thing: "paper", ids: [paper.id] } }, [
    { kind: "paper", id: paper.id, after: paper },
  ]);
  return done.ok ? ok(paper) : done;
}

/** Takes a paper away; its bytes stay, so that it can be brought back. */
export function removePaper(services: Services, id: string, by: string): Result<Edited, Problem[]> {
  if (services.things.one("paper", id) === undefined)
    return err([{ path: "", message: "It is not here any more." }]);
  return edit(services, { by, what: { kind: "removed", thing: "paper", ids: [id] } }, [
    { kind: "paper", id, after: undefined },
  ]);
}
