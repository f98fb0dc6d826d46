/** Under which address this server was asked: what is printed or fed elsewhere leads back to it. Its host was checked. */
export function originOf(request: Request): string {
  const { host, protocol } = new URL(request.url);
  const scheme = request.headers.get("x-forwarded-proto") === "https" ? "https:" : protocol;
  return `${scheme}//${request.headers.get("host") ?? host}`;
}
