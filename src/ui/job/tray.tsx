"use client";

import clsx from "clsx";
import { useEffect, useRef } from "react";
import type { TrayAccount } from "@/core/build";
import type { Sheet } from "@/core/formats";
import { PartIcon } from "../draw/part";
import { Empty } from "../notice";
import { useSpeaker } from "../use-speaker";

/** What is off the valve, in the order it came off, and where it is now; the newest is kept in view. */
export function Tray({ tray, sheet }: { tray: TrayAccount; sheet: Sheet }) {
  const words = useSpeaker().say.card.tray;
  const list = useRef<HTMLOListElement>(null);
  const newest = tray.items.findLast((item) => item.place === "on-tray")?.order ?? tray.off;
  useEffect(() => {
    const row = list.current?.children[newest - 1] as HTMLElement | undefined;
    if (list.current && row) list.current.scrollTop = row.offsetTop - list.current.clientHeight / 2;
  }, [newest]);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <h2 className="caption flex justify-between px-3.5 pt-3 pb-1">
        <span>{words.title}</span>
        <span className={tray.balances ? "text-go-text" : ""}>
          {words.held(tray.off, tray.off - tray.back)}
        </span>
      </h2>
      {tray.items.length === 0 && (
        <div className="px-3.5">
          <Empty>{words.empty}</Empty>
        </div>
      )}
      <ol
        ref={list}
        className="dashed relative min-h-0 flex-1 overflow-y-auto px-3.5"
        tabIndex={0}
        aria-label={words.parts}
      >
        {tray.items.map((item) => {
          const part = sheet.parts.find((each) => each.id === item.part)!;
          const back = item.place !== "on-tray";
          return (
            <li
              key={item.part}
              className={clsx(
                "arrives grid min-h-[60px] grid-cols-[24px_56px_1fr] items-center gap-2 py-1",
                back && "text-soft",
              )}
            >
              <span className="plate text-lead text-soft">{item.order}</span>
              <span className={clsx(back && "opacity-50")}>
                <PartIcon part={part} size={52} lit={item.renew && !back} />
              </span>
              <span className="text-note leading-tight">
                {item.name}
                {item.quantity > 1 ? ` × ${item.counted}` : ""}
                {item.from !== undefined && !back && (
                  <span className="block text-soft">{words.cup(item.from.toLowerCase())}</span>
                )}
                <span className="mt-0.5 flex flex-wrap gap-1">
                  {back && <Tag tone="go">{item.place === "renewed" ? words.newOne : words.back}</Tag>}
                  {item.counted < item.quantity && !item.renew && (
                    <Tag tone="stop">{words.missing(item.quantity - item.counted)}</Tag>
                  )}
                  {!back && item.renew && <Tag tone="wait">{words.renew}</Tag>}
                  {item.assembly !== undefined && !back && <Tag tone="brass">{item.assembly}</Tag>}
                  {item.slackened === true && !back && <Tag tone="brass">{words.slackened}</Tag>}
                  {item.keep !== undefined && !back && <Tag tone="brass">{words.keep}</Tag>}
                  {!back && part.fit?.surface?.kind === "dry" && <Tag tone="wait">{words.dry}</Tag>}
                </span>
              </span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}

const TONES = {
  go: "bg-go-bg text-go-text",
  wait: "bg-wait-bg text-wait",
  brass: "bg-brass-bg text-ink",
  stop: "bg-stop-bg text-stop",
} as const;

function Tag({ tone, children }: { tone: keyof typeof TONES; children: string | string[] }) {
  return <i className={clsx("plate rounded-[3px] px-1.5 text-fine not-italic", TONES[tone])}>{children}</i>;
}
