/** Function words by which a language is known: frequent in every text, rare in the others. Common knowledge, not a corpus. */
const FUNCTION_WORDS: Readonly<Record<string, string>> = {
  English:
    "the and of to in is you that it for was on are with as have be at this but from they not we will can would there their your what when all if our us please me my by so do had has been or an which could should",
  German:
    "der die das und ist nicht ein eine einen dem den des mit sie ich wir ihr für auf von zu im auch sich werden wird bitte haben hat sind wie noch nach bei aus oder uns ihnen kann können vom zum zur über",
  French:
    "le la les des une est dans pour que qui vous nous pas sur avec au aux ce cette être sont votre notre plus ou par mais il elle je merci bonjour du et en ont été si peut pouvez",
  Spanish:
    "el los las una que por para con del se no es su al como más pero sus le ya este esta está son muy usted gracias hola nos todo también cuando puede hay lo un y en",
  Italian:
    "il lo gli una che per con del della non sono di da nel si ha è questo questa come anche alla al più ma ci vi grazie buongiorno le i e in un sua suo può",
  Dutch:
    "de het een van en dat niet is voor met op zijn aan te ik wij u uw ons ook er maar om door bij nog naar wordt worden heeft hebben kunt graag dit die als",
  Portuguese:
    "os as um uma que não para com do da dos das em por mais como mas ao se é são seu sua você obrigado está foi nos também pelo pela já ou muito",
  Swedish:
    "och att det som en på är av för med den till inte har om ett vi jag ni kan ska från så men eller din vår mycket hej tack vid när",
  Polish:
    "i w nie na się z do to że jest jak o za po od są dla czy tak ale być pan pani proszę dziękuję oraz przez który która może już",
};

/** The languages that each function word belongs to. */
const LANGUAGES_OF = new Map<string, string[]>();
for (const [name, words] of Object.entries(FUNCTION_WORDS))
  for (const word of words.split(" ")) LANGUAGES_OF.set(word, [...(LANGUAGES_OF.get(word) ?? []), name]);

/** Words below which nothing can be said of a text's language: a line of a few words may be anything. */
const FEWEST_WORDS = 6;
/** Words that are looked at. */
const MOST_WORDS = 150;
/** Share of function words from which a language is sure; prose has a third and more of them. */
const SURE = 0.18;
/** A text of this many words of which hardly one is a function word of these languages is in yet another one. */
const ENOUGH_WORDS = 20;
const FOREIGN = 0.08;

const APOSTROPHE = /['’]/;

function firstWords(text: string): string[] {
  const words: string[] = [];
  for (const [word] of text.matchAll(/[\p{L}’']+/gu)) {
    words.push(word.toLowerCase());
    if (words.length >= MOST_WORDS) break;
  }
  return words;
}

/**
 * The language that a text is written in, as far as its function words tell: its English name, or null where the text is
 * too short or mixed; "another language" where it is long enough and none of these nine. Letters of other scripts are named by
 * their script.
 */
export function languageOf(text: string): string | null {
  const words = firstWords(text);
  if (words.length < FEWEST_WORDS) return otherScript(text);
  const counts = new Map(Object.keys(FUNCTION_WORDS).map((name) => [name, 0]));
  for (const word of words)
    for (const name of LANGUAGES_OF.get(APOSTROPHE.test(word) ? word.split(APOSTROPHE, 1)[0]! : word) ?? [])
      counts.set(name, counts.get(name)! + 1);
  const shares = [...counts]
    .map(([name, count]) => ({ name, share: count / words.length }))
    .sort((a, b) => b.share - a.share);
  const [best, next] = shares;
  if (best!.share >= SURE && best!.share > next!.share) return best!.name;
  if (words.length >= ENOUGH_WORDS && best!.share < FOREIGN) return otherScript(text) ?? "another language";
  return otherScript(text);
}

const SCRIPTS: readonly (readonly [string, RegExp])[] = [
  ["Japanese", /[\p{Script=Hiragana}\p{Script=Katakana}]/gu],
  ["Chinese", /\p{Script=Han}/gu],
  ["Korean", /\p{Script=Hangul}/gu],
  ["Greek", /\p{Script=Greek}/gu],
  ["a language in Cyrillic letters", /\p{Script=Cyrillic}/gu],
  ["a language in Arabic letters", /\p{Script=Arabic}/gu],
  ["Hebrew", /\p{Script=Hebrew}/gu],
  ["a language in Devanagari letters", /\p{Script=Devanagari}/gu],
  ["Thai", /\p{Script=Thai}/gu],
];

function otherScript(text: string): string | null {
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  if (letters === 0) return null;
  return SCRIPTS.find(([, pattern]) => (text.match(pattern)?.length ?? 0) > letters / 3)?.[0] ?? null;
}

/** Whether the reader, who reads English, can read a text: what is too short to tell is tried. */
export function isReadable(text: string): boolean {
  const language = languageOf(text);
  return language === null || language === "English";
}
