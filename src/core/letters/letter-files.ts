import { filesOf, readMime } from "./mime";

/** The bytes of the `index`-th file of a raw message; null where there is no such part. */
export async function letterFile(raw: Uint8Array, index: number): Promise<Uint8Array | null> {
  const file = (await filesOf(await readMime(raw)))[index];
  return file ? new Uint8Array(file.part.content as ArrayBuffer) : null;
}

/** The HTML of a raw message as its writer laid it out; null where it has none. Not safe to show: see `safeHtml`. */
export async function letterHtml(raw: Uint8Array): Promise<string | null> {
  const { html } = await readMime(raw);
  return html?.trim() ? html : null;
}
