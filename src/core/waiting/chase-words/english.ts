import { dayInFull } from "../../time/day-in-full";
import type { ChaseWords } from "./chase-words";

export const english: ChaseWords = {
  dear: (first) => `Dear ${first},`,
  theyWrote: (day, words) => `On ${day} you wrote: “${words}.”`,
  weAsked: (day, words) => `On ${day} we asked you: “${words}.”`,
  waitFor: (title) => `We are waiting for one thing from you: ${title}.`,
  meantFor: (day) => `That was meant for ${day}.`,
  neededBy: (day) => `We needed it by ${day}.`,
  needBy: (day, distance) => `We need it by ${day}, ${distance}.`,
  promise: [
    "Did it come about, or is there something we can help with?",
    "Could you tell us today where it stands, and which day we can count on?",
    "We cannot go on without it. Please name a day that holds, or tell us who can.",
    "This holds up everybody who comes after you. Please answer today, if only in one line.",
  ],
  ask: [
    "May I ask how far it is?",
    "Could you let us have it, or tell us by when you can?",
    "Our work stands still until it is here. Please send it, or name somebody who can.",
    "We have had no answer so far. Please write today, if only to say that it cannot be done.",
  ],
  dayInWords: dayInFull,
};
