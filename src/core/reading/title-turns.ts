/** A turn of phrase of letters, and how a title says it. */
type Turn = readonly [RegExp, string];

function turned(text: string, turns: readonly Turn[]): string {
  return turns.reduce((said, [turn, instead]) => said.replace(turn, instead), text);
}

/** "Yes please, book it", "Thanks Bryn, please book it", "if you want it we would love it and can you tell me what it costs". */
const BEFORE_AN_ASK: readonly Turn[] = [
  [/^(?:yes(?: please)?|ok|okay|thanks|thank you|great|perfect|fine)(?: \p{Lu}[\p{L}-]+)?[,!.;–-]\s+(?=\S+ \S+)/iu, ""],
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
  [/^(?:i|we) (?:should|would) (?:also )?be (?:very |most )?(?:grateful|obliged|glad) for (?=\S)/i, `Get ${who} `],
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
  const plain = turned(text, BEFORE_AN_ASK);
  return who === null ? plain : turned(plain, wishes(who)).replace(OFF_YOU, "$1");
}

/** Verbs behind "I" and "we" that tell how something is, not what will be done. */
const TELLS =
  "am|are|was|were|have|had|could|would|might|may|must|should|cannot|can['’]t|do|did|think|hope|know|said|says|want|need|like|love|promised?";

/**
 * A promise in the words of a title: "I'll send it" → "send it", "you will have it" → "Get it to us".
 * @param you whom its writer calls "you", as the reader of the title says it
 */
export function promiseInTitle(text: string, you: string): string {
  return turned(text, [
    [/^you(?:['’]ll| will| shall| should)? (?:have|get|receive) (.+?)(?: from (?:me|us))?$/i, `Get $1 to ${you}`],
    [/^(?:(?:i|we)(?:['’]ll| will| shall) )?have (.+?) with you\b/i, `Get $1 to ${you}`],
    [
      /^(?:i|we)(?:['’]ll| will| shall| can| should be able to|['’]m going to| am going to|['’]re going to| are going to| promise to)\s+(?:also |then |just )*/i,
      "",
    ],
    [/^(?:will|ill|well) (?:also |then |just )*(?=\p{Ll})/u, ""],
    [new RegExp(`^(?:i|we) (?!(?:${TELLS})\\b)(?=\\p{Ll}+ )`, "iu"), ""],
  ]);
}
