import type { Letter } from "../letters/letter";
import { searchVector } from "./words";

/** What a letter is found by: its subject, its writer and its files before the words of its text. */
export function letterVector({ subject, from, files, text }: Letter): string {
  return searchVector([subject, from?.name, from?.address, ...files.map((file) => file.name)].join(" "), text);
}
