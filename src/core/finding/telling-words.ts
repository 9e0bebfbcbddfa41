/** Words that stand in every letter and tell no thing from another. */
const COMMON = new Set(
  `a about above after again all already also although always am an and any anybody anyone anything are around as ask at away
  back be because been before being below best better between both but by came can cannot come comes coming could did do does
  doing done down due each early either else end enough even ever every everybody everyone everything few find first for forget
  found from further gave get gets getting give given gives go goes going gone good got great had half happy has have having he
  hello help her here hers hi him his how however i if in instead into is it its just keep kind kindly know last late later
  least leave left less let like likely little long look looks lot made make makes many may maybe me mean might mind mine more
  morning most much must my near need needed needs neither never new next no nobody none nor not nothing now of off
  often ok okay old on once one ones only or other others our ours out over own people perhaps please point
  possible put quite rather ready really regards rest said same saw say says see seem seen send sending sends sent set
  several shall she should since so some somebody someone something soon sorry still such sure take taken takes tell than thank
  thanks that the their them then there these they thing things think this those though through thus till time to today together
  tomorrow too took toward try two three four five six seven eight nine ten under until up upon us use used very via wait want
  wanted wants was way we week weeks well went were what when where whether which while who whom whose why will wish with within
  without would write wrote year yes yesterday yet you your yours day days monday tuesday wednesday thursday friday
  saturday sunday january february march april may june july august september october november december dear cheers pm noon
  yep yeah nope ought able fine suits patience`
    .split(/\s+/)
    .filter(Boolean),
);

/** The stem of an English word, cut as little as is needed to hold "nets" and "net", "booked" and "book" for the same. */
function stemOf(word: string): string {
  if (word.length <= 3) return word;
  const plain = word.replace(/['’]s$/, "");
  if (/(?:ss|us|is)$/.test(plain)) return plain;
  if (/ies$/.test(plain)) return `${plain.slice(0, -3)}y`;
  if (/(?:[sxz]|ch|sh)es$/.test(plain)) return plain.slice(0, -2);
  const single = plain.replace(/s$/, "");
  const bare = single.replace(/(?:ing|ed)$/, "");
  if (bare.length < 3 || bare === single) return single.replace(/e$/, "");
  return bare.replace(/([bdfgklmnprt])\1$/, "$1");
}

/** Words that say nothing of what is done: of these even verbs are left out. */
const EMPTY = new Set(
  "a an the i you he she it we they me him her us them my your his its our their this that these those and or but so to of in on at by for with from as is are was were be been am do does did have has had will would can could shall should may might must not no please kindly".split(
    " ",
  ),
);

/** The stems of all words of a text but the emptiest, also of those that stand in every letter: the verb of an ask is among them. */
export function stems(text: string): Set<string> {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  return new Set(words.filter((word) => !EMPTY.has(word)).map(stemOf));
}

/** The words of a text that tell what it is about, as stems, each once. Figures count where they say what is meant ("RAL 5010"). */
export function tellingWords(text: string): Set<string> {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? [];
  const telling = words
    .flatMap((word) =>
      word.includes("-") ? [word, ...word.split("-")] : [word.replace(/^(\d+)(?:st|nd|rd|th)$/, "$1")],
    )
    .filter(
      (word) =>
        !COMMON.has(word) && !COMMON.has(word.replace(/['’].*$/, "")) && (word.length > 2 || /\d{2}/.test(word)),
    );
  return new Set(telling.map(stemOf).filter((word) => word.length > 1 && !COMMON.has(word)));
}
