/** Fruits that can be told apart on the phone, each one or two syllables, no two beginning alike. */
const FRUITS = [
  "apple",
  "bilberry",
  "cherry",
  "damson",
  "elder",
  "fig",
  "grape",
  "haw",
  "juniper",
  "kumquat",
  "lemon",
  "medlar",
  "nectarine",
  "olive",
  "pear",
  "quince",
  "rhubarb",
  "sloe",
  "tangerine",
  "walnut",
] as const;

/** Spreads the fruits, so that neighbouring numbers sound different; has no factor in common with their number. */
const STRIDE = 7;

/** The fruit of a reference's number: always the same one, so that number and fruit check each other. `fruitOf(417)` is one of 20. */
export function fruitOf(number: number): string {
  return FRUITS[(number * STRIDE) % FRUITS.length]!;
}

/** The number in what somebody says or an address has: "quince 417", "Quince-417", "417". Null where there is none. */
export function readReference(text: string): number | null {
  const match = /^\s*(?:[a-z]+[\s-]+)?(\d{1,9})\s*$/i.exec(text);
  return match ? Number(match[1]) : null;
}
