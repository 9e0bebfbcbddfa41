import type { Correspondent } from "./letter";

/** "Ada Lund <ada@beech.example>", "Ada Lund [mailto:ada@beech.example]", "ada@beech.example (Ada Lund)" or a bare name. */
export function personInWords(words: string): Correspondent | null {
  const address = /[^\s<>()[\]"',;:]+@[^\s<>()[\]"',;:]+\.[^\s<>()[\]"',;:*]+/.exec(words)?.[0] ?? "";
  const name = words
    .replace(/[<[(](?:mailto:)?[^<>()[\]]*@[^<>()[\]]*[>\])]/g, " ")
    .replace(address, " ")
    .replace(/mailto:|["<>()[\]*]/g, " ")
    .replace(/\b(?:on behalf of|im auftrag von|de la part de)\b.*$/i, "")
    .replace(/\s+/g, " ")
    .trim();
  if (address === "" && name === "") return null;
  return { name: name.slice(0, 200), address: address.toLowerCase() };
}
