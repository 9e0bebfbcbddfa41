/** Who may make or change something by writing to its address; letters of others wait in Sort. */
export const MAY_WRITE = ["the team", "people we know", "anyone"] as const;
export type MayWrite = (typeof MAY_WRITE)[number];

/** The envelope of a letter that came by SMTP (RFC 5321 section 2.3.1): addresses in lower case. */
export interface Envelope {
  readonly from: string;
  readonly to: readonly string[];
  /** Address of the machine that handed it over. */
  readonly peer: string;
  /** Results of SPF, DKIM and DMARC ("pass", "fail", "none" …); null where no resolver is configured. */
  readonly checks: { readonly spf: string; readonly dkim: string; readonly dmarc: string } | null;
}

/** How a mailbox on an IMAP server is reached, what of it is read, and what is changed there. */
export interface MailboxSettings {
  readonly host: string;
  readonly port: number;
  readonly security: "tls" | "starttls" | "none";
  readonly userName: string;
  /** Letters before this day are left where they are. */
  readonly since: string | null;
  /** Only letters with this mark are read. */
  readonly mark: string | null;
  /** What is done there with a letter once it is dealt with here. */
  readonly onDealt: "nothing" | "mark read" | "move";
  readonly moveTo: string | null;
}

/** Where a letter lies on an IMAP server (RFC 9051 section 2.3.1.1), and what was done to it there. */
export interface RemotePlace {
  readonly folder: string;
  readonly uidValidity: string;
  readonly uid: number;
  readonly isSeen: boolean;
  readonly isAnswered: boolean;
  /** What was wanted of it was done there, once its conversation was dealt with. */
  readonly isTidied?: boolean;
  /** It was moved or deleted there. */
  readonly isGone?: boolean;
}
