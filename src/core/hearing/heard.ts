/** What somebody may be told of a task. */
export const HAPPENINGS = [
  "given",
  "taken away",
  "handed back",
  "asked",
  "answered",
  "named",
  "in doubt",
  "taken on",
  "passed on",
  "done",
  "called off",
  "taken up again",
  "moved",
  "changed",
  "noted",
  "wrote again",
  "freed",
  "reminder",
] as const;
export type Happening = (typeof HAPPENINGS)[number];

/** Why somebody hears of a task. */
export type Why =
  | "owns it"
  | "handed it over"
  | "had it"
  | "kept posted"
  | "named in the note"
  | "wanted to be reminded"
  | "covers for";

/** How loudly: at once, or with the next digest. */
export type Loudness = "at once" | "later";

/** How notices reach somebody by mail: each as loudly as it is, all with the digest, or never. */
export const NOTICE_MAIL = ["as it comes", "digest", "never"] as const;
export type NoticeMail = (typeof NOTICE_MAIL)[number];

/** One person who hears, of what, and why. */
export interface Heard {
  readonly personId: string;
  readonly what: Happening;
  readonly why: Why;
  readonly loudness: Loudness;
}
