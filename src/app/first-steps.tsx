import clsx from "clsx";
import { Check } from "lucide-react";
import Link from "next/link";
import type { FirstHour, FirstStep } from "@/server/today/first-hour";
import { BellShape } from "@/ui/draw/rope";
import { Panel } from "@/ui/page";

const STEPS: Readonly<
  Record<FirstStep, { readonly title: string; readonly says: string; readonly href: string }>
> = {
  people: {
    title: "Who are you?",
    says: "Entries are signed by name. Add yourself, then the others, with what each may do.",
    href: "/crew/new",
  },
  place: {
    title: "A place",
    says: "The site: how one gets in, what can hurt there, who is told before.",
    href: "/places/new",
  },
  line: {
    title: "A line",
    says: "Choose what is nearest to your piping and say how many. Then a job knows what to shut.",
    href: "/lines/new",
  },
  valve: {
    title: "Valves on it",
    says: "Register each under the sheet of its model; a row of equal ones at once.",
    href: "/valves/new",
  },
  sheet: {
    title: "A sheet of your own model",
    says: "The library’s sheets are to learn on. Make your own from the build of its family, with your maker’s figures, before real work.",
    href: "/sheets/new",
  },
  store: {
    title: "What lies in van and shop",
    says: "Then a job says which kit to take, and what is missing.",
    href: "/store/new",
  },
};

/** An empty Loft Bell: nothing rings yet, and this is how it begins, one step after the other. */
export function FirstSteps({ hour }: { hour: FirstHour }) {
  return (
    <div className="mx-auto flex max-w-[760px] flex-col gap-5 px-5 py-8">
      <svg width={90} height={84} viewBox="16 6 72 76" aria-hidden="true">
        <BellShape ringing={false} />
      </svg>
      <h1 className="font-bold text-figure leading-tight">Nothing rings yet.</h1>
      <p className="text-lead text-soft">
        Loft Bell needs to know who works here, where your valves stand and how they are built. An hour is
        enough for the first of them.
      </p>
      <Steps hour={hour} />
      <p>
        You have it in files already?{" "}
        <Link href="/loft/import" className="underline underline-offset-4">
          Bring in a register
        </Link>
        , or any list as CSV: its columns are matched.
      </p>
    </div>
  );
}

/** What is still to be set up, beside what rings already. */
export function StillToSetUp({ hour }: { hour: FirstHour }) {
  if (hour.next === undefined) return null;
  const done = hour.steps.filter((each) => each.done).length;
  return (
    <Panel title="The first hour" note={`${done} of ${hour.steps.length}`}>
      <Steps hour={hour} small />
    </Panel>
  );
}

function Steps({ hour, small = false }: { hour: FirstHour; small?: boolean }) {
  return (
    <ol className={clsx("flex flex-col", small ? "dashed" : "gap-2")}>
      {hour.steps.map(({ step, done }, index) => {
        const { title, says, href } = STEPS[step];
        const next = step === hour.next;
        if (small && done) return null;
        return (
          <li key={step}>
            <Link
              href={href}
              className={clsx(
                "grid grid-cols-[auto_1fr] items-center gap-4",
                small ? "min-h-12 py-1" : "card p-4",
                next && !small && "border-l-[7px] border-l-brass-line",
              )}
            >
              <span
                className={clsx(
                  "grid place-items-center rounded-full border-2 font-bold",
                  small ? "size-8" : "size-11",
                  done ? "border-go bg-go-bg text-go-text" : next ? "border-ink" : "border-rule text-soft",
                )}
              >
                {done ? <Check size={20} aria-label="done" /> : index + 1}
              </span>
              <span>
                <b className={small ? "" : "text-lead"}>{title}</b>
                {!small && <span className="block text-soft">{says}</span>}
              </span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
}
