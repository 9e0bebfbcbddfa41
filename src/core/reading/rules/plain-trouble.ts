import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

const WE_HAVE = "(?:(?:i|we)(?:['’]ve| have)?(?: just| also| already)? )";
const WE_ARE =
  "(?:(?:i|we)(?:['’]m| am|['’]re| are| will be|['’]ll be)(?: now| still| already| nearly| almost| completely)? )";
const THING = "(?:it|this|that|the|our|my|your|one of the|half of the)(?: [a-zß-ÿ\\d'’-]+){0,4}";
const TAIL =
  "(?: (?:again|now|today|this morning|yesterday|last night|since [a-zß-ÿ ]{3,30}|at all|any ?more|yet|properly|on (?:mon|tues|wednes|thurs|fri|satur|sun)day|in the [a-zß-ÿ]+))*";

/** Turns in which every office reports that something has gone wrong; each is a whole clause. */
const TURNS = [
  `${WE_HAVE}(?:lost|mislaid|broken|broke|dropped|damaged|scratched|spilled|spilt|torn|deleted|cracked) (?:my|our|the|your|one of the|two of the|half of the|a)(?! (?:ice|record|news|silence|ground|habit|mould|bet)\\b)(?: [a-zß-ÿ\\d'’-]+){1,4}`,
  `${WE_HAVE}(?:forgot|forgotten) to (?!mention|say|thank|tell|add|ask|congratulate|attach|enclose)[a-zß-ÿ]+(?: [a-zß-ÿ\\d'’-]+){1,6}`,
  `${WE_ARE}(?:(?:running )?(?:behind schedule|behind with the [a-zß-ÿ]+)|running late(?: with the [a-zß-ÿ ]{2,30})?|late with (?:the|our|your)(?: [a-zß-ÿ'’-]+){1,4})`,
  `${WE_ARE}(?:right )?out of (?!office|the office|town|the woods|danger|reach|season|bed|the house|touch|practice|here|it\\b)(?:[a-zß-ÿ'’-]+)(?: (?!hand)[a-zß-ÿ'’-]+){0,2}`,
  `(?:nobody|no one|not one of (?:them|you)|none of them)(?: has| have)?(?: yet)? (?:paid|answered|replied|applied|registered|signed up|turned up|come|shown up|booked)(?: so far| until now)?`,
  `${THING}(?: has| have)? (?:expired|lapsed|bounced|crashed|burst|collapsed|jammed|frozen|frozen up|caved in|given out|come apart|fallen (?:off|down|apart|over|through))`,
  `${THING} (?:is|are|was|were) (?:far |much |way |a (?:bit|little) )?too long(?: for [a-zß-ÿ ]{2,30})?`,
  `(?:water|rain|oil|smoke|gas|damp|snow) (?:is|was|keeps) (?:coming|dripping|running|leaking|getting|seeping|pouring) (?:through|in|into|out|from|down)\\b[^,;]{0,40}`,
  `${THING} keeps (?:crashing|freezing|failing|breaking|jamming|leaking|stopping|falling (?:off|down|over)|tripping|overheating|switching itself off|cutting out|losing [a-zß-ÿ]+)`,
  `${THING} (?:does(?:n['’]t| not)|do(?:n['’]t| not)|won['’]t|will not) (?:turn on|switch on|light|charge|lock|shut|flush|drain|heat|cool|print|scan|boot|respond|ring)`,
  `nothing (?:works|is working)`,
  `(?:you|they|he|she|we|i)(?:['’]ve| have| has)? (?:charged|billed|invoiced|paid|booked|ordered|delivered|entered|counted|listed|debited) [^;?]{2,60}(?:(?:twice|double)(?! (?:a|the|as|that|per|every)\\b)|both in [^;?]{2,40} and (?:in |on )?[^;?]{2,30})`,
  `${THING} (?:is(?:n['’]t| not)|are(?:n['’]t| not)|was(?:n['’]t| not)|were(?:n['’]t| not)) (?:on|in|among|listed (?:on|in)|shown (?:on|in)|mentioned (?:on|in)|part of) (?:my|our|the|your|this|their|his|her|any)(?: [a-zß-ÿ'’-]+){0,2} (?:list|bill|invoice|statement|pay ?slip|payslip|account|plan|order|rota|roster|website|page|menu|programme|delivery|parcel|box|crate|contract|calendar|schedule|quote|offer|drawing|report|minutes|catalogue|brochure)`,
  `(?:of (?:the|our|my|these|those)(?: [a-zß-ÿ'’-]+){1,3},? )?(?:there(?:['’]s| is| are)|(?:i|we)(?:['’]ve| have)(?: got)?) only (?:(?!days?\\b|weeks?\\b|hours?\\b|minutes?\\b|months?\\b|pages?\\b)[a-zß-ÿ\\d'’-]+ ){1,4}left`,
  `you(?:['’]ve| have)? (?:just )?(?:sent|delivered|brought|given|gave|shipped) (?:me|us) (?:the wrong|a wrong|(?:a|the|some|two|three|\\d+) (?:[a-zß-ÿ]+ (?:of|with) )?(?:somebody|someone) else['’]s|(?:somebody|someone) else['’]s)\\b[^,;]{0,60}`,
  `(?:somebody|someone|thieves|burglars|vandals)(?: has| have|['’]ve|['’]s)? (?:stole|stolen|broke into|broken into|damaged|smashed|scratched|cut|slashed|broke|broken|run over|reversed into|driven into) (?:the|our|my|one of|two of|into)\\b[^,;]{0,40}`,
  `${THING} (?:stays|stayed|remains|remained|went|has gone) (?:black|dark|blank|cold|dead|blocked|stuck|wet)`,
  `${THING} (?:is|are|was|were)(?: not|n['’]t) (?:cold|warm|hot|big|long|wide|strong|clean|sharp|deep|high|thick|bright|loud|dry|straight) enough(?: for [a-zß-ÿ ]{2,30})?`,
];

/** All of them at once; a letter of the languages that are read is found much quicker than one of any language. */
const PLAIN = new RegExp(`^(?:${TURNS.join("|")})${TAIL}[.!]*$`, "i");

/** Characters of the longest such clause. */
const LONGEST = 120;

/** "We are out of paper", "it keeps crashing", "I've lost my key": trouble in the words of every office. */
export const plainTrouble: KindRule = {
  name: "what every office calls trouble",
  confidence: 0.93,
  says: "trouble",
  find({ text }) {
    const told = bareClause(toldIn(text));
    return told !== "" && told.length <= LONGEST && PLAIN.test(told) ? "trouble" : null;
  },
};
