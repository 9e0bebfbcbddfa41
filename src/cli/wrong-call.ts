/** A wrong call: what is wrong with its words; exit status 2. */
export class WrongCall extends Error {}
