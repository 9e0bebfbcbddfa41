import { bared } from "./bared";
import type { OpenItem } from "./item";
import { type Turn, turnOf, whole, wholeOf } from "./turns";

const CURES =
  /(?:^|\bplease |\bkindly |\byou |\bto )(?:look|have a look|take a look|check|search|find out|see (?:whether|if|to)|replace|repair|fix|mend|exchange|swap|credit|refund|put (?:it|that|this|them) right|sort (?:it|that|this|them) out|send|bring|deliver|collect)\b|\bneed (?:a |an |the |some )?(?:new|fresh|another|replacement|spare)\b/i;

/** The ask that wants a trouble cured, right behind it: what is promised or done about the trouble is said of that. */
export function cureOf(item: OpenItem, owed: readonly OpenItem[]): OpenItem | null {
  if (item.kind !== "trouble") return null;
  return (
    owed.find(
      (one) =>
        one.kind === "ask" &&
        one.letter === item.letter &&
        one.place === item.place + 1 &&
        (CURES.test(one.quote) || /\b(?:it|them|this|that)\b/i.test(one.quote)),
    ) ?? null
  );
}

const DOES_AGAIN =
  "(?:(?:go|work|run|print|clos|heat|cool|lock|hold|flush|charg)(?:ing|s|es)? (?:again|properly|perfectly|fine|as (?:it|they) should|like new)|(?:work|fit|hold)(?:ing|s)? now)";
const IS_AGAIN =
  "(?: now| all| both| finally| at last)* (?:fixed|repaired|mended|sorted(?: out)?|solved|settled|cured|put right|back to normal|(?:up and )?running again|up again|as good as new|good as new|(?:all right|fine|tight|dry|clean|clear|warm|in order|alive) again|back (?:in (?:service|use|action)|among the living))";
const GOOD =
  "(?:sharp|warm|dry|tight|clean|clear|well|quiet|complete|bright|smooth|straight|stable|safe|level|usable|in (?:use|service|order|place)|up|online|whole|healthy|fine|all right|okay|ok|normal)";
const IS = "(?:<is>| has been| have been)";

/** "It works again, but not for long": it is not over yet. */
const HEDGED =
  /\b(?:but|not(?! any (?:more|longer)[.!]*$)|until|till|for now|for the moment|if|once|when|unless|hardly|almost|nearly)\b|n['’]t\b/i;

const WELL_AGAIN: Turn = {
  change: "done",
  name: "it is well again",
  forms: [
    whole(`(?:<it>|everything|all of it)${IS}?(?: now| all| both)* ${DOES_AGAIN}<rest>`),
    whole(`(?:<it>|everything|all of it)${IS}${IS_AGAIN}<rest>`),
    whole(`(?:[^,;:?]{1,40}, )?(?:and |now )*${DOES_AGAIN}(?: now)?<rest>`),
    wholeOf(`[^,;:?]{1,40}?${IS}?(?: now| all| both)* ${DOES_AGAIN}<rest>`),
    wholeOf(`[^,;:?]{1,40}?${IS}${IS_AGAIN}<rest>`),
    whole(`(?:(?:<it>|everything|all(?: of it)?)${IS}?(?: all| now| both)* )?(?:all )?${GOOD} again<rest>`),
    wholeOf(`[^,;:?]{1,40}?${IS}(?: all| now| both)* ${GOOD} again<rest>`),
    whole("there(?:<is>) (?:plenty of|enough|lots of) [^,;:?]{1,30} again"),
    whole("not any (?:more|longer)|no longer"),
    whole("no (?:more|further) (?:noise|leaks?|smell|trouble|problems?|complaints|alarms?|drips?|mistakes?|errors?)"),
  ],
};

/** Whether words tell that what was in trouble is well again. `isNamed`: whether they name it. */
export function isWellAgain(text: string, isNamed: boolean): boolean {
  return !/\?$/.test(text) && !HEDGED.test(text) && turnOf([WELL_AGAIN], bared(text), isNamed) !== null;
}
