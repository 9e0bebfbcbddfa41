import { failureWords } from "./failure-words";
import type { FailedDelivery } from "./letter";

/** The fields of one block of a delivery-status part; names lower case, folded lines joined (RFC 3464 section 2.1). */
function fieldsOf(block: string): Map<string, string> {
  const fields = new Map<string, string>();
  for (const line of block.replace(/\n[ \t]+/g, " ").split("\n")) {
    const colon = line.indexOf(":");
    if (colon > 0) fields.set(line.slice(0, colon).trim().toLowerCase(), line.slice(colon + 1).trim());
  }
  return fields;
}

/** "rfc822; somebody@example.com", "<somebody@example.com>" and what servers make of it; null without an address. */
function recipient(value: string): string | null {
  return /<?([^\s<>;"]+@[^\s<>;"]+)>?/.exec(value.replace(/^[\w-]+\s*;/, ""))?.[1]?.toLowerCase() ?? null;
}

/**
 * Everybody whom a message/delivery-status part says was not reached, or not yet (RFC 3464 sections 2.2 and 2.3; the codes
 * of RFC 3463). Where a server has rewritten an address, the one that was written to counts.
 */
export function deliveryReports(content: string): FailedDelivery[] {
  const reports = new Map<string, FailedDelivery>();
  for (const block of content.replace(/\r\n?/g, "\n").split(/\n[ \t]*\n/)) {
    const fields = fieldsOf(block);
    const action = fields.get("action")?.toLowerCase() ?? "";
    const isDelayed = action.startsWith("delayed");
    // "error" is what one widespread server writes against the standard.
    if (!isDelayed && !/^(?:fail|error)/.test(action)) continue;
    const address = recipient(fields.get("original-recipient") ?? "") ?? recipient(fields.get("final-recipient") ?? "");
    if (!address) continue;
    const said = (fields.get("diagnostic-code") ?? "").replace(/^[\w-]+\s*;\s*/, "");
    reports.set(address, { address, isDelayed, why: failureWords(fields.get("status") ?? "", said) });
  }
  return [...reports.values()];
}
