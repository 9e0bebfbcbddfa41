import type { FailedDelivery } from "./letter";

/** What the codes of RFC 3463 mean to somebody who wrote a letter; the longest that fits counts. */
const BY_CODE: readonly (readonly [RegExp, string])[] = [
  [/^\d\.1\.[0136]$/, "there is no such mailbox"],
  [/^\d\.1\.2$/, "there is no such mail domain"],
  [/^\d\.1\.[78]$/, "our own address was refused"],
  [/^\d\.1\.10$/, "this domain takes no mail"],
  [/^\d\.2\.1$/, "the mailbox is closed"],
  [/^\d\.2\.2$/, "the mailbox is full"],
  [/^\d\.[23]\.[34]$/, "the letter is too large"],
  [/^\d\.4\.[124]$/, "their mail server cannot be reached"],
  [/^\d\.4\.6$/, "their mail servers send it round in a ring"],
  [/^\d\.4\.7$/, "it could not be delivered in time"],
  [/^\d\.5\.\d+$/, "the two mail servers did not understand each other"],
  [/^\d\.6\.\d+$/, "their mail server cannot take a letter of this form"],
  [/^\d\.7\.\d+$/, "their mail server refused it by its rules"],
];

/** The same by the words that servers write where they give no code. */
const BY_WORDS: readonly (readonly [RegExp, string])[] = [
  [
    /user unknown|unknown (?:user|recipient|mailbox)|no such (?:user|mailbox|recipient|address)|(?:mailbox|user|recipient|address) (?:is )?(?:not found|unavailable|unknown)|not recogni[sz]ed|does(?: not|n.t) (?:exist|have an? .{0,40}account)|invalid (?:recipient|mailbox|address|final)|not listed|not a valid|no mailbox here|unrouteable|did not exactly match/i,
    "there is no such mailbox",
  ],
  [
    /host unknown|domain (?:not found|does not exist)|name server|no matches to nameserver|host .{0,40}not found/i,
    "there is no such mail domain",
  ],
  [
    /quota|mailbox (?:is )?full|exceed\w* .{0,40}(?:storage|limit|space)|full mailbox|insufficient .{0,20}storage/i,
    "the mailbox is full",
  ],
  [/too (?:large|big)|size limit|exceeds .{0,20}size/i, "the letter is too large"],
  [/disabled|inactive|suspended|closed|deactivated/i, "the mailbox is closed"],
  [
    /spam|blocked|black ?list|denied|policy|not accepting mail|refused by|rejected|virus|prohibited/i,
    "their mail server refused it by its rules",
  ],
  [
    /timed? ?out|connection|not reachable|not respond|unreachable|too long|network/i,
    "their mail server cannot be reached",
  ],
];

/**
 * Why a letter was not delivered, in plain words.
 * @param status enhanced status code of RFC 3463 ("5.1.1"), or empty
 * @param said the server's own words, or empty
 */
export function failureWords(status: string, said: string): string {
  const code = /\b[245]\.\d{1,3}\.\d{1,3}\b/.exec(status)?.[0] ?? "";
  const inWords = /\b[245]\.\d{1,3}\.\d{1,3}\b/.exec(said)?.[0] ?? "";
  // "5.0.0" says only that it failed: then the server's words say more.
  for (const one of [code, inWords])
    for (const [pattern, words] of BY_CODE) if (!/^\d\.\d\.0$/.test(one) && pattern.test(one)) return words;
  for (const [pattern, words] of BY_WORDS) if (pattern.test(said)) return words;
  return "";
}

/** People named in a title at the most. */
const MOST_NAMED = 3;

/** What happened to a letter of ours, as the title of its trouble: "Sam Reed did not get our letter: the mailbox is full". */
export function failureTitle(failed: readonly FailedDelivery[], nameOf: (address: string) => string): string {
  const names = [...new Set(failed.map((one) => nameOf(one.address)))];
  const named =
    names.slice(0, MOST_NAMED).join(", ") + (names.length > MOST_NAMED ? ` and ${names.length - MOST_NAMED} more` : "");
  const why = failed.find((one) => one.why !== "")?.why;
  return `${named} did not get our letter${why ? `: ${why}` : ""}`;
}
