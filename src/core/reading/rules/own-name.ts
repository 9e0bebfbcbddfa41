import { type KindRule, namedIn } from "../kind-rule";
import { doesAsNoted } from "../noted";

/** "Heating: Ruth writes to the landlord", or the name at the head. */
const HEAD = /^(?:[^:]{2,40}:\s)?$/;

const DAY =
  /\b(?:by|on|until|before) (?:the |\d|mon|tues|wednes|thurs|fri|satur|sun|tomorrow)|\b(?:today|tomorrow|tonight)\b/i;

const WILL = /^ (?:will|shall|is going to|to)\s+(?!be (?:away|out|off|back|there|here|in)\b)\w/;

/** "Ruth will write to the landlord", in notes that Ruth wrote: her own promise. */
export const ownName: KindRule = {
  name: "the writer by name, and what they will do",
  confidence: 0.9,
  isCertain: true,
  find({ text, isListItem }, { writer, isNotes }) {
    const [name] = writer ? namedIn(text, [writer]) : [];
    if (!name || !HEAD.test(text.slice(0, name.at))) return null;
    const behind = text.slice(name.end);
    if (/\?$/.test(text)) return null;
    return WILL.test(behind) || (doesAsNoted(behind) && (isListItem || isNotes || DAY.test(text))) ? "promise" : null;
  },
};
