/** Where our pages are, as seen from outside: JAM_URL, else the address that was asked. */
export function ourAddress(headers: Headers): string {
  const set = process.env.JAM_URL?.replace(/\/+$/, "");
  if (set) return set;
  const host = headers.get("x-forwarded-host") ?? headers.get("host") ?? "localhost";
  const scheme = headers.get("x-forwarded-proto") ?? "http";
  return `${scheme}://${host}`;
}
