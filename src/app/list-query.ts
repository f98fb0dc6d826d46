export type SearchParams = Promise<Readonly<Record<string, string | readonly string[] | undefined>>>;

/** What an address asks of a list: words are words, the page is a number, what is empty is not asked. */
export function asked(
  params: Readonly<Record<string, string | readonly string[] | undefined>>,
): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(params).flatMap(([name, value]) => {
      const text = typeof value === "string" ? value : value?.[0];
      if (text === undefined || text === "") return [];
      return [[name, name === "page" ? Number(text) : text]];
    }),
  );
}
