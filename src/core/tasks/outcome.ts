/** The rows that an act may change, by the word of the product. */
export const CHANGEABLE = [
  "task",
  "slip",
  "conversation",
  "comment",
  "outgoing",
  "letter",
  "thread",
  "workstream",
  "posted",
  "reminder",
  "postedAt",
  "away",
] as const;
export type Changeable = (typeof CHANGEABLE)[number];

/** Values of a row as they travel through JSON: instants are ISO 8601 text. */
export type RowValues = Readonly<
  Record<
    string,
    | string
    | number
    | boolean
    | null
    | readonly (string | Readonly<Record<string, string>>)[]
    | Readonly<Record<string, string | number>>
  >
>;

/** What an act wants written: a new row, fields of a row that is there, or (`values` null) a row taken away. */
export interface Write {
  readonly row: Changeable;
  /** Its id; of a thread row the Message-ID. */
  readonly id: string;
  readonly isNew: boolean;
  readonly values: RowValues | null;
}

/** One row as an act changed it. `before` null: it was made; `after` null: it was taken away; else the fields that changed. */
export interface Change {
  readonly row: Changeable;
  readonly id: string;
  readonly before: RowValues | null;
  readonly after: RowValues | null;
}

/** Why an act is refused, as data; `refusal-words.ts` makes the sentence. */
export type Refusal =
  | { readonly code: "not found" }
  | { readonly code: "not allowed" }
  | {
      readonly code: "changed meanwhile";
      readonly by: string;
      readonly what: string;
      readonly yours: string;
      readonly theirs: string;
    }
  | { readonly code: "built upon"; readonly by: string }
  | { readonly code: "already undone" }
  | { readonly code: "nothing to undo" }
  | { readonly code: "invalid"; readonly why: string };

/** What a decision comes to: rows to write and the ids it is about; or a refusal. `made` are the ids of new tasks. */
export type Outcome =
  | {
      readonly ok: true;
      readonly writes: readonly Write[];
      readonly about: readonly string[];
      readonly made?: readonly string[];
      /** Number of the history's entry that is taken back. */
      readonly undoes?: number;
    }
  | { readonly ok: false; readonly refusal: Refusal };

export function refused(refusal: Refusal): Outcome {
  return { ok: false, refusal };
}

export function invalid(why: string): Outcome {
  return refused({ code: "invalid", why });
}
