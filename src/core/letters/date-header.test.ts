import { expect, test } from "vitest";
import { readDateHeader } from "./date-header";

/** RFC 5322, Appendix A: the Date headers of its examples, with the instants they mean. */
const RFC_5322: readonly (readonly [string, string, string])[] = [
  ["Fri, 21 Nov 1997 09:55:06 -0600", "1997-11-21T15:55:06Z", "-06:00"],
  ["Tue, 1 Jul 2003 10:52:37 +0200", "2003-07-01T08:52:37Z", "+02:00"],
  ["Thu, 13 Feb 1969 23:32:54 -0330", "1969-02-14T03:02:54Z", "-03:30"],
  [
    "Thu,\r\n      13\r\n        Feb\r\n          1969\r\n      23:32\r\n               -0330 (Newfoundland Time)",
    "1969-02-14T03:02:00Z",
    "-03:30",
  ],
  ["21 Nov 97 09:55:06 GMT", "1997-11-21T09:55:06Z", "+00:00"],
  ["Fri, 21 Nov 1997 09(comment):   55  :  06 -0600", "1997-11-21T15:55:06Z", "-06:00"],
];

test("the Date headers of RFC 5322's examples are read", () => {
  for (const [header, instant, offset] of RFC_5322)
    expect([header, readDateHeader(header)]).toEqual([header, { at: Date.parse(instant), offset }]);
});

test("forms met in old mail are read, what is no date is not", () => {
  expect(readDateHeader("Mon Sep  2 14:00:00 2002")?.at).toBe(Date.parse("2002-09-02T14:00:00Z"));
  expect(readDateHeader("Mon, 2 Sep 2002 14:00:60 EST")).toEqual({
    at: Date.parse("2002-09-02T14:00:59-05:00"),
    offset: "-05:00",
  });
  for (const header of [
    "",
    "yesterday",
    "30 Feb 2026 10:00:00 +0000",
    "Tue, 24 Nov 2026 25:00:00 +0000",
    "x".repeat(100_000),
  ])
    expect(readDateHeader(header)).toBeNull();
});
