import dns from "node:dns/promises";
import { authenticate } from "mailauth";
import type { Envelope } from "../core/letters/ways";

/** Looks a name up in the DNS: its name and type ("TXT", "MX", "A" …) to its records. */
type Resolve = (name: string, type: string) => Promise<unknown>;

/** What a sender is checked by, of a letter that is being handed over. */
interface Handed {
  readonly raw: Buffer;
  readonly peer: string;
  readonly helo: string;
  readonly from: string;
}

/** SPF (RFC 7208), DKIM (RFC 6376) and DMARC (RFC 7489) of a letter; null where nothing is checked. */
export type SenderCheck = (handed: Handed) => Promise<Envelope["checks"]>;

/** Milliseconds that all checks of one letter may take; a resolver that is silent holds up no mail. */
const LONGEST_CHECK_MS = 8_000;

const NOT_KNOWN = { spf: "temperror", dkim: "temperror", dmarc: "temperror" };

/** One check's part of the library's answer; false where it was not made. */
type Part = { status?: { result?: string } } | false | undefined;

function resultOf(part: Part): string {
  return (part ? part.status?.result : undefined) ?? "none";
}

/** Checks nothing: where no resolver is configured, nothing can be proved. */
export const uncheckedSender: SenderCheck = async () => null;

/** Asks the resolver at this address; "system" is the machine's own. */
export function resolverAt(address: string): Resolve {
  const resolver = new dns.Resolver({ timeout: 2_000, tries: 2 });
  if (address !== "system") resolver.setServers([address]);
  return (name, type) => resolver.resolve(name, type);
}

/** Checks senders through a resolver. Never fails: what cannot be found out is not proved. */
export function senderCheckBy(resolve: Resolve, ourDomain: string): SenderCheck {
  return async ({ raw, peer, helo, from }) => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const tooLate = new Promise<null>((done) => {
      timer = setTimeout(() => done(null), LONGEST_CHECK_MS);
    });
    try {
      const checked = await Promise.race([
        authenticate(raw, {
          ip: peer.replace(/^::ffff:/, ""),
          helo,
          sender: from,
          mta: ourDomain,
          resolver: resolve as never,
          disableArc: true,
          disableBimi: true,
        }),
        tooLate,
      ]);
      if (!checked) return NOT_KNOWN;
      const { spf, dkim, dmarc } = checked as { spf?: Part; dkim?: { results?: Part[] }; dmarc?: Part };
      const signed = (dkim?.results ?? []).map(resultOf);
      return {
        spf: resultOf(spf),
        dkim: signed.includes("pass") ? "pass" : (signed[0] ?? "none"),
        dmarc: resultOf(dmarc),
      };
    } catch {
      return NOT_KNOWN;
    } finally {
      clearTimeout(timer);
    }
  };
}
