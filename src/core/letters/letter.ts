/** A person as a header names them. `address` is lower case, and empty where the header gave none that can be read. */
export interface Correspondent {
  readonly name: string;
  readonly address: string;
}

/** A file that came with a letter: the `index`-th part that is no text. Its bytes are read from the raw message when asked for. */
export interface LetterFile {
  readonly index: number;
  /** Safe to save under: no folders, no control characters, no signs that turn the reading direction. */
  readonly name: string;
  readonly type: string;
  readonly size: number;
  /** The Content-ID without its brackets, where the HTML shows the file in its text. */
  readonly contentId: string | null;
  /** Whether it came within a letter that is attached to this one. */
  readonly isInner: boolean;
  /** What a calendar entry or a card is about, in one line; null for other files. */
  readonly about: string | null;
}

/** A stretch of the text: what is new in this letter, and what is not. */
export interface TextPart {
  readonly kind: "new" | "quoted" | "signature" | "forwarded" | "footer";
  readonly start: number;
  readonly end: number;
}

/** A letter that a letter passes on: who wrote it and when, and where its own words stand in the text. */
export interface PassedOn {
  readonly from: Correspondent;
  readonly to: readonly Correspondent[];
  /** Milliseconds since 1970 UTC; null where its headers give no date that can be read. */
  readonly sentAt: number | null;
  readonly offset: string;
  readonly subject: string;
  readonly start: number;
  readonly end: number;
}

/** Somebody whom a letter did not reach, or not yet. */
export interface FailedDelivery {
  readonly address: string;
  /** The server keeps trying; nothing is lost yet. */
  readonly isDelayed: boolean;
  /** Why, in plain words; empty where the report does not say. */
  readonly why: string;
}

/** What a report of a failed delivery says. */
export interface Bounce {
  readonly failed: readonly FailedDelivery[];
  /** Message-ID of the letter that did not arrive, where the report returns it or its headers. */
  readonly returnedId: string | null;
}

/** Why a machine is taken to have written a letter (RFC 3834, 2369, 2919, 3464, 3798). */
export type AutomaticKind = "automatic reply" | "bounce" | "receipt" | "calendar" | "list" | "newsletter" | "notice";

/** What a message says, as far as it can be read; the raw message stays the truth. */
export interface Letter {
  readonly messageId: string | null;
  /** Message-IDs of References and In-Reply-To, oldest first, without repeats. */
  readonly references: readonly string[];
  /** Milliseconds since 1970 UTC by the Date header; null where there is none or it cannot be read. */
  readonly sentAt: number | null;
  /** The writer's offset from UTC as the Date header has it, "+01:00"; "+00:00" where nothing is known. */
  readonly offset: string;
  readonly from: Correspondent | null;
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  /** The words of the letter, line ends as "\n". From the HTML where there is no text of its own. */
  readonly text: string;
  readonly parts: readonly TextPart[];
  /** Whether there is HTML to show. */
  readonly hasHtml: boolean;
  readonly files: readonly LetterFile[];
  readonly passedOn: PassedOn | null;
  /** Whom a letter of ours did not reach, where this reports it. */
  readonly bounce: Bounce | null;
  /** Signed (RFC 8551, 3156): shown, and said so. Encrypted: kept, but not to be read here. */
  readonly sealed: "signed" | "encrypted" | null;
  readonly automatic: AutomaticKind | null;
  readonly isUrgent: boolean;
  /** What is wrong with the message, each as a sentence. */
  readonly problems: readonly string[];
}
