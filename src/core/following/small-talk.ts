import { isRegards } from "../reading/rules/regards";

const GOOD =
  "(?:good|nice|great|lovely|pleasant|relaxing|restful|quiet|wonderful|happy|safe|merry|sunny|peaceful|smooth|fine)";

/** "Thank you for your mail.", "thanks for asking" */
const THANKS =
  /^(?:(?:hello|hi|good \w+),? )?(?:and )?(?:(?:many|very many|warm|best) )?(?:thanks|thank you|ta)(?: (?:very|so) much| a lot| again| both| all| kindly)*(?: for (?:your|the|this|that|yesterday['’]s) (?:\p{L}+ ){0,2}(?:(?:e-?)?mail|message|letter|note|reply|answer|call|patience|interest|help|support|understanding|enquiry|inquiry|question|reminder|words|time|visit|trust|feedback|thoughts|flowers|invitation|hospitality)(?: (?:yesterday|today|this morning|last (?:week|night)|of (?:yesterday|today)))?| for (?:asking|writing|calling|getting (?:in touch|back(?: to (?:me|us))?)|letting (?:me|us) know|telling (?:me|us)|coming|thinking of (?:me|us|it)))?[\s.!]*$/iu;

/** "I hope you had a good weekend.", "hope all is well" */
const HOPES = new RegExp(
  `^(?!.*\\b(?:if|by|until|before|when|send|bring|get)\\b)(?:and |so )?(?:(?:i|we) (?:do |really |very much )?(?:hope|trust)|hope|hoping|trusting)(?: that)? (?:(?:you|they|he|she|all|everyone|everybody|everything|things|(?:your|the) \\w+(?: \\w+)?|it|this)(?: (?:both|all))?(?: (?:are|is|were|was|have been|has been)|['’]re|['’]s) (?:\\w+ )?(?:well|fine|better|okay|ok|all right|keeping|enjoying|having|feeling|warm|safe|rested|recovering|recovered|${GOOD})|you(?:['’]ve| have)?(?: all| both)? (?:had|have|spent|enjoyed|got (?:home|back)|feel|slept)\\b(?! (?:the|it|them|my|our|received|got|found|sent)\\b)|(?:this|my) (?:(?:e-?)?mail|message|letter|note) finds|(?:it|all|everything|the \\w+) went (?:well|smoothly))\\b[^,;:?]{0,60}$`,
  "i",
);

/** "It's been raining here all day.", "we had a lot of snow", "the sun is shining at last" */
const WEATHER =
  /^(?!.*\b(?:again|still)\b)(?:and |but |so |well,? )*(?:(?:it['’]s|it is|it was|it has been|it['’]s been|it had been) (?:\p{L}+ )?(?:rain|snow|pour|freez|drizzl|storm)ing\b|(?:it['’]s|it is|it was|it has been|it['’]s been) (?:\p{L}+ ){0,2}(?:cold|hot|warm|wet|windy|sunny|stormy|rainy|foggy|mild|icy|grey|winter|summer|spring|autumn)\b(?=.* (?:here|outside|today|at last|out there|over here|down here|up here|in (?:the|these) (?:hills|valley|mountains))\b|[.!]*$)|(?:we(?:['’]ve)?(?: have| had| got)*|there (?:is|was|has been)) (?:a lot of|so much|some|nothing but|plenty of|lots of) (?:rain|snow|sun|sunshine|wind|frost|fog)\b|(?:the|what) (?:a )?(?:\p{L}+ )?(?:sun|rain|snow|weather|wind|frost|fog|storm)(?:['’]s| is| was| has been)? (?:shining|falling|blowing|finally|lovely|awful|dreadful|terrible|glorious|beautiful|good|bad|wonderful|fine|back|at last|today|this)\b)[^,;:?]{0,60}$/iu;

/** "Nice to hear from you.", "it was good to meet you" */
const PLEASED =
  /^(?:and |so )?(?:it(?:['’]s| is| was| has been) |how |so |very )*(?:(?:really|so|very) )?(?:nice|good|lovely|great|wonderful|kind|a (?:real )?pleasure|delightful)(?: of you)? (?:to (?:hear|see|meet|talk|speak|chat|have (?:met|seen|you|spoken)|read (?:from|your)|be in touch)|meeting|seeing|talking|hearing|speaking|chatting)\b[^,;:?]{0,60}$/i;

/** "See you on Friday.", "looking forward to it", "all the best to your family" */
const PARTING =
  /^(?:and |so |well,? |then )*(?:(?:i['’]?ll |we['’]?ll )?(?:see|talk to|speak to|meet) you\b(?! (?:when|if|about|at your))(?!.*\b(?:with|bring|collect|sign)\b)[^,;:?]{0,40}|(?:i['’]m |we['’]re |i am |we are )?(?:all |very much |really )?looking forward to (?:it|that|this|seeing|meeting|(?:mon|tues|wednes|thurs|fri|satur|sun)day|next)\b[^,;:?]{0,40}|(?:my |our |the |very |with |please give my )*(?:best|kind|warm|warmest|kindest|many|good|all good) (?:wishes|regards|greetings)\b[^,;:?]{0,40}|greetings (?:from|to)\b[^,;:?]{0,40}|all the best\b[^,;:?]{0,40}|take care(?: of yourself)?|(?:have|wishing you|i wish you|we wish you) an? (?:\p{L}+ )?(?:day|week|weekend|evening|time|trip|holiday|start|christmas|easter|summer|journey|rest)\b[^,;:?]{0,40}|until (?:then|soon)|bye(?: for now)?|cheers)[\s.!]*$/iu;

/** "Good morning", "we had a quiet week" */
const PASSING =
  /^(?:hello|hi|good (?:morning|afternoon|evening|day)(?: to you(?: all)?)?|(?:i|we)(?:['’]ve)? (?:had|have had|spent) an? (?:\p{L}+ )?(?:good|nice|great|lovely|quiet|busy|hectic|long|short|pleasant|peaceful|relaxing|wonderful) (?:\p{L}+ )?(?:day|week|weekend|evening|time|trip|holiday|journey|christmas|easter|summer|winter))[\s,.!]*$/iu;

const TALK = [PASSING, THANKS, HOPES, WEATHER, PLEASED, PARTING];

/** Whether words are talk beside the matter: thanks for a letter, the weather, good wishes. They are no answer to anything. */
export function isSmallTalk(text: string): boolean {
  return isRegards(text) || TALK.some((pattern) => pattern.test(text));
}
