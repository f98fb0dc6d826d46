import { err } from "@/core/result";
import { PUT_PIECE } from "@/edge/contracts/jobs";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { storePiece } from "@/server/jobs/photo-pieces";
import { PHOTO_STATUS } from "@/server/jobs/photos";

export const PUT = route(
  PUT_PIECE,
  async ({ params: { id, photo, from }, query: { of }, body, services }) => {
    const stored = await storePiece(services, { job: id, photo, from: Number(from), of }, body);
    if (stored.ok) return stored;
    const [status, title] = PHOTO_STATUS[stored.error.kind];
    return err(refusal(status, title, stored.error.problems));
  },
);
