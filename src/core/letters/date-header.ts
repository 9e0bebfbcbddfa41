import { MONTH, monthNumber } from "../time/date-rule";
import { dayFrom } from "../time/day";

/** Zone names that RFC 5322 section 4.3 keeps alive; every other name counts as unknown, "-0000". */
const OBSOLETE_ZONES: Readonly<Record<string, string>> = {
  ut: "+00:00",
  gmt: "+00:00",
  z: "+00:00",
  utc: "+00:00",
  est: "-05:00",
  edt: "-04:00",
  cst: "-06:00",
  cdt: "-05:00",
  mst: "-07:00",
  mdt: "-06:00",
  pst: "-08:00",
  pdt: "-07:00",
  // Not in the RFC, but met in mail from Europe; their meaning there is common practice.
  bst: "+01:00",
  cet: "+01:00",
  cest: "+02:00",
  ist: "+01:00",
};

const DATE_TIME = new RegExp(
  `^(?:[a-z]{2,9}\\.?\\s*,?\\s*)?(\\d{1,2})[\\s-]+(${MONTH})\\.?[\\s,-]+(\\d{2,4})\\s+(\\d{1,2})\\s*:\\s*(\\d{2})(?:\\s*:\\s*(\\d{2}))?(?:\\.\\d+)?\\s*([+-]\\d{3,4}|[a-z]{1,5})?`,
  "i",
);

/** The same in the order of the C library's asctime: "Mon Sep  2 14:00:00 2002". */
const ASCTIME = new RegExp(
  `^[a-z]{3,9}\\s+(${MONTH})\\s+(\\d{1,2})\\s+(\\d{1,2}):(\\d{2})(?::(\\d{2}))?(?:\\s+([+-]\\d{4}|[a-z]{1,5}))?\\s+(\\d{4})(?:\\s+([+-]\\d{4}))?`,
  "i",
);

/** What a Date header says: the instant, and the writer's offset from UTC. */
export interface SentDate {
  readonly at: number;
  readonly offset: string;
}

/** Year of a two- or three-digit figure, RFC 5322 section 4.3: 00–49 is 2000 on, 50–99 and three digits are added to 1900. */
function fullYear(text: string): number {
  const year = Number(text);
  if (text.length === 2) return year < 50 ? 2000 + year : 1900 + year;
  return text.length === 3 ? 1900 + year : year;
}

function offsetOf(zone: string | undefined): string {
  if (!zone) return "+00:00";
  const figures = /^([+-])(\d{1,2})(\d{2})$/.exec(zone);
  if (!figures) return OBSOLETE_ZONES[zone.toLowerCase()] ?? "+00:00";
  const hours = Number(figures[2]);
  const minutes = Number(figures[3]);
  return hours > 23 || minutes > 59 ? "+00:00" : `${figures[1]}${String(hours).padStart(2, "0")}:${figures[3]}`;
}

/**
 * Reads a Date header (RFC 5322 section 3.3, with the obsolete forms of 4.3). Null where no date can be read or the day
 * does not exist. `readDateHeader("Tue, 24 Nov 2026 08:12:00 +0100")` is the instant 07:12 UTC with offset "+01:00".
 */
export function readDateHeader(value: string): SentDate | null {
  // Comments in brackets may stand anywhere (section 3.2.2): "… +0200 (CEST)".
  const plain = value
    .slice(0, 200)
    .replace(/\([^()]*\)/g, " ")
    .trim();
  const usual = DATE_TIME.exec(plain);
  const asctime = usual ? null : ASCTIME.exec(plain);
  if (!usual && !asctime) return null;
  const [date, month, year, hour, minute, second, zone] = usual
    ? usual.slice(1)
    : [asctime![2], asctime![1], asctime![7], asctime![3], asctime![4], asctime![5], asctime![8] ?? asctime![6]];
  const day = dayFrom(fullYear(year!), monthNumber(month!), Number(date));
  // A leap second (60) is allowed by section 3.3 and counted as the second before.
  const seconds = Math.min(Number(second ?? 0), 59);
  if (!day || Number(hour) > 23 || Number(minute) > 59 || Number(second ?? 0) > 60) return null;
  const offset = offsetOf(zone);
  const at = Date.parse(`${day}T${hour!.padStart(2, "0")}:${minute}:${String(seconds).padStart(2, "0")}${offset}`);
  return Number.isNaN(at) ? null : { at, offset };
}
