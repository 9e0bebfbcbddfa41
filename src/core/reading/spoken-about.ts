/** Words after which a need or duty is spoken about and not put to anybody: "all I need", "the form that you have to sign". */
const SPOKEN_ABOUT =
  /\b(?:what|all (?:i|we|you|that)|(?<!(?:for|in|on|at|of|by|after|during) )that|which|who|whom|whose|if|when|whenever|because|since|although|as|than|why|how|where|whatever|(?:everything|anything|things?)(?= (?:i|we|you|he|she|they|that|to|which)\b)|think|thought|says?|said|would|unless|whether|only|wonder)\b/i;

/** Said of the past, a need or duty is over. */
const OVER = /\b(?:did|had|was|were|used to|would have|should have|could have)\s+(?:to|need)?/i;

/** "Certificates that are older than three years are to be …": which of them, before what is to be done with them. */
const RELATIVE = /\b(?:that|which|who) (?:is|are|was|were|has|have|had) [^,;:]*$/i;

/** Whether a need or duty, found at `at`, is put to somebody, and not only spoken about. */
export function isPutToSomebody(bare: string, at: number): boolean {
  if (/^(?:if|whether|unless) (?:we|you|it|they)\b/i.test(bare)) return false;
  const before = bare.slice(0, at).replace(RELATIVE, " ").split(/[,;:]/).at(-1)!;
  return !SPOKEN_ABOUT.test(before) && !OVER.test(bare.slice(0, 30));
}
