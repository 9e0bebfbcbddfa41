import ICAL from "ical.js";

/** Characters of a calendar or card that are read. */
const LONGEST_PART = 200_000;
const LONGEST_WORDS = 160;

function text(value: unknown): string {
  return typeof value === "string" ? value.replace(/\s+/g, " ").trim() : "";
}

function calendarWords(content: string): string | null {
  const root = new ICAL.Component(ICAL.parse(content) as never);
  const entry = root.getFirstSubcomponent("vevent") ?? root.getFirstSubcomponent("vtodo");
  if (!entry) return null;
  const start = entry.getFirstPropertyValue("dtstart") ?? entry.getFirstPropertyValue("due");
  // The wall clock as the entry has it: its zone stands in the file.
  const when = start
    ? String(start)
        .replace("T", " ")
        .replace(/:\d\dZ?$/, "")
    : "";
  return [text(entry.getFirstPropertyValue("summary")), when, text(entry.getFirstPropertyValue("location"))]
    .filter((one) => one !== "")
    .join(", ");
}

function cardWords(content: string): string | null {
  const parsed = ICAL.parse(content) as unknown as unknown[];
  const card = new ICAL.Component((Array.isArray(parsed[0]) ? parsed[0] : parsed) as never);
  return ["fn", "org", "email", "tel"]
    .map((name) => text([card.getFirstPropertyValue(name)].flat()[0]))
    .filter((one) => one !== "")
    .join(", ");
}

/**
 * What a calendar part (RFC 5545) or a card (RFC 6350) is about, in one line: "Site visit, 2026-12-03 10:00, the yard" or
 * "Ada Lund, Beech & Co, ada@beech.example". Null for other types and what cannot be read.
 */
export function partWords(type: string, content: string): string | null {
  if (content.length > LONGEST_PART) return null;
  try {
    const words =
      type === "text/calendar" || type === "application/ics"
        ? calendarWords(content)
        : /^text\/(?:x-)?vcard$/.test(type) || type === "text/directory"
          ? cardWords(content)
          : null;
    return words ? words.slice(0, LONGEST_WORDS) : null;
  } catch {
    return null;
  }
}
