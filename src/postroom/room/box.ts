/** A letter that lies in a folder: its bytes in base64, when it came (milliseconds since 1970 UTC), and its marks. */
export interface Lying {
  readonly uid: number;
  readonly raw: string;
  readonly at: number;
  flags: string[];
}

/** What is in a mailbox: its folders, INBOX and Sent. */
export interface Box {
  readonly uidValidity: number;
  nextUid: number;
  readonly folders: Record<string, Lying[]>;
}

export function emptyBox(now: number): Box {
  return { uidValidity: Math.floor(now / 1_000), nextUid: 1, folders: { INBOX: [], Sent: [] } };
}
