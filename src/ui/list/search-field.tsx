"use client";

import { useEffect, useRef, useState } from "react";

/** A pause in the typing after which the server is asked. */
const PAUSE_MS = 220;

/** What is searched for; the way down leads into the rows. */
export function SearchField({
  placeholder,
  find,
  onFind,
}: {
  placeholder: string;
  find: string;
  onFind: (find: string) => void;
}) {
  const [typed, setTyped] = useState(find);
  const told = useRef(find);
  const tell = useRef(onFind);
  tell.current = onFind;
  // The way back gives an earlier search.
  useEffect(() => {
    if (find !== told.current) setTyped(find);
    told.current = find;
  }, [find]);
  useEffect(() => {
    if (typed === told.current) return;
    const timer = setTimeout(() => {
      told.current = typed;
      tell.current(typed);
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return (
    <label className="block min-w-[200px] flex-1">
      <span className="caption block">Search</span>
      <input
        type="search"
        className="field"
        placeholder={placeholder}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "ArrowDown") return;
          event.preventDefault();
          document.querySelector<HTMLAnchorElement>("tbody a")?.focus();
        }}
      />
    </label>
  );
}
