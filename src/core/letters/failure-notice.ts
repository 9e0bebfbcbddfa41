import { failureWords } from "./failure-words";
import type { FailedDelivery } from "./letter";

// What mail servers write to people when a letter could not be delivered: common practice, no standard. A server's notice
// stands above the letter that it returns, names the addresses on lines of their own or within the sentence that complains,
// and may name others that are only for asking ("contact postmaster@…").

/** Where the notice ends and the returned letter begins. */
const RETURNED =
  /^[\s\-=*>#|]*(?:this is |here is |included is |below (?:is|this line is|the next line is) )?(?:a copy of (?:the|your)|(?:the |your )?original)[\w ]* (?:message|mail|letter)(?! was)|^[\s\-=*#|]*(?:returned (?:mail|message)|start of returned|(?:the )?(?:message|mail)(?: text| headers?)? follows|old message|the header|unsent message|the following is)|below (?:this|the next) line is a copy|here is your returned mail|-- the headers?/i;

/** Sentences that say that a letter did not arrive. */
const COMPLAINT =
  /undeliver|not (?:be |been |able to be )?(?:deliver|reach|receive)|(?:un|not |wasn.t )able to deliver|fail(?:ed|ure)|del(?:i|e)very (?:to|of|problems)|could not (?:be|deliver)|did not (?:reach|receive|exactly)|was addressed|rejected|returned|no such user|following (?:addresses|recipients?)|invalid|no longer valid|quota|mailbox is full|unavailable|recipient|has (?:been delayed|not yet been)|addressed to|rcpt to|permanent|fatal errors|expanded from|generated from|user unknown|delayed|postponed|delivery|error/i;

/** Lines whose addresses are there for asking, or name who wrote. */
const FOR_ASKING =
  /\b(?:contact|postmaster|abuse|help ?desk|support|assistance|questions?|please (?:send|write|e-?mail|visit)|for further|sender|return-path|(?<!expanded |generated )from:|reply-to|message-id|mail from|x-\w+:|received:|webmaster|alternat\w+|try|instead)/i;

const ADDRESS = /[^\s<>()[\]"',;:=]+@(?:[a-z0-9](?:[a-z0-9-]*[a-z0-9])?\.)*[a-z0-9](?:[a-z0-9-]*[a-z0-9])?/gi;

/** What may stand before an address that has its line for itself. */
const LEAD =
  /^[\s*>\-\d.)]*(?:(?:failed |final |intended |original )?recipient:?|to:|rcpt to:|user:|error-for:|undeliverable address:|failed:|\((?:expanded|generated) from:?|.*\bsmtp=)?[\s"'<[(]*(?:smtp:)?$/i;

/** "<somebody@example.com>:" at the head of a line is a failure in whatever language the words around it are. */
const ANGLED = /^<[^\s<>]+@[^\s<>]+>:/;

/** Lines that are looked through, and characters of each. */
const MOST_LINES = 1_000;
const LONGEST_LINE = 500;

function addressesOf(line: string): string[] {
  return [...line.matchAll(ADDRESS)].map((match) => match[0].toLowerCase().replace(/^[.-]+|[.-]+$/g, ""));
}

/** "screenname" alone below a complaint: a name in the server's own domain, or in those that it names as "NAME@domain". */
function localNames(notice: readonly string[], domain: string): string[] {
  const complaint = notice.findIndex((line) => COMPLAINT.test(line));
  if (complaint === -1) return [];
  const opens = notice.findIndex((line, i) => i >= complaint && /:\s*$/.test(line));
  const name = /^\s+([a-z0-9][\w.-]{1,40})(?:\s{2,}.*)?$/i.exec(
    (opens === -1 ? [] : notice.slice(opens + 1)).find((line) => line.trim() !== "") ?? "",
  )?.[1];
  if (!name) return [];
  const named = [...notice.join(" ").matchAll(/(?<!finger )\bNAME@([\w.-]+\w)/g)].map((match) => match[1]!);
  return [...new Set(named.length > 0 ? named : [domain])].map((at) => `${name}@${at}`.toLowerCase());
}

/**
 * Whom a server's notice says that a letter did not reach.
 * @param own addresses that are not meant: the server's and that of whom it writes to
 * @param domain the server's own domain, for names without one
 */
export function addressesInNotice(text: string, own: ReadonlySet<string>, domain: string): FailedDelivery[] {
  const lines = text.split("\n", MOST_LINES).map((line) => line.slice(0, LONGEST_LINE));
  const end = lines.findIndex((line) => RETURNED.test(line) && addressesOf(line).length === 0);
  const notice = end === -1 ? lines : lines.slice(0, end);
  const whole = notice.join(" ");
  const isDelayed =
    /not yet been delivered|has been (?:delayed|postponed)|delivery attempts will continue|(?:only|just) a warning|warning message|advisory-only|will (?:be retried|keep trying)/i.test(
      whole,
    );
  const alone: string[] = [];
  const within: string[] = [];
  let complains = false;
  for (const line of notice) {
    if (COMPLAINT.test(line)) complains = true;
    if (FOR_ASKING.test(line)) continue;
    const addresses = addressesOf(line).filter((address) => !own.has(address));
    if (addresses.length === 0) continue;
    const lead = line.slice(0, line.toLowerCase().indexOf(addresses[0]!));
    if (ANGLED.test(line) || (complains && LEAD.test(lead))) alone.push(...addresses);
    else if (COMPLAINT.test(line)) within.push(...addresses);
  }
  const named = alone.length > 0 ? alone : within.length > 0 ? within : domain ? localNames(notice, domain) : [];
  const why = failureWords("", whole);
  return [...new Set(named)].map((address) => ({ address, isDelayed, why }));
}
