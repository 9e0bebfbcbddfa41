import { letterVector } from "../../core/finding/letter-words";
import type { FoundChange } from "../../core/following/item";
import { changesOfTasks, type OpenTask } from "../../core/following/task-changes";
import { idsOf } from "../../core/letters/joined-by";
import type { Letter } from "../../core/letters/letter";
import { type ParsedLetter, parseLetter } from "../../core/letters/parse-letter";
import { readAway } from "../../core/reading/away";
import { type HasteLesson, withHaste } from "../../core/reading/haste";
import { type Lesson, markedPhrases, withLessons } from "../../core/reading/lessons";
import { type PriorityLesson, withPriorities } from "../../core/reading/priorities";
import { readLetter } from "../../core/reading/read-letter";
import { kindsSetRight } from "../../core/reading/rules/set-right";
import type { FoundSlip } from "../../core/reading/slip";
import type { HouseExample } from "../../core/reading/weighing/house-example";
import type { HouseWording } from "../../core/reading/weighing/shares";
import type { Day } from "../../core/time/day";
import { dayOf, type Moment } from "../../core/time/moment";
import type { IntakeHouse } from "../intake-house";
import { houseWordingOf, weightsFor } from "./house-wording";
import { participantsOf } from "./participants";

/** What reading needs to know of the house, beside the letters. */
export interface ReadingAsk {
  readonly house: IntakeHouse;
  /** Names by which people outside are known here, by address. */
  readonly names: ReadonlyMap<string, string>;
  /** What people have taught about the writers of these letters. */
  readonly lessons: readonly Lesson[];
  /** What haste of these writers was kept as. */
  readonly haste: readonly HasteLesson[];
  /** What priorities of these writers were kept as. */
  readonly priorities: readonly PriorityLesson[];
  /** What people here took passages for, whoever wrote them. */
  readonly examples: readonly HouseExample[];
  /** Tasks that are open in the conversations that these letters answer, by the Message-IDs of those. */
  readonly openTasks: ReadonlyMap<string, readonly OpenTask[]>;
  /** The instant of arrival, milliseconds since 1970 UTC. */
  readonly now: number;
  /** Whether the letters are ours: then nothing is proposed. */
  readonly isOurs: boolean;
}

/** What is read in a letter: proposed slips, until when an automatic reply says that its writer is away, and what it is found by. */
export interface Understood {
  readonly found: readonly (FoundSlip | FoundChange)[];
  readonly awayUntil: Day | null;
  readonly search: string | null;
}

/** Letters that are parsed, and can be read; in the order of the raw messages. */
export interface ParsedBatch {
  readonly letters: readonly ParsedLetter[];
  read(ask: ReadingAsk): Promise<readonly Understood[]>;
}

/** Whoever parses and reads: this process, or a thread of it. */
export interface Reader {
  parse(raws: readonly Uint8Array[]): Promise<ParsedBatch>;
}

export const NOTHING_READ: Understood = { found: [], awayUntil: null, search: null };

/** The moment from which a letter's dates count: its own Date in the writer's zone, else its coming in ours. */
function momentOf(letter: Letter, house: IntakeHouse, now: number): Moment {
  return { at: letter.sentAt ?? now, zone: letter.sentAt === null ? house.zone : letter.offset };
}

/** Reads one letter. Reading is an offer: a letter that trips the reader is kept and sorted by hand. */
function understand(letter: Letter, wording: HouseWording, ask: ReadingAsk): Understood {
  const { house, names, lessons, haste, priorities, examples, openTasks, now, isOurs } = ask;
  const settings = { calendar: house.calendar, figures: house.figures };
  const moment = momentOf(letter, house, now);
  const outside = participantsOf(letter)
    .filter((who) => !house.team.some((person) => person.address === who.address))
    .map((who) => ({ id: who.address, name: names.get(who.address) || who.name || who.address, address: who.address }));
  try {
    const people = { team: house.team, outside };
    const writer = letter.from?.address ?? null;
    const marked = markedPhrases(writer, lessons);
    const answers = isOurs ? undefined : idsOf(letter).find((id) => openTasks.has(id));
    const open = openTasks.get(answers ?? "") ?? [];
    const houseWording = weightsFor(wording, writer);
    const asking = { ...settings, marked, setRight: kindsSetRight(writer, examples), houseWording };
    const asked = isOurs ? [] : readLetter(letter, people, moment, asking);
    const said = changesOfTasks(letter, open, people, moment, settings, asked);
    const taught = withLessons(said, letter.text, writer, lessons);
    const found = withHaste(taught, writer, dayOf(moment), haste, house.calendar);
    return {
      found: withPriorities(found, writer, priorities),
      awayUntil: readAway(letter, moment, settings),
      search: letterVector(letter),
    };
  } catch {
    return NOTHING_READ;
  }
}

/** Lets everybody else have a turn: parsing and reading a batch would hold up the whole process for a moment. */
function breathe(): Promise<void> {
  return new Promise((resolve) => setImmediate(resolve));
}

/** Parses and reads in this very process. */
export const inProcess: Reader = {
  async parse(raws) {
    const letters: ParsedLetter[] = [];
    for (const raw of raws) {
      letters.push(await parseLetter(raw));
      await breathe();
    }
    return {
      letters,
      async read(ask) {
        const read: Understood[] = [];
        const wording = houseWordingOf(ask.examples);
        for (const one of letters) {
          read.push(one.ok ? understand(one.letter, wording, ask) : NOTHING_READ);
          await breathe();
        }
        return read;
      },
    };
  },
};
