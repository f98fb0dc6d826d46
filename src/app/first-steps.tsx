import Link from "next/link";
import { BellShape } from "@/ui/draw/rope";

/** An empty Loft Bell: nothing rings yet, and this is how it begins. */
export function FirstSteps() {
  return (
    <div className="mx-auto flex max-w-[760px] flex-col gap-5 px-5 py-10">
      <svg width={90} height={84} viewBox="16 6 72 76" aria-hidden="true">
        <BellShape ringing={false} />
      </svg>
      <h1 className="font-bold text-figure leading-tight">Nothing rings yet.</h1>
      <p className="text-lead text-soft">
        Loft Bell needs to know which valves you have, and how they are built. Begin with one of these.
      </p>
      <div className="grid gap-4 md:grid-cols-2">
        <Link href="/loft/import" className="card border-t-[7px] border-t-brass-line p-5">
          <b className="text-lead">Bring in a register</b>
          <span className="mt-1 block text-soft">
            A CSV of your valves, with the sheets, lines and stock that go with it. You see what would change
            before it does.
          </span>
        </Link>
        <Link href="/valves/new" className="card border-t-[7px] border-t-brass-line p-5">
          <b className="text-lead">Pick from the sheet library</b>
          <span className="mt-1 block text-soft">
            Choose a service sheet and register your first valve under it.
          </span>
        </Link>
      </div>
    </div>
  );
}
