import clsx from "clsx";
import type { ReactNode } from "react";
import { Plate } from "./plate";

/** The common frame of the planner screens: a headline, what it is for, and the rest. */
export function Page({
  title,
  says,
  action,
  children,
}: {
  title: string;
  says?: string;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="mx-auto flex max-w-[1240px] flex-col gap-4 px-4 py-4 md:px-5">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="min-w-0">
          <h1 className="font-bold text-title leading-tight">{title}</h1>
          {says !== undefined && <p className="text-soft">{says}</p>}
        </div>
        {action !== undefined && (
          <div className="no-print ml-auto flex flex-wrap justify-end gap-2">{action}</div>
        )}
      </div>
      {children}
    </div>
  );
}

/** The head of a screen about one valve. On a phone its name has a line of its own below tag and action. */
export function ValveHead({
  tag,
  href,
  title,
  says,
  action,
  className,
}: {
  tag: string;
  href?: string;
  title: string;
  says: string;
  action?: ReactNode;
  className?: string;
}) {
  return (
    <header className={clsx("flex flex-wrap items-center gap-x-5 gap-y-2", className)}>
      <Plate id={tag} size="lg" {...(href !== undefined && { href })} />
      <div className="order-last min-w-0 basis-full md:order-none md:flex-1 md:basis-0">
        <h1 className="font-bold text-title leading-tight">{title}</h1>
        <p className="text-soft">{says}</p>
      </div>
      {action !== undefined && (
        <div className="no-print ml-auto flex flex-wrap justify-end gap-2">{action}</div>
      )}
    </header>
  );
}

export function Panel({
  title,
  note,
  children,
  className = "",
}: {
  title: string;
  note?: string;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={`card p-4 ${className}`}>
      <h2 className="caption mb-2 flex justify-between gap-3">
        <span>{title}</span>
        {note !== undefined && <span className="normal-case tracking-normal">{note}</span>}
      </h2>
      {children}
    </section>
  );
}
