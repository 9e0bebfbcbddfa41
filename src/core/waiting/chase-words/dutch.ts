import { type ChaseWords, dayIn } from "./chase-words";

export const dutch: ChaseWords = {
  dear: (first) => `Dag ${first},`,
  theyWrote: (day, words) => `Op ${day} schreef u: “${words}.”`,
  weAsked: (day, words) => `Op ${day} vroegen wij u: “${words}.”`,
  waitFor: (title) => `Wij wachten nog op één ding van u: ${title}.`,
  meantFor: (day) => `Dat was bedoeld voor ${day}.`,
  neededBy: (day) => `Wij hadden het voor ${day} nodig.`,
  needBy: (day) => `Wij hebben het voor ${day} nodig.`,
  promise: [
    "Is het gelukt, of kunnen wij ergens mee helpen?",
    "Kunt u ons vandaag zeggen hoe het ervoor staat, en op welke dag wij kunnen rekenen?",
    "Zonder dit kunnen wij niet verder. Noem ons alstublieft een dag die vaststaat, of iemand die het weet.",
    "Iedereen na u wacht hierop. Antwoord alstublieft vandaag, al is het maar met één regel.",
  ],
  ask: [
    "Mag ik vragen hoe ver het is?",
    "Kunt u het ons sturen, of zeggen wanneer het lukt?",
    "Ons werk ligt stil tot het er is. Stuur het alstublieft, of noem iemand die het kan.",
    "Wij hebben nog geen antwoord gekregen. Schrijf alstublieft vandaag, al is het maar dat het niet kan.",
  ],
  dayInWords: dayIn("nl-NL"),
};
