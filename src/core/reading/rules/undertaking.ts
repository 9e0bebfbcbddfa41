import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { phrases } from "../phrases";

const WHEN =
  "(?:today|tonight|tomorrow|this (?:morning|afternoon|evening|week|weekend)|over the weekend|at the weekend|in the morning|next (?:week|month|\\p{L}+day)|(?:on|by|from|before) (?:the |\\d+|\\p{L}+day)|(?:mon|tues|wednes|thurs|fri|satur|sun)day|at (?:\\d+|noon|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)|first thing|in (?:a|an|one|two|three|four|five|six|\\d+) (?:minutes?|hours?|days?|weeks?))";

/** Words by which somebody binds themselves or their house, beside "I will". */
const BOUND = phrases(`
  (?:i|we)(?: hereby| do)? (?:(?:undertake|guarantee|commit|pledge|promise|vow|agree|intend|mean|plan|aim) to (?!be\\b|stay|live|retire|vote|go\\b)\\p{L}+|(?:undertake|guarantee|promise|vow) (?:that|delivery|it|this|you)\\b)
  you (?:can|may) (?:expect|count on|rely on|look forward to)
  you have my (?:word|promise)
  expect (?:my|our|a (?:call|letter|mail|reply|visit|message|proposal|quote|parcel)|an (?:answer|offer|update|email)|it|them|us|me)(?: \\p{L}+){0,6} (?:from (?:me|us)|by|on|in|this|next|tomorrow|today|within|before)
  consider (?:it|that|this|them) (?:done|settled|sorted|sold|booked|ordered)
  count me in
  (?:i|we)(?:'m| am|'re| are) (?:having (?:it|them|the \\p{L}+|your \\p{L}+) (?:\\p{L}+ed|redone|cut|sent|made|built|put right)|getting you (?:a|an|another|the|new))
  (?:i|we) (?:intend|aim|plan|hope|expect) to (?:be (?:done|finished|ready|there|with you|through)|have (?:it|them|her|him|the|your|everything)|deliver|finish|send|complete|ship)\\b
  (?:i|we)(?:'re| are|'m| am) delivering (?:on|by|it|them|the|your)
  delivery (?:is|will be|takes place) (?:${WHEN}|in (?:week|january|february|march|april|may|june|july|august|september|october|november|december))
  comes? later (?:this|next|today)
  ^(?:more|(?:more |further )?details|photos|pictures|figures|report|answer|reply|the rest|draft|plan|invoice|bill|sketch|numbers|list|minutes)(?: \\p{L}+){0,2} (?:follows?|to follow|on \\p{L}+day|tomorrow|tonight|next week|soon)(?=[.!]?$)
  (?:technician|driver|engineer|plumber|electrician|fitter|courier|locksmith|somebody|someone|help|colleague) is on (?:his|her|their|the) way
  (?:somebody|someone|one of us|a colleague)(?: from our (?:side|office|team|house)| of ours)? (?:will|is going to|'ll) (?:call|ring|come|get back|contact|write|be (?:there|with you|in touch)|look|collect|pick|bring|let you)
  (?:office|head office|team|department|workshop|secretary|treasurer|service) will (?:be in touch|write|call|contact|let you|get back|send)
  (?:my|our) (?!mother|father)\\p{L}+ (?:is|are) (?:bringing|sending|picking|collecting|calling|delivering|dropping|fetching) (?:it|them|you|the|your|round|over|up)
  (?:my|our) (?:son|daughter|wife|husband|driver|colleague|man|brother|sister|assistant|neighbour) can (?:fetch|bring|collect|drive|take|pick|help|do) .{0,40}${WHEN}
  you can (?:have|collect|fetch|pick up) (?:it|them|her|him|the \\p{L}+|your \\p{L}+)(?: back| up)? ${WHEN}
  (?:it|they|that)(?:'s|'re| is| are) yours ${WHEN}
  (?:it|they|that|this|everything)(?:'ll| will) (?:not happen again|be (?:on your|fixed|done|taken care of|sorted|repaired|dealt with|seen to|put right|waiting for you)\\b)
  ^(?:will be (?:there|with you|round)(?=[.!]?$)|back to you (?:tomorrow|by|on|with|next)|promise to (?!be\\b))
  give you my word
  rest assured that (?:i|we|our|you) (?:will|shall|'ll)|be assured that (?:i|we|it|our|your|you) (?:will|shall|'ll)
  i(?:'ll| will) (?:see (?:what|whether|if)|be sure to)\\b
  i(?:'ll| will) be (?:there|round|over|here) (?:at|by|on|first) .{1,30} (?:and|to) (?:open|help|start|bring|take|look|fix|set|let|show)
  (?:is|are) coming with (?:the next|tomorrow's|\\p{L}+day's)
  (?:our|my) (?:driver|colleague|man|fitter|engineer|assistant|son|daughter|wife|husband|brother|sister|partner|courier|painter|plumber|boss)(?: \\p{L}+)? (?:brings?|picks?|collects?|rings?|calls?|delivers?|sends?|comes?|drops?|fetches|fixes|mends|takes?)\\b.{0,40} ${WHEN}
  the (?:painter|plumber|electrician|engineer|fitter|driver|technician|surveyor|locksmith|roofer|carpenter|glazier|rigger|sweep|vet|tuner|caretaker|gardener|joiner|mason|tiler|diver|mechanic) (?:will be (?:there|here|with you)|is (?:coming|here)|comes?|calls|starts?)\\b.{0,20} ${WHEN}
  (?:i|we)(?:'m| am|'re| are|'d be| would be)(?: very| more than| quite)? (?:happy|glad|pleased|willing|prepared|ready) to (?!hear|see|say|know|report|be\\b|have|help|discuss|answer|meet|tell|announce|inform|note|learn|read|welcome|find)\\p{L}+
  (?:i|we) can (?:have|bring|send|deliver|come|drop|pick|collect|do|start|ship|post|print|repair|fix|install|cover|take over|stand in|drive|lend|offer you)\\b.{0,80} ${WHEN}
  (?:i|we)(?: will not|'ll not| won't) (?:charge|bill|let you down|forget|disappoint|keep you|touch)
  (?:i|we)(?:'m| am|'re| are) having (?:the|your|a|an|it|them|this|that) .{0,60}(?:ed|en|t)\\b.{0,20}${WHEN}
  (?:i|we)(?: will| shall|'ll)? (?:bear|cover|meet|pay for|take over) (?:the|all|any|your) (?:costs?|bill|expenses?|damage|postage|difference)
  (?:i|we) (?:pick|drop|bring|fetch|collect) (?:it|them|you|her|him)(?: up| off| round| over)? .{0,20}${WHEN}
  (?:i|we) (?:bring|send|collect|pick up|deliver|ring|call|come by|drop|post|start|print|ship|fetch|take|change|repair|replace|correct|make|do|order|pay|book|ask|tell|write|mail|check|finish|fix|put|give|talk|speak|hand|return|credit|clear|look) .{2,60} ${WHEN}
  (?:i|we)(?: would|'d) (?:send|bring|come|deliver|ship|start|collect|fetch|post) .{2,60} ${WHEN}
  (?:it|this|that)(?:'s| is) (?:in my diary|on my list)
  i(?:'m| am) on (?:it|to it|the case)
  we(?:'re| are) on (?:it|the case)
  (?:i|we)(?:'m| am|'re| are) (?:replacing|refunding|crediting|reordering|looking into|seeing to|dealing with|working on (?:it|this|that|the))
  (?:will|shall) be (?!closed|held|open|attended|followed|needed|required|known|pleased|delighted|interested|missed|used|celebrated|shown|played|served|chaired)\\p{L}+(?:ed|en|nt|lt|de|id|ut|ght)\\b.{0,40} ${WHEN}
  (?:will|shall) (?:redo|replace|repair|refund|mend|credit|exchange|correct|reimburse|make good|put right) (?:it|them|this|that|the|your|all|both|you)
  (?:will|should) be (?:on|in|at|with) your \\p{L}+(?: \\p{L}+)? ${WHEN}
  ^(?:and |then |so |but )?(?:i|we) (?:renew|book|order|change|send|bring|ring|call|mend|repair|replace|draw|drive|transfer|credit|refund|fetch|collect|print|post|hand over|start|come back|come by) (?:it|them|you|him|her|the|a|an|this|that|my|our|your|up|over|on|by|to)\\b(?!.*\\b(?:when|whenever|if|most|normally)\\b)
  (?:i|we)(?:'ve| have) (?:put|got) (?:it|that|this) (?:in|on) (?:my|our) (?:diary|list|calendar)
  (?:it|the rest|that|this) (?:goes|is going) (?:out )?to you
  (?:goes|go) (?:in|into) the post (?:today|tomorrow|tonight|this|next|on|by|first)
  (?:goes|go) (?:online|live|up|out|on (?:the|our) (?:website|board|wall)) (?:as soon as|once|when|the moment)
  (?:goes|go) out (?:from us |to you )?${WHEN}
  (?:comes|come) to you ${WHEN}
  you (?:get|find|receive|have) (?:the|your|it|them|our|my|an?|all) .{0,60}${WHEN}
  (?:'s|is|are|will be|'ll be) with you ${WHEN}
  (?:will|'ll) be in (?:the post|the mail|(?:the )?next \\p{L}+)
  (?:keeps?|holds?|reserves?|saves?|sets?|puts?) (?:the|a|an|it|them|one|two|three|your|some|\\d+)\\b .{0,40}(?:\\bfor you|\\baside for)
  (?:i|we) (?:keep|hold|reserve|save|set|put) (?:it|them|one|two|three|the \\p{L}+|your \\p{L}+|\\d+ \\p{L}+) (?:for you|aside|back for you)
  you(?:'ll| will)? find (?:it |them )?(?:on|in|at|under) (?:your|the) (?:\\p{L}+ ){1,3}${WHEN}
  (?:our|my) (?:insur(?:ers?|ance)|company|office|bank|firm|house) (?:pays?|covers?|refunds?|settles?|bears?)
  (?:it|they|that|the \\p{L}+) (?:goes|go) (?:in|back|out|to (?:the|a|our)) .{0,40} ?${WHEN}
`);

const HABIT = /^(?:i|we) \w+ .*\b(?:every|each|always|usually|often)\b/i;

/** "Tomorrow I pick up the costumes." */
const WHEN_FIRST = new RegExp(
  `^(?:${WHEN})[^,]{0,20},? (?:i|we) (?!am|are|was|were|have|had|need|want|open|close|celebrate|move|meet|expect|hold|play|leave|fly|travel|would|should|must|could|can|hope|think|will be|do not|don['’]t)\\p{L}+`,
  "iu",
);

/** "My son will mow it on Saturday". */
const OURS_WHEN = new RegExp(
  `^(?:our|my) (?:[a-zß-ÿ]+ ){1,3}(?:will|shall) (?!be\\b|like|love|know|need|have\\b|not\\b|never|want|miss|enjoy|turn|celebrate)[a-zß-ÿ]+\\b.{0,60}${WHEN}`,
  "i",
);

/** "The drinks I can bring", "thermometer I'll do": the thing first. */
const THING_FIRST =
  /^(?:the |my |our )?[a-zß-ÿ]+ (?:i|we)(?:['’]ll| will| can) (?:do|bring|take|make|buy|get|send|fetch|order|pay|print|write)(?: (?:myself|ourselves|today|tonight|tomorrow|on \p{L}+day))?[.!]*$/iu;

/** "Tom'll bring the trailer round": somebody the reader does not know by address. */
const BY_NAME =
  /^[A-Z][a-zß-ÿ]+(?:['’]ll| will) (?:bring|send|deliver|come|collect|pick|drop|call|ring|look|fix|do|take|get|post|write|meet|fetch|see to|be (?:there|with you|round))\b/;

/** "Our technician will call you": somebody of the writer's house. */
const OF_OUR_HOUSE =
  /^(?:our|my|the undersigned['’]?s?|this) (?:\p{L}+ ){1,3}(?:will|shall|is going to) (?:also |then |now |gladly |be )?(?:call|calling|ring|contact|send|sending|bring|bringing|deliver|delivering|come|coming|collect|pick|visit|arrange|repair|replace|prepare|check|look|write|mail|email|refund|pay|handle|deal|take|install|fix|get|in touch|let|confirm|do|draw|make|drop|meet|see to|sort|be (?:at your|with you|there|on site|round))\b/iu;

/** "You can expect our offer", "we undertake to finish", "our technician will call you": promises without "I will". */
export const undertaking: KindRule = {
  name: "the writer binds themselves",
  confidence: 0.75,
  counts: 1.3,
  says: "promise",
  find({ text }) {
    const bare = bareClause(text);
    if (
      /\?$/.test(text) ||
      /^(?:if|whether|unless|because|although) /i.test(bare) ||
      /\bif you (?:like|want|wish)\b/i.test(text)
    )
      return null;
    // "I ring the bell every morning" is a habit.
    if (HABIT.test(bare)) return null;
    return BOUND.test(bare) ||
      WHEN_FIRST.test(text) ||
      OF_OUR_HOUSE.test(bare) ||
      OURS_WHEN.test(bare) ||
      THING_FIRST.test(bare) ||
      BY_NAME.test(bare)
      ? "promise"
      : null;
  },
};
