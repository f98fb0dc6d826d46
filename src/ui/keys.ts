/** Whether a key press belongs to a field the person is typing in, or to an open dialog. */
export function typing(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return target?.closest("input, textarea, select, [contenteditable], [role=dialog]") !== null;
}

/** Keys of the job runner, shown with `?`. */
export const KEYS: readonly (readonly [string, string])[] = [
  ["Enter", "Done: go on; held down where something is let loose"],
  ["Backspace", "Undo the newest entry"],
  ["M", "Measure: into the reading field"],
  ["N", "Note"],
  ["R", "Read the card aloud"],
  ["A", "The axis"],
  ["T", "The tray"],
  ["L", "The line"],
  ["S", "Stop work"],
  ["/", "Find"],
  ["Ctrl K", "Commands"],
  ["?", "These keys"],
];
