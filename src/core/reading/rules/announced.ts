import type { KindRule } from "../kind-rule";

/** "Could I ask one more favour?", "I am afraid I must trouble you again": what it is about follows. */
const ANNOUNCES_ONLY =
  /^(?:(?:and|so|but|well|now)[,\s]+)*(?:(?:could|can|may|might) i (?:just |also )?(?:ask|beg|trouble) (?:you )?(?:for |of you )?(?:a|an|one|another|two) (?:(?:more|last|other|further|small|little|quick|big|great|tiny) )*(?:favou?rs?|questions?|things?)\b[^.?!]{0,20}[.?!]*$|(?:i(?:['’]m| am) (?:afraid|sorry)(?: that)? )?i (?:must|have to|need to) (?:trouble|bother|disturb|pester) you (?:again|once more|with\b)|i(?:['’]m| am)? ?(?:only |just )?(?:asking|mentioning (?:it|this)|saying (?:it|this)) (?:because|since|as)\b|(?:only |just )?asking (?:because|since|as)\b)/i;

/** "Two things before we can sign off the groundworks.": what they are follows. */
const COUNTS_THEM =
  /^(?:just |only )?(?:one|two|three|four|five|a few|a couple of|several|some) (?:(?:small|quick|more|other|last) )*(?:things?|points?|questions?|matters?|items?|requests?) (?:before|from|for|about|on) [^,:;?]{2,60}[.:]$/i;

/** What only says that an ask or a point follows. */
export const announced: KindRule = {
  name: "only says that something follows",
  confidence: 1,
  says: "nothing",
  find({ text }) {
    return ANNOUNCES_ONLY.test(text) || COUNTS_THEM.test(text.trim()) ? "nothing" : null;
  },
};
