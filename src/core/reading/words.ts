import model from "wink-eng-lite-web-model";
import winkNLP from "wink-nlp";

/** The part of the tagger that is used here. */
interface Tagger {
  readDoc(text: string): { tokens(): { out(what: unknown): string[] } };
  its: { pos: unknown; value: unknown; lemma: unknown };
}

let tagger: Tagger | null = null;

/** The words of a clause with their parts of speech (universal tags: VERB, NOUN, PRON, AUX …) and their plain forms, as wink-nlp sees them. */
export function taggedWords(text: string): { word: string; tag: string; lemma: string }[] {
  tagger ??= winkNLP(model, ["pos"]) as unknown as Tagger;
  const tokens = tagger.readDoc(text.slice(0, 2_000)).tokens();
  const tags = tokens.out(tagger.its.pos);
  const lemmas = tokens.out(tagger.its.lemma);
  return tokens.out(tagger.its.value).map((word, i) => ({ word, tag: tags[i] ?? "X", lemma: lemmas[i] ?? word }));
}
