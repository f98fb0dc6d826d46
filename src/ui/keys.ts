/** Whether a key press belongs to a field the person is typing in, or to an open dialog. */
export function typing(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return target?.closest("input, textarea, select, [contenteditable], [role=dialog]") !== null;
}

/** Keys of the job runner, shown with `?`. */
export const KEYS: readonly (readonly [string, string])[] = [
  ["Enter", "Done: go on"],
  ["Backspace", "Undo the newest entry"],
  ["M", "Measure: into the reading field"],
  ["N", "Note"],
  ["T", "The tray"],
  ["L", "The line"],
  ["S", "Stop work"],
  ["/", "Find"],
  ["Ctrl K", "Commands"],
  ["?", "These keys"],
];
