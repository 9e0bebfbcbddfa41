import { type ChaseWords, dayIn } from "./chase-words";

export const german: ChaseWords = {
  dear: (first) => `Guten Tag ${first},`,
  theyWrote: (day, words) => `am ${day} haben Sie geschrieben: „${words}.“`,
  weAsked: (day, words) => `am ${day} haben wir Sie gefragt: „${words}.“`,
  waitFor: (title) => `wir warten noch auf eines von Ihnen: ${title}.`,
  meantFor: (day) => `Das war für ${day} gedacht.`,
  neededBy: (day) => `Wir hätten es bis ${day} gebraucht.`,
  needBy: (day) => `Wir brauchen es bis ${day}.`,
  promise: [
    "Hat es geklappt, oder können wir bei etwas helfen?",
    "Könnten Sie uns heute sagen, wie es steht und mit welchem Tag wir rechnen können?",
    "Ohne das kommen wir nicht weiter. Bitte nennen Sie uns einen Tag, der hält, oder jemanden, der es weiß.",
    "Daran hängen alle, die nach Ihnen kommen. Bitte antworten Sie heute, und sei es in einer Zeile.",
  ],
  ask: [
    "Darf ich fragen, wie weit es ist?",
    "Könnten Sie es uns schicken, oder uns sagen, bis wann es geht?",
    "Unsere Arbeit steht, bis es da ist. Bitte schicken Sie es, oder nennen Sie uns jemanden, der es kann.",
    "Wir haben bisher keine Antwort. Bitte schreiben Sie heute, und sei es nur, dass es nicht geht.",
  ],
  dayInWords: dayIn("de-DE"),
};
