import { taggedWords } from "./words";

/** A turn of phrase of letters, and how a title says it. */
type Turn = readonly [RegExp, string];

function turned(text: string, turns: readonly Turn[]): string {
  return turns.reduce((said, [turn, instead]) => said.replace(turn, instead), text);
}

/** "Yes please, book it", "Thanks Bryn, please book it", "if you want it we would love it and can you tell me what it costs". */
const BEFORE_AN_ASK: readonly Turn[] = [
  [/^(?:yes(?: please)?|ok|okay|thanks|thank you|great|perfect|fine)(?: \p{Lu}[\p{L}-]+)?[,!.;–-]\s+(?=\S+ \S+)/iu, ""],
  // "The price for the flue is missing on page 2, please add it": "it" is the price.
  [
    /^((?:the|our|your|my) [^,.;:]{3,40}?) (?:is|are|was|were|has|have)\b[^,.;:]*, (?:so )?please (?:also )?(\p{Ll}+) (?:it|them)\b/iu,
    "$2 $1",
  ],
  // "The bridge is down, please come over", "Cue 41 is late, Bash to check the desk".
  [
    /^(?:the|our|your|my|an?|we|i|it|there|this|that|you|\p{L}+ (?:is|are|was|were)) .{6,}?, (?:so )?please (?:also )?(?=\p{Ll}+ \S)/iu,
    "",
  ],
  [/^.{6,}?, \p{Lu}\p{L}+ to (?=\p{Ll}+ \S)/u, ""],
  [
    /^(?!(?:could|can|would|will|please)\b).{12,}?[\s,]+(?:and|so|but) (?:also )?(?:can|could|would|will) you (?:please )?(?=\p{Ll})/iu,
    "",
  ],
];

const SO_MANY = "(?:also |still |really |just |now |do |would |will |shall |then )*";

/** What is done to the thing that is needed, at its end: "the roof fixed by noon". */
const DONE_TO = "(?:\\w{2,}ed|done|ready|sent|made|cut|put|back|closed)";
const TILL_THE_END = "(?=[\\s,.]*(?:(?:by|before|for|from|at|in|on|until|to|with)\\b.*)?$)";

/** Wishes and needs, with whoever has them in place of "I" and "we". */
const wishes = (who: string): readonly Turn[] => [
  [
    /^(?:i|we) (?:should|would) (?:also )?(?:be (?:very |most )?(?:grateful|obliged|glad|pleased)|appreciate it) if (?:you|someone|somebody) (?:could|would) /i,
    "",
  ],
  [
    /^(?:i|we)(?: should| would|['’]d) (?:also )?be (?:very |most )?(?:grateful|obliged|glad) for (?=\S)/i,
    `Get ${who} `,
  ],
  [
    /^(?:can|could|may|might) (?:i|we) (?:also |please |just )*(?:have|get) (?=(?:the|an?|your|some|more|another|two|three|\d+) )/i,
    `Get ${who} `,
  ],
  [/^(?:i|we)(?:['’]m| am|['’]re| are) (?:still )?waiting for (?=(?:the|your|an?|his|her|their) )/i, `Get ${who} `],
  [
    new RegExp(
      `^(?:i|we)(?: should| would|['’]d)? (?:also )?(?:like|want) ((?:\\S+ ){1,8}?${DONE_TO})${TILL_THE_END}`,
      "i",
    ),
    "Get $1",
  ],
  [
    /^(?:i|we)(?: should| would|['’]d)? (?:also )?(?:like|want|appreciate) (?=(?:an?|the|your|some|more|two|three|\d+) )/i,
    `Get ${who} `,
  ],
  [
    new RegExp(
      `^(?:i|we) ${SO_MANY}need to know (?:as well |too |also )?(?=(?:whether|if|when|which|what|who|how|where|why)\\b)`,
      "i",
    ),
    `Tell ${who} `,
  ],
  [new RegExp(`^(?:i|we) ${SO_MANY}(?:need|have) to (?!(?:know|say|admit|tell)\\b)(?=\\p{Ll})`, "iu"), ""],
  [/^(?:i|we)(?: would|['’]d)(?: also| really)? like to (?!(?:know|see|thank|say|hear|point|add)\b)(?=\p{Ll})/iu, ""],
  [new RegExp(`^(?:(?:i|we) )?${SO_MANY}need ((?:\\S+ ){1,8}?${DONE_TO})${TILL_THE_END}`, "i"), "Get $1"],
  [new RegExp(`^(?:(?:i|we) )?${SO_MANY}need (it|them|this|that|these|those)\\b`, "i"), `Get $1 to ${who}`],
  [
    new RegExp(
      `^(?:(?:i|we) )?${SO_MANY}need (?!(?:to|you|someone|somebody|anyone|until|till|not|no|nothing)\\b)(?=\\S+ \\S)`,
      "i",
    ),
    `Get ${who} `,
  ],
];

/** "Get Bryn a lift plan off you": of whom it is wanted is the owner. */
const OFF_YOU = /^(Get .*?) (?:off|from) you\b/;

/** An ask in the words of a title, as far as its first words go. @param who first name of its writer */
export function askInTitle(text: string, who: string | null): string {
  const plain = turned(text, BEFORE_AN_ASK).replace(
    /^(\p{Ll}+ )(The|Our|Your|My)\b/u,
    (_, verb: string, article: string) => `${verb}${article.toLowerCase()}`,
  );
  return who === null ? plain : turned(plain, wishes(who)).replace(OFF_YOU, "$1");
}

/** Verbs behind "I" and "we" that tell how something is, not what will be done. */
const TELLS =
  "am|are|was|were|have|had|could|would|might|may|must|should|cannot|can['’]t|do|did|think|hope|know|said|says|want|need|like|love|promised?";

/** "I'm sending it", "we are now gluing it". */
const AT_WORK = /^(?:i|we)(?:['’]m| am|['’]re| are) (?:now |just |also |already )*(\p{Ll}+ing) (?=\S)/iu;

/** "I'm sending it" → "send it". */
function atWorkOn(text: string): string {
  return text.replace(AT_WORK, (whole: string, doing: string) => {
    if (doing === "going") return whole;
    const [, tagged] = taggedWords(`Am ${doing} it`);
    return tagged && tagged.lemma !== doing ? `${tagged.lemma} ` : whole;
  });
}

/**
 * A promise in the words of a title: "I'll send it" → "send it", "you will have it" → "Get it to us".
 * @param you whom its writer calls "you", as the reader of the title says it
 */
export function promiseInTitle(text: string, you: string): string {
  return turned(atWorkOn(text), [
    [/^(?:will do|ok|okay|yes|sure|of course|gladly|with pleasure)[,.;]? (?=(?:you|i|we)\b)/i, ""],
    [/^you(?:['’]ll| will| shall| should)? (?:have|get|receive) (.+?)(?: from (?:me|us))?$/i, `Get $1 to ${you}`],
    [/^(?:(?:i|we)(?:['’]ll| will| shall) )?have (.+?) with you\b/i, `Get $1 to ${you}`],
    [
      /^(?:i|we)(?:['’]ll| will| shall| can| should be able to|['’]m going to| am going to|['’]re going to| are going to| promise to)\s+(?:also |then |just )*/i,
      "",
    ],
    [/^(?:[Ww]ill|[Ii]ll|[Ww]ell) (?:also |then |just )*(?=\p{Ll})/u, ""],
    [/^(?:i|we) do (?=(?:the|it|that|this|them|my|our|your)\b)/i, "do "],
    [new RegExp(`^(?:i|we) (?!(?:${TELLS})\\b)(?=\\p{Ll}+ )`, "iu"), ""],
  ]);
}
