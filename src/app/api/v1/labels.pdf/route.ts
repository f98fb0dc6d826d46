import { LABEL_SHEETS } from "@/core/papers";
import { err } from "@/core/result";
import { LABELS_PDF } from "@/edge/contracts/papers";
import { originOf } from "@/edge/origin";
import { onPaperOr503 } from "@/edge/print";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { labelsOf } from "@/server/papers/labels";

export const GET = route(LABELS_PDF, async ({ query, services, request }) => {
  const labels = labelsOf(services, query, originOf(request));
  if (!labels.ok)
    return err(
      labels.error === "none"
        ? refused(404, "Nothing to label", "There is nothing here that such a label stands on.")
        : refused(422, "Too many", "More than 2400 labels at once. Choose a place, a line or a store."),
    );
  const sheet = LABEL_SHEETS.find(({ id }) => id === query.sheet) ?? LABEL_SHEETS[0]!;
  return onPaperOr503(
    { kind: "labels", sheet, skip: query.skip ?? 0, labels: labels.value },
    `labels ${query.of}`,
  );
});
