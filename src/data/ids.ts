import crypto from "node:crypto";

/** A UUID of version 7 (RFC 9562 section 5.7): sorts by the time it was made, so that new rows lie together in an index. */
export function newId(at: number = Date.now()): string {
  const bytes = crypto.randomBytes(16);
  bytes.writeUIntBE(at, 0, 6);
  bytes[6] = (bytes[6]! & 0x0f) | 0x70;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = bytes.toString("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
