import type { FoundSlip } from "./slip";

/** What people did with the slips of one writer that one rule found, or with one phrase of theirs. */
export interface Lesson {
  /** Address of who wrote them; null for what is known of a phrase whoever writes it. */
  readonly writer: string | null;
  /** The rule by its name; null where it is about a phrase. */
  readonly rule: string | null;
  /** The phrase, as `phraseOf` makes it; null where it is about all that a rule finds. */
  readonly phrase: string | null;
  readonly brushedOff: number;
  readonly kept: number;
  /** People marked the phrase by hand, since the reader had found nothing in it; `kept` counts how often that stood. */
  readonly isMarked: boolean;
}

/** What a lesson does: its slips are not proposed any more, are drawn as unsure, or its words are proposed from now on. */
export type LessonEffect = "not proposed" | "unsure" | "proposed" | null;

const LONGEST_PHRASE = 200;

/** Characters from which a phrase that comes again is set words; a shorter one can be meant anew each time. */
const SET_WORDS = 60;
/** Brushed off as often, a short phrase of one writer is nothing too; until then it is doubted. */
const ENOUGH_OF_A_SHORT_PHRASE = 3;

/** Brushed off as often, in whosever letters, a phrase is nothing from anybody. */
const ENOUGH_OF_A_PHRASE = 3;
/** Brushed off as often and never kept, what a rule finds with a writer is unsure, and later nothing. */
const ENOUGH_TO_DOUBT = 4;
const ENOUGH_TO_STOP = 10;

/** How sure the reader is, at the most, of what people doubt. */
const DOUBTED = 0.5;

/** A passage as it is known again: in lower case, white space as single spaces, figures as "#", so that "invoice 118" is "invoice 119". */
export function phraseOf(passage: string): string {
  return passage
    .toLowerCase()
    .replace(/\d+(?:st|nd|rd|th)?/g, "#")
    .replace(/\s+/g, " ")
    .trim()
    .slice(0, LONGEST_PHRASE);
}

/** What a lesson does, by how often its slips were brushed off and kept. */
export function effectOf({ writer, phrase, brushedOff, kept, isMarked }: Lesson): LessonEffect {
  if (isMarked) return kept > brushedOff ? "proposed" : null;
  if (phrase !== null) {
    if (brushedOff <= kept) return null;
    if (writer === null) return brushedOff >= ENOUGH_OF_A_PHRASE ? "not proposed" : null;
    return phrase.length >= SET_WORDS || brushedOff >= ENOUGH_OF_A_SHORT_PHRASE ? "not proposed" : "unsure";
  }
  if (kept > 0) return null;
  return brushedOff >= ENOUGH_TO_STOP ? "not proposed" : brushedOff >= ENOUGH_TO_DOUBT ? "unsure" : null;
}

/** Phrases that a writer's letters are to be asked for, since people marked them by hand before. */
export function markedPhrases(writer: string | null, lessons: readonly Lesson[]): string[] {
  return lessons.flatMap((lesson) =>
    lesson.isMarked && lesson.writer === writer && lesson.phrase !== null && effectOf(lesson) === "proposed"
      ? [lesson.phrase]
      : [],
  );
}

/**
 * Slips as people have taught to read them: what they brushed off before is left out or doubted, nothing else changes.
 * @param text the text that the slips' passages count in
 */
export function withLessons<Slip extends FoundSlip>(
  slips: readonly Slip[],
  text: string,
  writer: string | null,
  lessons: readonly Lesson[],
): Slip[] {
  if (lessons.length === 0) return [...slips];
  const mine = lessons.filter((lesson) => lesson.writer === null || lesson.writer === writer);
  return slips.flatMap((slip) => {
    const phrase = phraseOf(text.slice(slip.start, slip.end));
    const effects = mine
      .filter((lesson) => (lesson.phrase === null ? lesson.rule === slip.rule : lesson.phrase === phrase))
      .map(effectOf);
    if (effects.includes("not proposed")) return [];
    if (!effects.includes("unsure")) return [slip];
    const reason = `${slip.reason}; but like passages of this writer were brushed off`;
    return [{ ...slip, reason, confidence: Math.min(slip.confidence, DOUBTED) }];
  });
}
