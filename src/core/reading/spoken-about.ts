/** Words after which a need or duty is spoken about and not put to anybody: "all I need", "the form that you have to sign". */
const SPOKEN_ABOUT =
  /\b(?:what|all (?:i|we|you|that)|(?<!(?:for|in|on|at|of|by|after|during) )that|which|who|whom|whose|if|when|whenever|because|since|although|as|than|why|how|where|whatever|everything|anything|thing|things|think|thought|says?|said|would|unless|whether|only|wonder)\b/i;

/** Said of the past, a need or duty is over. */
const OVER = /\b(?:did|had|was|were|used to|would have|should have|could have)\s+(?:to|need)?/i;

/** Whether a need or duty, found at `at`, is put to somebody, and not only spoken about. */
export function isPutToSomebody(bare: string, at: number): boolean {
  if (/^(?:if|whether|unless) (?:we|you|it|they)\b/i.test(bare)) return false;
  return !SPOKEN_ABOUT.test(bare.slice(0, at).split(/[,;:]/).at(-1)!) && !OVER.test(bare.slice(0, 30));
}
