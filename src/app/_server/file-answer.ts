/** Bytes to be saved under a name, never shown: RFC 6266 with RFC 8187 for names beyond ASCII. */
export function asFile(bytes: Uint8Array, name: string, type: string): Response {
  const plain = name.replace(/[^\x20-\x7e]/g, "_").replace(/["\\]/g, "_");
  const full = encodeURIComponent(name).replace(
    /['()*]/g,
    (sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`,
  );
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": type,
      "content-length": String(bytes.length),
      "content-disposition": `attachment; filename="${plain}"; filename*=UTF-8''${full}`,
      "x-content-type-options": "nosniff",
      "content-security-policy": "default-src 'none'; sandbox",
      "cache-control": "private, no-store",
    },
  });
}
