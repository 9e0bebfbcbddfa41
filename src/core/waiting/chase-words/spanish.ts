import { type ChaseWords, dayIn } from "./chase-words";

export const spanish: ChaseWords = {
  dear: (first) => `Hola, ${first}:`,
  theyWrote: (day, words) => `El ${day} usted escribió: «${words}.»`,
  weAsked: (day, words) => `El ${day} le preguntamos: «${words}.»`,
  waitFor: (title) => `Seguimos esperando una cosa de usted: ${title}.`,
  meantFor: (day) => `Estaba previsto para el ${day}.`,
  neededBy: (day) => `Lo necesitábamos para el ${day}.`,
  needBy: (day) => `Lo necesitamos para el ${day}.`,
  promise: [
    "¿Ha salido, o podemos ayudar en algo?",
    "¿Podría decirnos hoy cómo va, y con qué día podemos contar?",
    "Sin ello no podemos seguir. Díganos, por favor, un día seguro, o quién lo sabe.",
    "Todos los que vienen después están esperando. Conteste hoy, por favor, aunque sea con una línea.",
  ],
  ask: [
    "¿Puedo preguntarle cómo va?",
    "¿Podría enviárnoslo, o decirnos para cuándo podrá?",
    "Nuestro trabajo está parado hasta que llegue. Envíelo, por favor, o díganos quién puede hacerlo.",
    "Hasta ahora no hemos tenido respuesta. Escríbanos hoy, por favor, aunque sea para decir que no es posible.",
  ],
  dayInWords: dayIn("es-ES"),
};
