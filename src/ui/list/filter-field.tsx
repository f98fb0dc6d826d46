"use client";

import { useEffect, useState } from "react";
import type { ListFilter } from "./list-page";

/** What a list is narrowed by. The choice comes when the page stands: it is longer than many a list, and seldom opened. */
export function FilterField({
  filter: { label, options },
  value,
  onValue,
}: {
  filter: ListFilter;
  value: string;
  onValue: (value: string) => void;
}) {
  const [offered, setOffered] = useState(false);
  useEffect(() => setOffered(true), []);
  const there = offered ? options : options.filter(([each]) => each === value);
  // An address may narrow by what is not among the most frequent.
  const choice =
    value === "" || there.some(([each]) => each === value) ? there : [[value, value] as const, ...there];
  return (
    <label className="block min-w-0 max-w-[46%] md:max-w-[210px]">
      <span className="caption block">{label}</span>
      <select className="field min-w-0" value={value} onChange={(event) => onValue(event.target.value)}>
        <option value="">all</option>
        {choice.map(([each, text]) => (
          <option key={each} value={each}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
