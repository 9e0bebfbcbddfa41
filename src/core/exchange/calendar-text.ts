import type ICAL from "ical.js";
import type { Priority } from "../reading/slip";

/** PRIORITY, RFC 5545 section 3.8.1.9: 1 is the highest, 5 medium, 9 the lowest. */
export const PRIORITY_VALUES: Readonly<Record<Priority, number>> = { top: 1, high: 3, normal: 5, low: 9 };

/** The lines of an object, ended and folded as RFC 5545 section 3.1 has it: CR LF, at most 75 octets a line. */
export function calendarText(root: ICAL.Component): string {
  const unfolded = root.toString().replace(/\r?\n[ \t]/g, "");
  return `${unfolded
    .split(/\r?\n/)
    .filter((line) => line !== "")
    .map(folded)
    .join("\r\n")}\r\n`;
}

const LONGEST_LINE = 75;

function folded(line: string): string {
  const encoder = new TextEncoder();
  const lines: string[] = [];
  let current = "";
  let size = 0;
  for (const sign of line) {
    const bytes = encoder.encode(sign).length;
    if (size + bytes > LONGEST_LINE) {
      lines.push(current);
      current = " ";
      size = 1;
    }
    current += sign;
    size += bytes;
  }
  lines.push(current);
  return lines.join("\r\n");
}
