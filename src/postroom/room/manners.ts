import { addWorkingDays, PLAIN_WEEK } from "../../core/time/day";
import { dayOf } from "../../core/time/moment";
import { sayDay } from "../../core/time/say-day";

/** How somebody outside answers. */
export type Manner = "at once" | "late" | "half" | "away" | "asks back" | "never";

/** A letter of ours as it reached somebody outside. */
export interface Received {
  readonly at: number;
  readonly writer: string;
  readonly text: string;
}

/** An answer that is going to come. */
export interface Answer {
  readonly at: number;
  readonly text: string;
  readonly isAutomatic: boolean;
}

const SECOND = 1_000;
const HOUR = 3_600 * SECOND;

function first(name: string): string {
  return name.split(" ")[0]!;
}

/** Whether the letter asks for anything; else thanks are all that comes. */
function asks(text: string): boolean {
  return /\?|\b(?:please|could|can you|would you|need|send|let (?:me|us) know|confirm)\b/i.test(text);
}

/**
 * What comes back for a letter of ours, and when: nothing, one answer, or two. `turn` counts the letters that this person
 * has had from us, so that the same words do not come twice running.
 */
export function answersTo(letter: Received, name: string, manner: Manner, zone: string, turn: number): Answer[] {
  const hello = `Hi ${first(letter.writer)},`;
  const bye = `${["Regards", "Best wishes", "All the best"][turn % 3]},\n${first(name)}`;
  const words = (...lines: readonly string[]) => [hello, ...lines, bye].join("\n\n");
  const today = dayOf({ at: letter.at, zone });
  const day = (days: number) => sayDay(addWorkingDays(today, days, PLAIN_WEEK), today);
  const one = (after: number, text: string): Answer[] => [{ at: letter.at + after, text, isAutomatic: false }];
  if (!asks(letter.text) && manner !== "away" && manner !== "never")
    return one(40 * SECOND, words("Thanks, that is all I needed."));
  switch (manner) {
    case "at once":
      return one(
        30 * SECOND,
        words(["Yes, that is right. Go ahead as you say.", "That works for us, thank you for asking."][turn % 2]!),
      );
    case "late":
      return one(
        26 * HOUR,
        words(
          "Sorry for the delay, it has been a busy week.",
          "We agree with what you propose. The order number is 20731.",
        ),
      );
    case "half":
      return one(
        3 * HOUR,
        words("The first part is done and on its way to you.", `I will send the rest by ${day(3)}.`),
      );
    case "asks back":
      return one(
        45 * SECOND,
        words(
          "Before I can answer, which of the two do you mean, the green or the grey?",
          `Could you let me know by ${day(2)}?`,
        ),
      );
    case "away":
      return [
        {
          at: letter.at + 5 * SECOND,
          text: `Thank you for your message. I am out of the office and back on ${day(4)}. In urgent cases please ring the yard.`,
          isAutomatic: true,
        },
        {
          at: letter.at + 5 * 24 * HOUR,
          text: words("I am back, and have seen your letter. All fine from our side."),
          isAutomatic: false,
        },
      ];
    case "never":
      return [];
  }
}
