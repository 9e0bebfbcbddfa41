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
}

/** A stretch of the text: what is new in this letter, and what is not. */
export interface TextPart {
  readonly kind: "new" | "quoted" | "signature" | "forwarded" | "footer";
  readonly start: number;
  readonly end: number;
}

/** Why a machine is taken to have written a letter (RFC 3834, 2369, 2919, 3464, 3798). */
export type AutomaticKind = "automatic reply" | "bounce" | "receipt" | "list" | "newsletter" | "notice";

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
  readonly automatic: AutomaticKind | null;
  readonly isUrgent: boolean;
}
