import type { AutomaticKind } from "./letter";

/** A header as the message has it; `key` is lower case. */
export interface HeaderField {
  readonly key: string;
  readonly value: string;
}

/** Addresses from which programs send what was published elsewhere: common practice of senders, not a standard. */
const FEED = /^(?:rss|rss-?feeds?|feeds?|newsletters?|news-letter|mailings?)@/;

const AWAY_SUBJECT =
  /^\s*(?:automatic reply|auto(?:matic)?[- ]?(?:response|reply)|autoreply|out of (?:the )?office|abwesenheits(?:notiz|assistent)|automatische antwort|réponse automatique|absence du bureau|respuesta automática|fuera de la oficina|risposta automatica|fuori sede|automatisch antwoord|afwezigheid|autosvar|frånvaro|fravær|poissaolo|odpowiedź automatyczna|resposta automática|away from (?:the office|my (?:mail|desk))|(?:on )?vacation (?:reply|message))(?=[\s:!.,]|$)/iu;

/**
 * Whether people write to each other on a list, rather than one to all: it may be written to (RFC 2369 section 3.4, where "NO"
 * says that it may not), its letters answer each other, or its program says that it stood on the list already
 * (X-BeenThere: common practice of list programs, not a standard).
 */
function isDiscussion(headers: readonly HeaderField[]): boolean {
  return headers.some(
    ({ key, value }) =>
      (key === "list-post" && !/^\s*no\b/i.test(value)) || /^(?:in-reply-to|references|x-beenthere)$/.test(key),
  );
}

/**
 * Whether a machine wrote a letter, and what kind of one: by RFC 3834 (Auto-Submitted), RFC 3464 and 3798 (reports),
 * RFC 2919 and 2369 (lists), RFC 6047 (calendar programs), and the older headers that mean the same (Precedence,
 * X-Autoreply). Null for a person's letter.
 * @param calendarMethod METHOD of a calendar part, lower case; answers and cancellations are sent by calendar programs
 */
export function automaticKind(
  headers: readonly HeaderField[],
  subject: string,
  fromAddress: string,
  calendarMethod = "",
): AutomaticKind | null {
  const value = (key: string) => headers.find((header) => header.key === key)?.value.toLowerCase() ?? "";
  const has = (key: string) => headers.some((header) => header.key === key);
  const type = value("content-type");
  if (type.includes("multipart/report")) {
    if (type.includes("disposition-notification")) return "receipt";
    if (!type.includes("feedback-report")) return "bounce";
  }
  const returnPath = value("return-path").trim();
  if (
    /^(?:mailer-daemon|postmaster)@/.test(fromAddress) &&
    (returnPath === "<>" || /undeliver|delivery|returned|failure/i.test(subject))
  )
    return "bounce";
  const submitted = value("auto-submitted").trim();
  if (
    submitted.startsWith("auto-replied") ||
    has("x-autoreply") ||
    has("x-autorespond") ||
    has("x-mail-autoreply") ||
    value("precedence") === "auto_reply"
  )
    return "automatic reply";
  if (AWAY_SUBJECT.test(subject)) return "automatic reply";
  if (/^(?:request|reply|cancel|counter|declinecounter|refresh|add)$/.test(calendarMethod)) return "calendar";
  if (/^\s*text\/calendar/.test(type)) return "calendar";
  if (
    has("list-id") ||
    has("list-post") ||
    has("list-unsubscribe") ||
    /^(?:bulk|junk)$/.test(value("precedence").trim())
  )
    return isDiscussion(headers) ? "list" : "newsletter";
  if (FEED.test(fromAddress)) return "newsletter";
  if (value("precedence").trim() === "list") return "list";
  if (submitted !== "" && !submitted.startsWith("no")) return "notice";
  return null;
}
