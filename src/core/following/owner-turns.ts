import { bared } from "./bared";
import type { OpenItem } from "./item";
import { type Turn, turnOf, whole, wholeOf } from "./turns";

const KNOWS_NOT: Turn = {
  change: "declined",
  name: "has no answer",
  forms: [
    whole(
      "<we> (?:really |simply )?(?:<cannot>|could<not>) (?:say|tell(?: you)?|answer)(?: (?:that|this|it)(?: one)?)?",
    ),
    whole("<we> (?:really |simply )?<do not> know(?: (?:that|either))?"),
    whole("(?:<we have> )?(?:absolutely )?no idea"),
  ],
};

/** "Can't do it this week", "won't be ready by Friday": it is said of a time, and not for good. */
const NOT_IN_TIME =
  /\b(?:by (?:mon|tues|wednes|thurs|fri|satur|sun|then|the|tomorrow|tonight|noon|next)\w*|in time|this (?:week|month|morning|afternoon|evening)|today|tonight|(?:so|that) (?:soon|quickly|fast|early)|as (?:soon|quickly|fast|early) as (?:that|you)|for another (?:\w+ )?(?:days?|weeks?|month))\b/i;
const DOES_NOT =
  /\b(?<!you )(?:(?:can(?:not|['’]t)|won['’]t|will not) (?!thank|wait|complain|go wrong|forget|imagine|believe|help (?:but|thinking)|be (?:a|any|long)\b|let you|disappoint|take long|hurt|keep you)|not able|unable|unlikely|(?:do not|don['’]t) (?:think|expect)|not (?:going to|manage))\b/i;
const NOT_BEFORE =
  /(?:\b(?:can(?:not|['’]t)|won['’]t|will not|not able|unable|nothing|no (?!problem|worries|trouble|doubt|need|rush|hurry|matter)\w+)\b (?!wait|keep|hold|leave|store).*|^not )\b(?:before|until|till) (?:the \d|noon|midday|lunch|(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?: o['’]clock)?[.!]*$|next (?:week|month|mon|tues|wednes|thurs|fri)|mon|tues|wednes|thurs|fri|satur|sun|tomorrow|\d|january|february|march|april|may|june|july|august|september|october|november|december)/i;
const FOR_GOOD = /\b(?:any ?more|after all|at all|ever|any(?:thing|body|one) (?:more|else))\b/i;

const LATER: Turn = {
  change: "moved",
  name: "it takes longer",
  forms: [
    whole(
      "(?:<we>|he|she|they|it)(?:['’]ll| will)? needs? (?:another|one more|a further|a few more|\\w+ more) (?:day|week|month|fortnight)s?(?! of| to)<rest>",
    ),
    whole(
      "<it>(?:<is>| will be| has been| have been) (?:\\w+ )?(?:delayed|held up|running late|behind schedule|postponed|put (?:off|back)|overdue)<rest>",
    ),
    whole(
      "(?:[^,;:?]+ )?(?:takes?|taking|need|needs) (?:(?:a (?:bit|little)|some(?:what)?|much|still) )?(?:longer|more time)<rest>",
    ),
    whole("[^,;:?]+ is (?:a (?:bit|little) |much |far )?too (?:early|soon)(?: for (?:me|us))?"),
    whole(
      "<we are> (?:\\w+ )?(?:fully booked|booked up|snowed under|overrun|up to (?:my|our) (?:ears|necks?|eyes)|running (?:a (?:bit|little) )?late|behind with)<rest>",
    ),
    whole("<we>(?:<will>)?(?: have to| must| need to)? (?:put|push) (?:it|that|this|them) (?:off|back)<rest>"),
    whole("<it> (?:has|have|will have|['’]ll have) to wait<rest>"),
    whole("<it> (?:won['’]t|will not) be (?:<day>|(?:ready|done|finished|here|there|complete) (?:yet|by)<rest>)"),
    whole("<it>(?:<is>)? ?<not> (?:quite )?(?:ready|finished|done|complete) yet"),
  ],
};

const CANNOT: Turn = {
  change: "declined",
  name: "cannot or will not",
  forms: [
    whole("<we>(?:['’]d| would) rather not"),
    whole(
      "<we>(?:['’]d| would)? prefer (?:not )?to (?!.*\\b(?:mon|tues|wednes|thurs|fri|satur|sun)day\\b)(?!.*\\b(?:tomorrow|next|later|by|on)\\b)[^?]*",
    ),
    whole(
      "<it>(?:<is>|<will>| would) (?:simply |just |really |quite )?(?:not (?:be )?possible|(?:be )?impossible|out of the question|beyond (?:us|me)|out of (?:our|my) hands|confidential|secret|against the rules|sold out|discontinued)",
    ),
    whole(
      "<it>(?: is|<is>| are|) ?<not> (?:for us|up to us|ours|mine|for sale|covered|possible|our (?:job|business|task|responsibility|matter)|worth (?:it|\\w+ing)|something (?:that )?(?:i|we) (?:can|do|could|offer)<rest>|(?:made|sold|available|allowed) any ?more)",
    ),
    whole("<it> (?:won['’]t|will not) be possible"),
    whole("<it> <cannot> be (?:done|mended|repaired|fixed|changed|helped)(?: any ?more)?"),
    whole("<it>(?:<is>) no longer (?:made|available|sold|in stock|possible|allowed)"),
    whole("there(?:<is>| was) (?:nothing (?:more )?(?:that )?(?:i|we) can do|nothing to be done)<rest>"),
    whole(
      "[^,;:?]+ (?:is|are|would be) (?:much |far |a (?:bit|little) |simply )?too (?:expensive|dear|costly|risky|dangerous)(?: for (?:me|us))?",
    ),
    whole(
      "there(?:<is>) no (?:way|chance|money|budget|room|space)(?: left)?(?: (?:for|to do) (?:it|that|this|them|any|more))?(?: this year)?",
    ),
    wholeOf("there(?:<is>) no (?:more )?(?:money|budget|room|space) for<rest>"),
    whole(
      "there (?:is|are)(?:<not>| no) [\\w ]{1,30}(?:any ?more|left)(?: (?:on|for|in|at|this|until|before) [^,;?]*)?",
    ),
    whole(
      "(?:everything|everywhere|all [\\w ]{1,30}|every \\w+)(?:['’]s| is| are) (?:fully |completely |already )*(?:booked(?: (?:up|out|solid))?|full|taken|sold out)<rest>",
    ),
    whole(
      "(?:<we> )?(?:really |simply )?<cannot> (?:do (?:that|it|this|anything)|agree to (?:that|it|this)|accept (?:that|it|this)|afford (?:that|it|this|them)|help(?: you)?(?: out)?(?: (?:with|on) (?:that|this|it|these|them))?)(?: there| here| any ?more| at all| about (?:it|that|this)| for you)?",
    ),
    whole("<we are> not (?:able|allowed|permitted|authori[sz]ed|willing|prepared) to<rest>"),
    whole("<we> <cannot> [^,;:?]+ (?:after all|any ?more)"),
    whole("<we> (?:no longer have|<do not> have) [^,;:?]+ any ?more"),
    whole("<we have> decided (?:not to|against)<rest>"),
    whole("<we> (?:have to|must) (?:say no|decline|refuse)<rest>"),
    whole(
      "<we> (?:<do not>|no longer) (?:do|make|sell|stock|offer|buy) (?:it|that|this|them|those|these|any)(?: any ?more| here)?",
    ),
    wholeOf(
      "<we> (?:<do not>|no longer) (?:do|make|sell|stock|publish|offer|hire out|rent out|carry|service|give out|deal in|buy)(?!.*\\b(?:yet|until|before)\\b)<rest>",
    ),
    whole("<we> (?:have<not>|no longer have|<do not> have) (?:got )?(?:it|one|any|them|that)(?: any ?more| left)?"),
    whole("[^,;:?]+ (?:has|have) (?:turned (?:it|this|that|us|you) down|said no|refused)"),
  ],
};

/** "We have no spare van": of what was asked for. */
const NO_SUCH: Turn = {
  change: "declined",
  name: "there is none",
  forms: [
    wholeOf(
      "<we>(?: have|['’]ve got)(?: got)? no (?:more )?(?!problems?|objections?|idea|news|doubts?|complaints?|answers?|reply|word|choice|time)[^,;:?]+",
    ),
  ],
};

/** "We've already lent it to the school", "it's broken, I'm afraid": of what somebody wants to have for a while. */
const GIVEN_AWAY: Turn = {
  change: "declined",
  name: "it is not to be had",
  forms: [
    whole("<we have> (?:already )?(?:lent|sold|given|promised|rented|hired|let) <it>(?: out)? to<rest>"),
    whole(
      "<it>(?:<is>) (?:already |still |just |being )?(?:broken|repaired|in use|out on loan|rented out|lent out|hired out|taken|lent|promised)(?: (?:then|that day|at the moment|by [^,;?]+))?",
    ),
  ],
};
const WANTS_TO_HAVE = /\b(?:lend|borrow|loan|hire|rent|(?:have|use) (?:the|your|a|it|that|one))\b/i;

const SORRY_NO = /^(?:sorry|i['’]?m (?:afraid|sorry)|unfortunately),? no[.!]*$/i;

const AT_WORK: Turn = {
  change: "promised",
  name: "it is being done",
  forms: [
    whole(
      "<it>(?:<is>) (?:just |currently |already |now )?(?:being \\w+|in hand|under ?way|in progress|in the works|on (?:my|our) (?:desk|list)|next on (?:my|our) list)<rest>",
    ),
    whole(
      "<we are> (?:just |currently |already |still |now )?(?:working on|looking into|looking at|dealing with|seeing to|taking care of|attending to|going through|(?:check|prepar|process|sort|writ|arrang|handl|complet|finish|updat|correct|draft|test)ing) (?:it|this|that|them|the|your)<rest>",
    ),
    whole(
      "<we have> (?:made a note|put (?:it|that|you|this) (?:down|on (?:the|my|our) list|in (?:the|my|our) (?:diary|book|calendar)))<rest>",
    ),
    whole(
      "let me (?:just |first )?(?:check|see (?:if|whether|what|who|when)|look|ask(?! you)|find out|have a look|have a word)<rest>",
    ),
  ],
};

/** "You should have it by now." */
const IS_THERE: Turn = {
  change: "done",
  name: "it has been done",
  forms: [
    whole(
      "you (?:should|ought to|must|will) (?:already |now )?(?:have (?:received |got |had )?|find |see )(?:it|them|that|this|everything|<it>) (?:by now|already|in your (?:inbox|post|mail|letter ?box)|on your (?:desk|table))<rest>",
    ),
  ],
};

const SURE: Turn = {
  change: "promised",
  name: "it will be done",
  forms: [
    whole("(?:yes, )?you can (?:count|rely|depend) on (?:me|us|it)"),
    whole(
      "(?:yes,? )?(?:<we>(?:['’]d| would|<will>) be|<we are>) (?:very |more than |only too |quite )?(?:happy|glad|delighted|pleased|willing) to(?: do (?:so|that|it)| help(?: out)?)?",
    ),
    wholeOf("(?:duly )?noted[,:] [^?]*"),
    whole("<it> (?:should|ought to) be (?:possible|fine|all right|ok(?:ay)?|no problem)"),
  ],
};

/** "Cold store yes, the cellar …", of work */
const YES_TO_IT: Turn = {
  change: "promised",
  name: "it will be done",
  forms: [wholeOf("[^,;:?]{2,40}(?:,? (?:yes|sure)|, (?:no problem|can do|will do))")],
};

/** "I'd have to ask the caretaker first": of a question that an answer will come, of work nothing. */
const WILL_FIND_OUT: Turn = {
  change: "promised",
  name: "an answer is being looked for",
  forms: [
    whole(
      "<we>(?:['’]d| would|<will>)? ?(?:have to|need to|must) (?:first )?(?:check|ask|look|see|find out|think|talk|speak|consult|discuss|clear|decide|take (?:it|that|this)|put (?:it|that|this)|bring (?:it|that|this)|run (?:it|that|this)|clear (?:it|that|this)|go through)<rest>",
    ),
  ],
};

/** "It's being reprinted and will be late": at work, but not in time. */
const NOT_SO_SOON = /\b(?:late|later|delay\w*|until|not|nothing)\b/i;

const NOT_THEN: Turn = { change: "moved", name: "not by then", forms: [] };
const NOT_BEFORE_THEN: Turn = { change: "moved", name: "not before that day", forms: [] };

/**
 * What an answer of whoever owes a thing says of it by a turn that leaves no doubt; null where it is no such turn.
 * @param isOfWords whether an answer in words is wanted: "we are fully booked" gives one
 * @param isNamed whether it is said of a thing that the text names
 */
export function ownerTurn(
  text: string,
  item: Pick<OpenItem, "kind" | "quote">,
  { isOfWords, isNamed }: { isOfWords: boolean; isNamed: boolean },
): Turn | null {
  if (/\?$/.test(text)) return null;
  const said = bared(text);
  const atWork = NOT_SO_SOON.test(said) ? [] : [AT_WORK];
  const inWords = isOfWords ? turnOf([KNOWS_NOT, WILL_FIND_OUT, ...atWork], said, isNamed) : null;
  if (inWords || item.kind === "question") return inWords;
  if (item.kind !== "trouble" && NOT_BEFORE.test(said)) return NOT_BEFORE_THEN;
  if (
    item.kind !== "trouble" &&
    (DOES_NOT.test(said) || /^not /i.test(said)) &&
    NOT_IN_TIME.test(said) &&
    !FOR_GOOD.test(said)
  )
    return NOT_THEN;
  if (SORRY_NO.test(text)) return CANNOT;
  const noSuch = item.kind === "ask" ? [NO_SUCH] : [];
  const yes = isOfWords ? [] : [YES_TO_IT];
  const given = item.kind === "ask" && WANTS_TO_HAVE.test(item.quote) ? [GIVEN_AWAY] : [];
  return turnOf([IS_THERE, LATER, ...yes, ...noSuch, ...given, CANNOT, SURE, ...atWork], said, isNamed);
}
