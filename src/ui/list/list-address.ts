/** What a list shows stands in its address: a link, the way back and a reload all give the same list. */
export type ListAsk = Readonly<Record<string, string | number | undefined>>;

/** The address of a list with some of it changed; a change begins at the first page unless it is the page. */
export function listAddress(path: string, ask: ListAsk, change: ListAsk): string {
  const next = { ...ask, ...("page" in change ? {} : { page: undefined }), ...change };
  const search = new URLSearchParams(
    Object.entries(next).flatMap(([name, value]) =>
      value === undefined || value === "" || (name === "page" && value === 1) ? [] : [[name, String(value)]],
    ),
  ).toString();
  return search === "" ? path : `${path}?${search}`;
}

/** The columns that are shown: those asked for, in the list's own order, or all. */
export function shownColumns<Id extends string>(
  all: readonly Id[],
  asked: string | undefined,
): readonly Id[] {
  const wanted = new Set((asked ?? "").split(","));
  const shown = all.filter((id) => wanted.has(id));
  return shown.length === 0 ? all : shown;
}
