/** Migrations run before the first request: a database that cannot be opened stops the server at its start. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { services } = await import("./server/services");
  services();
}
