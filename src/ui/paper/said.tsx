import { format } from "date-fns";
import { Fragment } from "react";
import type { Said } from "@/words";
import { Day } from "../when";

/** A sentence of a paper, its moments in the reader's zone. */
export const SaidText = ({ says }: { says: Said }) =>
  says.map((piece, index) => (
    <Fragment key={index}>
      {typeof piece === "string" ? (
        piece
      ) : piece.hour ? (
        format(piece.at, "HH:mm")
      ) : (
        <Day at={piece.at} {...(piece.time && { time: true })} />
      )}
    </Fragment>
  ));
