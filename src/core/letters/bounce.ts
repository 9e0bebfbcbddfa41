import type { Email } from "postal-mime";
import { deliveryReports } from "./delivery-status";
import { addressesInNotice } from "./failure-notice";
import type { Bounce } from "./letter";

/** Characters of a report that are looked through; what follows is the returned letter. */
const LONGEST_NOTICE = 60_000;

const DELIVERY_STATUS = /^(?:content-type:\s*)?message\/(?:global-)?delivery-status/im;

function textOf(content: unknown): string {
  if (typeof content === "string") return content;
  return new TextDecoder("utf-8").decode(content as ArrayBuffer);
}

/** Message-ID of the returned letter: of the part that returns it, of the report's headers, or of the text below the notice. */
function returnedId(mail: Email, text: string): string | null {
  for (const part of mail.attachments) {
    if (!/^(?:message\/rfc822|text\/rfc822-headers|message\/global)/.test(part.mimeType)) continue;
    const found = /^message-id:\s*<([^<>\s]{1,250})>/im.exec(textOf(part.content).slice(0, LONGEST_NOTICE));
    if (found) return found[1]!;
  }
  return /^[>\s]*message-id:\s*<([^<>\s]{1,250})>/im.exec(text)?.[1] ?? null;
}

/**
 * Reads a report of a failed delivery: by its machine part (RFC 3464) where it has one, else by the words that mail servers
 * write. Addresses are lower case. Null where nobody is named whom the letter did not reach.
 */
export function readBounce(mail: Email, text: string): Bounce | null {
  const notice = text.slice(0, LONGEST_NOTICE);
  const reports = mail.attachments
    .map((part) => ({ type: part.mimeType, content: textOf(part.content).slice(0, LONGEST_NOTICE) }))
    // Gateways pass a report on as a letter within a letter.
    .filter(({ type, content }) => DELIVERY_STATUS.test(type === "message/rfc822" ? content : type))
    .flatMap(({ content }) => deliveryReports(content));
  const header = mail.headers.find((one) => one.key === "x-failed-recipients")?.value ?? "";
  const named = header.split(/[,\s]+/).filter((one) => one.includes("@"));
  const own = new Set([mail.from?.address, mail.to?.[0]?.address].map((one) => one?.toLowerCase() ?? ""));
  const failed =
    reports.length > 0
      ? reports
      : named.length > 0
        ? named.map((address) => ({ address: address.toLowerCase(), isDelayed: false, why: "" }))
        : addressesInNotice(notice, own, mail.from?.address?.split("@")[1] ?? "");
  return failed.length > 0 ? { failed, returnedId: returnedId(mail, notice) } : null;
}
