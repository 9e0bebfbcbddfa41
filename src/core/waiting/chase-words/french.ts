import { type ChaseWords, dayIn } from "./chase-words";

export const french: ChaseWords = {
  dear: (first) => `Bonjour ${first},`,
  theyWrote: (day, words) => `Le ${day}, vous avez écrit : « ${words}. »`,
  weAsked: (day, words) => `Le ${day}, nous vous avons demandé : « ${words}. »`,
  waitFor: (title) => `Nous attendons encore une chose de votre part : ${title}.`,
  meantFor: (day) => `C’était prévu pour le ${day}.`,
  neededBy: (day) => `Il nous le fallait pour le ${day}.`,
  needBy: (day) => `Il nous le faut pour le ${day}.`,
  promise: [
    "Est-ce que cela a abouti, ou pouvons-nous vous aider ?",
    "Pourriez-vous nous dire aujourd’hui où cela en est, et sur quel jour nous pouvons compter ?",
    "Nous ne pouvons pas avancer sans cela. Merci de nous indiquer un jour sûr, ou la personne qui le sait.",
    "Tous ceux qui viennent après vous attendent. Merci de répondre aujourd’hui, ne serait-ce que d’une ligne.",
  ],
  ask: [
    "Puis-je vous demander où cela en est ?",
    "Pourriez-vous nous l’envoyer, ou nous dire pour quand ce sera possible ?",
    "Notre travail est arrêté jusque-là. Merci de nous l’envoyer, ou de nous indiquer qui le peut.",
    "Nous n’avons pas eu de réponse jusqu’ici. Merci d’écrire aujourd’hui, même pour dire que ce n’est pas possible.",
  ],
  dayInWords: dayIn("fr-FR"),
};
