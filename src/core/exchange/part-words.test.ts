import { expect, test } from "vitest";
import { partWords } from "./part-words";

test("a calendar entry says what, when and where (RFC 5545, the example of section 3.6.1)", () => {
  const entry =
    "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//x//EN\r\nBEGIN:VEVENT\r\nUID:19970901T130000Z-123401@example.com\r\nDTSTAMP:19970901T130000Z\r\nDTSTART:19970903T163000Z\r\nDTEND:19970903T190000Z\r\nSUMMARY:Annual Employee Review\r\nLOCATION:Room 4\r\nCLASS:PRIVATE\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
  expect(partWords("text/calendar", entry)).toBe("Annual Employee Review, 1997-09-03 16:30, Room 4");
});

test("a card says who (RFC 6350, after the example of section 8)", () => {
  const card =
    "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Simon Perreault\r\nORG;TYPE=work:Viagenie\r\nEMAIL;TYPE=work:simon.perreault@viagenie.ca\r\nEND:VCARD\r\n";
  expect(partWords("text/vcard", card)).toBe("Simon Perreault, Viagenie, simon.perreault@viagenie.ca");
});

test("what is neither, broken or huge says nothing and harms nothing", () => {
  expect(partWords("text/csv", "a,b")).toBeNull();
  expect(partWords("text/calendar", "BEGIN:VCALENDAR\r\nnonsense")).toBeNull();
  expect(partWords("text/calendar", "x".repeat(300_000))).toBeNull();
});
