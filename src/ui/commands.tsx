"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { typing } from "./keys";

export interface Findable {
  readonly group: string;
  readonly name: string;
  readonly words: string;
  readonly href: string;
}

/** Find and go, by `/` or Ctrl-K: valves, open jobs, lines, sheets and their parts, calculations. */
export function Commands({
  open,
  onOpenChange,
  findables,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  findables: readonly Findable[];
}) {
  const router = useRouter();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const find = event.key === "/" && !typing(event);
      const command = event.key.toLowerCase() === "k" && (event.ctrlKey || event.metaKey);
      if (!find && !command) return;
      event.preventDefault();
      onOpenChange(true);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [onOpenChange]);
  const groups = [...new Set(findables.map((each) => each.group))];
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label="Find"
      overlayClassName="fixed inset-0 z-40 bg-black/45"
      contentClassName="card fixed top-[10vh] left-1/2 z-50 w-[min(620px,94vw)] -translate-x-1/2 overflow-hidden shadow-2xl"
    >
      <Command.Input
        placeholder="Find a valve, part or sum"
        className="h-14 w-full border-rule border-b-[1.5px] bg-card px-5 text-[18px] outline-none"
      />
      <Command.List className="max-h-[56vh] overflow-y-auto p-2">
        <Command.Empty className="p-4 text-soft">Nothing found. Try a tag, a place or a part.</Command.Empty>
        {groups.map((group) => (
          <Command.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:caption [&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3"
          >
            {findables
              .filter((each) => each.group === group)
              .map((each) => (
                <Command.Item
                  key={each.href + each.name}
                  value={`${each.name} ${each.words} ${each.href}`}
                  onSelect={() => {
                    onOpenChange(false);
                    router.push(each.href);
                  }}
                  className="flex min-h-11 cursor-pointer items-baseline gap-3 rounded px-3 py-2 data-[selected=true]:bg-sunk"
                >
                  <span className="font-semibold">{each.name}</span>
                  <span className="truncate text-[14px] text-soft">{each.words}</span>
                </Command.Item>
              ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
