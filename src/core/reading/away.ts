import * as chrono from "chrono-node";
import type { Letter } from "../letters/letter";
import { findDates } from "../time/dates-in-words";
import { type Day, dayFrom } from "../time/day";
import { dayOf, type Moment } from "../time/moment";
import type { ReadingSettings } from "./settings";

/** Words before the day on which somebody is back; asked first, since a reply often says both from when and until when. */
const BACK =
  /\b(?:(?:be |am |i'm )?back(?: in (?:the )?office| at work| at my desk)?|return(?:ing)?(?: to (?:the )?office| to work)?|wieder (?:da|im büro|erreichbar|zurück)|zurück|de retour|vuelvo|di nuovo in ufficio|terug)\b/giu;

/** Words before the last day away. */
const UNTIL =
  /\b(?:until|till|through|thru|up to|bis(?: zum| einschließlich)?|jusqu['’]au|hasta(?: el)?|fino al?|tot(?: en met)?|t\/m)(?=[\s:,])/giu;

/** Characters behind the words in which the day must stand. */
const NEAR = 60;

/** A return further off than this is a slip of the pen in the year. */
const LONGEST_AWAY_DAYS = 400;

const LANGUAGES = [chrono.de, chrono.fr, chrono.es, chrono.nl, chrono.it];

function dayIn(text: string, from: Moment, settings: ReadingSettings): Day | null {
  const found = findDates(text, from, settings.calendar, settings.figures)[0];
  if (found) return found.day;
  const [year, month, date] = dayOf(from).split("-").map(Number) as [number, number, number];
  for (const language of LANGUAGES) {
    const start = language.parse(text, new Date(year, month - 1, date, 12), { forwardDate: true })[0]?.start;
    if (start?.isCertain("day")) return dayFrom(start.get("year")!, start.get("month")!, start.get("day")!);
  }
  return null;
}

/**
 * The day until which an automatic reply says that its writer is away: the day of the return where it names one, else the
 * last day. Counted from the reply's own Date in its writer's zone. Null where it names none, or one that lies in the past.
 */
export function readAway(letter: Letter, sent: Moment, settings: ReadingSettings): Day | null {
  if (letter.automatic !== "automatic reply") return null;
  const text = `${letter.subject}\n${letter.text.slice(0, 4_000)}`;
  const today = dayOf(sent);
  for (const cues of [BACK, UNTIL])
    for (const cue of text.matchAll(cues)) {
      const after = text.slice(cue.index + cue[0].length, cue.index + cue[0].length + NEAR).replace(/\s+/g, " ");
      // A full stop behind a figure ends no sentence: "4. Dezember".
      const day = dayIn(after.split(/(?<=\p{L})[.!?] /u)[0]!, sent, settings);
      if (!day || day < today) continue;
      if ((Date.parse(day) - Date.parse(today)) / 86_400_000 <= LONGEST_AWAY_DAYS) return day;
    }
  return null;
}
