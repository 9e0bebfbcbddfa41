import type { TextPart } from "../letters/letter";
import { isTableLine } from "../letters/table-line";
import { type Columns, columnsIn, rowIn, type TableRow } from "./action-table";
import { announcedIn } from "./announced";
import { type Block, blocksOf } from "./blocks";
import { isImperative } from "./imperative";
import { saysHowUrgent } from "./priority";

/** A sentence, or the part of one that stands for itself. `text` has its line breaks as single spaces. */
export interface Clause {
  readonly start: number;
  readonly end: number;
  readonly text: string;
  /** The name a line begins with ("Mira: …"), or the line that leads into a list. */
  readonly lead: string | null;
  readonly isListItem: boolean;
  /** Whether its sentence ends with a question mark, though another clause may stand before the mark. */
  readonly asks: boolean;
  /** Number of the paragraph, so that an addressee can hold until the next one. */
  readonly block: number;
  /** What else its row says, where it stands in a table of actions. */
  readonly row?: TableRow;
}

/** "Newspapers yes, cigarettes no. Emeka will call": what shortens a word before a number or a month, and ends a sentence before others. */
const ALSO_A_WORD = /\b(?:no|mon|tues?|wed|thurs?|fri)\.$/i;
const ANEW =
  /^\s+(?!(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*\b\.?(?:\s\d|$))(?:\p{Lu}\p{Ll}|I\b|A\b)/u;

const ABBREVIATION =
  /\b(?:e\.g|i\.e|mr|mrs|ms|dr|st|no|nr|approx|incl|ca|vs|etc|fig|p\.s|tel|ext|ref|dept|co|ltd|inc|a\.m|p\.m|jan|feb|mar|apr|jun|jul|aug|sept?|oct|nov|dec|resp|max|min|avg|temp|vol|pp|para|sect?|art|cf|viz|al|bzw|inkl|assoc|est|mtg|wk|hrs|mins?|qty|ltd|plc|gen|prof|rev|hon|sr|jr|mon|tues?|wed|thurs?|fri)\.$/i;

/** Places where a sentence goes on with something of its own: "…, and could you …", "; please …". */
const CLAUSE_START =
  /(?:,|;|:|\s[-–—])?\s+(?:and|but|so|then|also)\s+(?=(?:also |then |please |kindly )*(?:could|can|would|will|please|do|don['’]t|is|are|when|what|which|who|where|how|i|we|you|let|make|tell|send|ask|check|ring|call|have|sign|mail|give|propose|suggest|come|bring|take|use|keep|hold|stop|try|find|change|move|pay|order|book)\b)|,?\s+and\s+(?=(?:the rest|the others?|the remainder)\b)|\s+and\s+(?=(?:get|put|add|fill|return|repeat|remove|replace|collect|fetch|clean|measure|paint|write|deliver|arrange|prepare|finish|start|cancel|confirm|forward|print|invite|inform|remind|ring|send)\s)|,\s+(?=(?:somebody|someone|everyone|everybody) (?:has|needs|must|should|will)\b)|,?\s+(?:and|but|while|so)\s+(?:then\s+)?(?=[a-zß-ÿ]+ (?:has to|have to|will|needs to|should|must|can you|could you|is to|please)\b)|,\s+(?:and|but)\s+(?=(?:the|your|our|his|her|their|both|all|one|two) [a-zß-ÿ -]{2,30}? (?:should|must|has to|have to|needs to|need to|will|is|are|was|were|has|have)\b)|,\s+and\s+(?=if [^,;]{3,60}, (?:please |just )?(?:tell|let|send|ring|call|ask|bring|take|give|put|use|do not|don['’]t)\b)|,?\s+and\s+(?!(?:january|february|march|april|may|june|july|august|september|october|november|december|mon|tues|wednes|thurs|fri|satur|sun))(?=[a-zß-ÿ]+[,:]\s)|,\s+(?:so|but)\s+(?=[a-zß-ÿ]+[\s’'])|;\s+|\s[–—-]\s|,\s+(?=(?:please(?!\s*[,.!]|$)|could you|can you|would you|(?:do not|don['’]t) (?!you|we|they|i\b|get me|know)[a-z]+ |i['’]ll|we['’]ll|i will|we will|(?:i['’]m|we['’]re) (?!\w+ing (?:that|to)\b)\w+ing|will (?!you\b|we\b|they\b|he\b|she\b|it\b|be\b|not\b|have\b)[a-zß-ÿ]+ ))|,\s+(?=\p{L}+,? (?:can|could|would|will) you )|,\s+(?=\p{L}+ (?:what|where|who|how)(?:['’]s)? )|,\s+(?=\p{L}+ [a-z]+s (?:to|the|a|an|it|them|him|her|new|all|this|that|in|on|up|out|back|for|by|there|here|round|home|along)\b)|,\s+(?:or\s+)?(?=(?:is|are|was|were|do|does|did|has|have|can|could|shall|should|will|would|may|which|what|when|where|who|how|why) \p{L}+ )/iuy;

/** Where one can begin: at a sign, or at the space before one of its words. Elsewhere the pattern is not tried. */
const MAY_BEGIN = /[,;:](?=\s)|\s(?=(?:and|but|while|so|then|also)\s|[-–—]\s)/giu;

/** Every place of `CLAUSE_START` in a sentence, from left to right. */
function* clauseStarts(sentence: string): Generator<RegExpExecArray> {
  let end = 0;
  for (const { index } of sentence.matchAll(MAY_BEGIN)) {
    if (index < end) continue;
    CLAUSE_START.lastIndex = index;
    const match = CLAUSE_START.exec(sentence);
    if (!match) continue;
    end = index + match[0].length;
    yield match;
  }
}

/** "They'd like it indoors, is the orangery free?": a question behind what is said first. */
const ASKS_BEHIND = /^,\s+(?:or\s+)?$/i;
/** What goes on behind a comma whatever stands before it. */
const GOES_ON =
  /^(?:\p{L}+,? (?:can|could|would|will) you\b|please|could you|can you|would you|(?:do not|don['’]t) [a-z]+|i['’]ll|we['’]ll|i will|we will|(?:i['’]m|we['’]re) \w+ing|will (?!you\b|we\b|they\b|he\b|she\b|it\b|be\b|not\b|have\b)[a-zß-ÿ]+ )/iu;
/** What leads into a question, or asks already: then it is one. */
const LEADS_IN =
  /^(?:if|when|whenever|once|as|since|because|although|though|while|given|should|in case|after|before|apart|instead|so|and|but|or|now|then|is|are|was|were|do|does|did|has|have|can|could|shall|will|would|may|which|what|where|who|how|why|hi|hello|dear)\b/i;
const SAYS_SOMETHING =
  /\b(?:is|are|was|were|has|have|had|does|did|will|would|can|could|shall|should|must|may|might|needs?|wants?)\b|['’](?:s|re|ve|ll|d|m)\b|^[a-z]{3,}ing\b/i;

/** Half a sentence that cannot stand alone. */
const ONLY_WHEN =
  /^(?:(?:and|but|so) )?(?:when(?:ever)?|once|as soon as|if|in case|before|after|since|while|should) [^,;:]{3,60}$/i;

/** "Two tyres are rotten, Gus orders new ones": somebody by name, and what is theirs. */
const NAMED_DOES =
  /^\p{Lu}\p{Ll}+ (?!(?:is|was|has|says|does|likes|loves|knows|thinks|wants|needs|seems|looks|asks)\b)[a-z]+s \S/u;

function namedDoes(before: string, rest: string): boolean {
  return (
    NAMED_DOES.test(rest) &&
    !/^(?:in|on|at|after|before|for|from|with|by|since|as|if|when|while|during|until|because|although)\b/i.test(
      before.trim(),
    )
  );
}

/** Whether what stands before a comma says something of its own, so that the question behind it is another clause. */
function asksAnew(before: string, rest: string): boolean {
  return /\?["'”’)]*$/.test(rest.trim()) && !LEADS_IN.test(before.trim()) && SAYS_SOMETHING.test(before);
}

function sentencesOf(text: string, block: Block): { start: number; end: number }[] {
  const flat = text.slice(block.start, block.end);
  // Some people write without capitals: then a full stop alone ends a sentence.
  const usesCapitals = !/^[a-z]/.test(flat);
  const sentences: { start: number; end: number }[] = [];
  // From the first mark of a run on: from each, a run of thousands would take for ever.
  const ends = /(?<![.?!…])[.?!…]+["'”’)]*(?=\s|$)/g;
  let start = 0;
  for (const match of flat.matchAll(ends)) {
    const end = match.index + match[0].length;
    const soFar = flat.slice(start, end);
    // “He asked ‘why?’ and left”: the mark belongs to what is quoted.
    if (usesCapitals && /["'”’]$/.test(match[0]) && /^\s+\p{Ll}/u.test(flat.slice(end, end + 30))) continue;
    const isShort = ABBREVIATION.test(soFar) && !(ALSO_A_WORD.test(soFar) && ANEW.test(flat.slice(end, end + 30)));
    if (match[0] === "." && (isShort || /(?:^|\s)[A-Za-z]\.$/.test(soFar))) continue;
    sentences.push({ start: block.start + start, end: block.start + end });
    start = end;
  }
  if (flat.slice(start).trim() !== "") sentences.push({ start: block.start + start, end: block.end });
  return sentences;
}

const NAME_CALLED = /^\p{Lu}\p{L}+[,:]\s/u;

const OTHER_DOER = /^(?:the rest|the others?|the remainder|somebody|someone|everyone|everybody)\b/i;

/** A thing that does something of its own: what follows can stand alone. */
const THING_DOER =
  /^(?:the|your|our|his|her|their|both|all|one|two) [\p{L} -]{2,30}? (?:should|must|has to|have to|needs to|need to|will|is|are|was|were|has|have)\b/u;

const NAMED_BEHIND =
  /^\p{Lu}\p{L}+(?: (?:and|&) \p{Lu}\p{L}+)?(?:,? (?:by|before|until|till|on|this|next|today|tomorrow|asap|at once|end of)\b[^.?!]{0,50})?[.!]?$/u;

const NAMED_DOER = /^\p{Lu}\p{L}+ (?:has to|have to|will|needs to|should|must|can you|could you|is to|please)\b/u;

const VERB_PHRASE =
  /^(?:also |then |please |kindly )*(?:\p{L}+,? (?:can|could|would|will) you\b|(?:could|can|would|will) (?:you|we|someone|somebody|anyone|\w+)\b|please\b|(?:i|we)(?:['’](?:ll|d|m|re|ve)| will| would| need| have| am| are| shall)\b|(?:do|does|did|is|are|was|were|has|have|shall|should|may|when|what|which|who|where|how|why)\b|(?:let|make|tell|send|ask|check|ring|call|book|order|bring|confirm|get|have|put|take|give|sign|write|mail|propose|suggest|come|use|keep|hold|stop|try|find|change|move|pay)\b|if [^,;]{3,60}, (?:please |just )?(?:tell|let|send|ring|call|ask|bring|take|give|put|use|do not|don['’]t)\b|(?:do not|don['’]t) [a-z]+ \S|you (?:have|must|need|should|ought|will)\b)/iu;

/** Words that name a day. */
const NAMES_DAY =
  /\b(?:today|tonight|tomorrow|(?:straight|right) away|at once|immediately|asap|(?:mon|tues|wednes|thurs|fri|satur|sun)day|this (?:week|month)|next (?:week|month)|noon|\d{1,2}(?:st|nd|rd|th)|\d{1,2} (?:january|february|march|april|may|june|july|august|september|october|november|december))\b/i;

/** What asks before an order. */
const ASKED = /^(?:please|kindly|could you|can you|would you|will you)(?: please)? /i;

/** Orders that go on with what was ordered before, unless each has its day. */
const ORDER_THAT_GOES_ON =
  /^(?:get|put|add|fill|return|remove|replace|collect|fetch|clean|measure|paint|write|deliver|arrange|prepare|finish|start|cancel|confirm|forward|print|invite|inform|remind)\s/;

/** What goes on to be said of what was spoken of; a question has somebody or something behind its verb. */
const MORE_OF_IT =
  /^(?:is|are|was|were|has) (?!(?:i|you|we|they|he|she|it|the|an?|your|our|my|his|her|their|there|this|that|these|those|any|all|some|somebody|someone|anybody|anyone)\b)(?![^.]*\?)/;

/** "I sit on your bench and do nothing": one who does both. */
const TELLS_OF_SOMEBODY =
  /^(?:i|we|they|he|she)(?:['’](?:ve|d|re|m|s))?\s(?!need|want|ask|must|would|could|should|hope)/i;
const GOES_ON_DOING =
  /^(?:do|have|keep|find|take|let|make|get|give|use|hold|come|move|change|put|try|bring|send|write|pay|call)\b(?!.*\b(?:please|me|us|back to)\b)/i;

function clausesOf(text: string, sentence: { start: number; end: number }): { start: number; end: number }[] {
  const whole = text.slice(sentence.start, sentence.end).replaceAll("\n", " ");
  const cuts: { at: number; next: number }[] = [];
  for (const match of clauseStarts(whole)) {
    const next = match.index + match[0].length;
    const rest = whole.slice(next);
    const before = whole.slice(cuts.at(-1)?.next ?? 0, match.index);
    // "I'm seeing him and will ask about it": one who does both; "…, and would gold leaf last?" asks anew.
    const asksMore = /^,/.test(match[0]) && /\?["'”’)]*$/.test(rest.trim());
    if (
      /\band\s$/i.test(match[0]) &&
      !asksMore &&
      /^(?:also |then )?(?:will|would|can|could) (?!you|we|they|he|she|it|i\b|someone|somebody|anyone|the|your|our|my|this|that)[a-z]/.test(
        rest,
      )
    )
      continue;
    // "It goes on the plane tomorrow and is with you by noon": more of the same thing.
    if (/^\s+and\s+$/.test(match[0]) && !asksMore && MORE_OF_IT.test(rest)) continue;
    if (/^\s+and\s+$/.test(match[0]) && TELLS_OF_SOMEBODY.test(before.trim()) && GOES_ON_DOING.test(rest)) continue;
    // "No hurry at all, but do you think …": how urgent it is belongs to what follows.
    if (saysHowUrgent(before.trim())) continue;
    // "Whenever you have a minute, would you …": what stands before it only says when.
    if (/^,\s+$/.test(match[0]) && ONLY_WHEN.test(before.trim()) && GOES_ON.test(rest)) continue;
    // "A yes by then, please."
    if (/^\s+then\s/i.test(match[0]) && /\b(?:by|until|till|before|since|from)$/i.test(before)) continue;
    // "Our surveyor, Mr Pym, will call": what stands between commas is who does it.
    if (/^will\b/i.test(rest) && before.includes(",")) continue;
    if (ASKS_BEHIND.test(match[0]) && !GOES_ON.test(rest) && !asksAnew(before, rest) && !namedDoes(before, rest))
      continue;
    // "New halyard - Gus, before Wednesday": a name behind what is to be done.
    if (/[-–—]\s$/.test(match[0]) && NAMED_BEHIND.test(rest)) continue;
    // "And, would you believe it, tomorrow" goes on with what it began.
    if (/^(?:would|can|could) you believe\b/i.test(rest)) continue;
    // "Ring them tomorrow and get a sample taken by Friday": two orders, each with its day.
    const setsAnotherDay = /^\s+and\s+$/.test(match[0]) && NAMES_DAY.test(before) && NAMES_DAY.test(rest);
    if (setsAnotherDay && isImperative(rest) && isImperative(before.trim().replace(ASKED, ""))) {
      cuts.push({ at: match.index, next });
      continue;
    }
    if (/^\s+and\s+$/.test(match[0]) && ORDER_THAT_GOES_ON.test(rest)) continue;
    // Both sides must be able to stand alone: "if you can and will" is one clause, and so is "could you check and tell me".
    const standsAlone =
      /;|–|—|\s-\s/.test(match[0]) ||
      VERB_PHRASE.test(rest) ||
      NAMED_DOER.test(rest) ||
      NAMED_DOES.test(rest) ||
      THING_DOER.test(rest) ||
      OTHER_DOER.test(rest) ||
      NAME_CALLED.test(rest) ||
      (/\b(?:so|but)\s$/.test(match[0]) && isImperative(rest)) ||
      (/\band\s$/.test(match[0]) && /^(?:i|we) [a-z]+ \S/i.test(rest) && isImperative(before.trim()));
    // "Please have ready what they can take home, and send me …": two orders, whatever "can" stands in the first.
    const ordersAnew = /^,\s/.test(match[0]) && isImperative(before.trim().replace(/^please /i, ""));
    const sameDoer =
      !ordersAnew &&
      /\band\b/i.test(match[0]) &&
      /^(?:let|make|tell|send|ask|check|ring|call|book|order|bring|confirm|get|take|put|give|sign|write|mail|use|keep|find|change|move|pay|come|have)\b/i.test(
        rest,
      ) &&
      /\b(?:could|can|would|will|to|let me(?! know)|(?:may|shall|should) (?:i|we))\b|['’]ll\b|\b(?:i|we) (?:bring|send|collect|pick|deliver|ring|call|come|drop|post|start|print|ship|fetch|take)\b/i.test(
        before,
      ) &&
      !/\b(?:by|on|before)\s+\w+\s*$/i.test(before);
    if (standsAlone && !sameDoer && before.trim().split(/\s+/).length >= 3 && rest.trim().split(/\s+/).length >= 3)
      cuts.push({ at: match.index, next });
  }
  const pieces: { start: number; end: number }[] = [];
  let start = 0;
  for (const cut of cuts) {
    pieces.push({ start: sentence.start + start, end: sentence.start + cut.at });
    start = cut.next;
  }
  pieces.push({ start: sentence.start + start, end: sentence.end });
  return pieces;
}

function trimmed(text: string, { start, end }: { start: number; end: number }): { start: number; end: number } {
  const piece = text.slice(start, end);
  const from = piece.length - piece.trimStart().length;
  return { start: start + from, end: start + Math.max(from, piece.trimEnd().length) };
}

/** Text with its line breaks and runs of spaces as single spaces. */
function flattened(text: string): string {
  return /[^\S ]|\s\s/.test(text) ? text.replace(/\s+/g, " ") : text;
}

const GREETS =
  /^(?:hi|hello|hallo|dear|hey|morning|good (?:morning|afternoon|evening)|afternoon|evening|greetings|moin)\b/i;

/** Whom a line greets: what goes on in small letters after a comma says something. */
const GREETED =
  /^[^.?!,]{0,40}(?:,\s*(?:(?:[Dd]ear|and|[Hh]i|[Hh]ello)\s+)?\p{Lu}[^.?!,\s]*(?:\s(?:\p{Lu}[^.?!,\s]*|and|&|all|both|everyone))*)*\s*[,!.:–-]?$/u;

/** "Hi could you …": a verb or a "you" in it makes it more than a greeting. */
const SAYS_MORE =
  /\b(?:please|kindly|can|could|would|will|is|are|was|were|has|have|had|do|does|did|need|needs|want|you|i|we|it|my|your|from|by|until|on|send|sent|got)\b|['’](?:ll|m|re|ve)\b/i;

/** Whether a line only greets: "Hello Ada,", "Dear Ms Okafor, dear Emeka". */
export function isSalutation(line: string): boolean {
  const greeting = GREETS.exec(line)?.[0];
  return greeting !== undefined && GREETED.test(line.slice(greeting.length)) && !SAYS_MORE.test(line);
}

/** A greeting in the same breath as what is said: "Hi Nadia, asked them". */
const GREETING_FIRST =
  /^(?:[Hh]i|[Hh]ello|[Hh]ey|[Dd]ear|[Mm]orning|[Gg]ood (?:morning|afternoon|evening))(?: (?:Mr|Mrs|Ms|Dr)\.?)? [\p{L}-]+(?: (?:and|&) [\p{L}-]+)?,\s+(?!(?:[Dd]ear|[Hh]i|[Hh]ello|and)\b|[\p{L}-]+ here\b|\p{Lu}[\p{L}-]+(?:,|\s*(?:\n|$)))(?=\p{L}[^\n]{8})/u;

/** The greeting with which a text begins, if what is said goes on in the same line. */
export function greetingIn(text: string): string | null {
  return GREETING_FIRST.exec(text)?.[0] ?? null;
}

/** "I am sorry to trouble you with this but the bill is wrong": what is said stands behind the "but". */
const SORRY_BUT =
  /^(?:i(?:['’]m| am) )?(?:(?:so|very|really|terribly) )?(?:sorry|i hate|reluctant) to (?:trouble|bother|disturb|chase|pester|nag|be (?:a|an) \p{L}+|ask|say this)\b[^.;:,]{0,40},?\s+but\s+(?=\S+\s\S+)/iu;

/** A sentence without the greeting or the apology that it begins with. */
function withoutOpening(text: string, { start, end }: { start: number; end: number }): { start: number; end: number } {
  const from = start + (text.slice(start, end).length - text.slice(start, end).trimStart().length);
  const greeting = greetingIn(text.slice(from, end))?.length ?? 0;
  const apology = SORRY_BUT.exec(text.slice(from + greeting, end))?.[0].length ?? 0;
  return { start: greeting + apology > 0 ? from + greeting + apology : start, end };
}

function rowClause({ what, row }: NonNullable<ReturnType<typeof rowIn>>, block: number): Clause {
  const { start, end, words } = what;
  return { start, end, text: words, lead: null, isListItem: true, asks: false, block, row };
}

const NAME_ALONE = /^(?:\p{Lu}\p{Ll}+(?: (?:and|&) \p{Lu}\p{Ll}+)?|[Bb]oth|[Aa]ll)$/u;

const ASKS = /\?["'”’)]*$/;

/** A line of a list that is somebody's, without a sign before it. */
const NAMED_LINE = /^\p{Lu}\p{L}+(?: \p{Lu}\p{L}+)?:\s+\S/u;

/** Clauses beyond this many in one letter are left unread: nobody asks for more in a letter. */
const MOST_CLAUSES = 600;

/** Characters of the shortest clause that can ask for anything. */
const SHORTEST_CLAUSE = 3;

/**
 * Cuts the new parts of a letter into clauses, in the order of the text; greeting and farewell are left out.
 * @param shortest characters that a clause must have; an answer may be as short as "ok"
 */
export function clausesIn(text: string, parts: readonly TextPart[], shortest = SHORTEST_CLAUSE): Clause[] {
  const clauses: Clause[] = [];
  let block = 0;
  for (const part of parts) {
    if (part.kind !== "new") continue;
    let listLead: string | null = null;
    let table: Columns | null = null;
    const pieces = blocksOf(text, part);
    for (const [i, piece] of pieces.entries()) {
      block += 1;
      const line = text.slice(piece.start, piece.end);
      if (!isTableLine(line)) table = null;
      else if (table) {
        const found = rowIn(line, piece.start, table);
        if (found) clauses.push(rowClause(found, block));
        if (clauses.length >= MOST_CLAUSES) return clauses;
        continue;
      } else {
        table = columnsIn(line);
        if (table) continue;
      }
      // "What I need by Friday:", and a line for each: "Imelda: the rota".
      const isPoint = piece.isListItem || (listLead !== null && NAMED_LINE.test(line));
      if (!isPoint) listLead = null;
      for (const sentence of sentencesOf(text, piece)) {
        const flat = flattened(text.slice(sentence.start, sentence.end)).trim();
        if (flat.length < shortest || isSalutation(flat)) continue;
        const leadsIn =
          flat.endsWith(":") ||
          // "The following is required within 28 days." above a list.
          (/\b(?:the )?following\b/i.test(flat) && sentence.end >= piece.end && pieces[i + 1]?.isListItem === true) ||
          (!/[.?!,]$/.test(flat) &&
            sentence.end >= piece.end &&
            pieces[i + 1]?.isListItem &&
            // A name alone greets; what is a paragraph away leads into nothing without its colon.
            (/\s/.test(flat) || pieces[i + 1]!.paragraph === piece.paragraph) &&
            !NAME_ALONE.test(flat));
        if (!isPoint && leadsIn) {
          listLead = flat;
          continue;
        }
        const isFirst = text.slice(piece.start, sentence.start).trim() === "";
        const said = withoutOpening(text, sentence);
        const announced = announcedIn(text.slice(said.start, said.end));
        const stretches = announced?.items.map((item) => ({
          start: said.start + item.start,
          end: said.start + item.end,
        }));
        for (const clause of stretches ?? clausesOf(text, said)) {
          const { start, end } = trimmed(text, clause);
          const words = flattened(text.slice(start, end));
          if (words.length < shortest) continue;
          clauses.push({
            start,
            end,
            text: words,
            // What stands behind the first sentence of a point is said of it.
            lead: announced ? flattened(announced.lead) : isPoint && isFirst ? listLead : null,
            isListItem: isPoint || announced !== null,
            asks: ASKS.test(flat),
            block,
          });
          if (clauses.length >= MOST_CLAUSES) return clauses;
        }
      }
    }
  }
  return clauses;
}
