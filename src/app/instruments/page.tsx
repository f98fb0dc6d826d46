import clsx from "clsx";
import type { Metadata } from "next";
import Link from "next/link";
import { INSTRUMENT_NAMES } from "@/app/crew/competence-names";
import { calibratedUntil } from "@/core/rounds";
import { services } from "@/server/services";
import { ConnectedHere } from "@/ui/instruments/connected-here";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { Day } from "@/ui/when";

export const metadata: Metadata = { title: "Instruments" };

const SOON_MS = 60 * 86_400_000;

export default function InstrumentsPage() {
  const { things, now } = services();
  const at = now();
  const all = things
    .all("instrument")
    .map((instrument) => ({ instrument, until: calibratedUntil(instrument) }));
  return (
    <Page
      title="Instruments"
      says="What readings are taken with, and until when each is to be trusted."
      action={
        <Link href="/instruments/new" className="btn btn-go">
          Add an instrument
        </Link>
      }
    >
      {all.length === 0 ? (
        <Empty>No instrument yet. Add one, or bring in a list in the Loft.</Empty>
      ) : (
        <ul className="card dashed px-4">
          {all.map(({ instrument: { id, name, kind, serial, keeper, out, every_months }, until }) => {
            const over =
              out === undefined && every_months !== undefined && (until === undefined || until <= at);
            return (
              <li
                key={id}
                className={clsx(
                  "grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-0 py-2 md:grid-cols-[8rem_1fr_16rem]",
                  out !== undefined && "text-soft",
                )}
              >
                <Plate id={id} href={`/instruments/${id}`} />
                <span className="min-w-0">
                  {name}
                  <small className="block text-note text-soft">
                    {[INSTRUMENT_NAMES[kind], serial, keeper].filter(Boolean).join(", ")}
                  </small>
                </span>
                <span
                  className={clsx(
                    "col-start-2 md:col-start-3 md:text-right",
                    over
                      ? "font-semibold text-stop"
                      : until !== undefined && until - at < SOON_MS && "text-wait",
                  )}
                >
                  {out !== undefined ? (
                    "out of use"
                  ) : every_months === undefined ? (
                    "needs none"
                  ) : until === undefined ? (
                    "never calibrated"
                  ) : (
                    <>
                      {until <= at ? "calibration ran out" : "calibrated until"} <Day at={until} />
                    </>
                  )}
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <ConnectedHere />
    </Page>
  );
}
