/** The numbers that people write in words, from one. */
export const ONE_TO_TWELVE = [
  "one",
  "two",
  "three",
  "four",
  "five",
  "six",
  "seven",
  "eight",
  "nine",
  "ten",
  "eleven",
  "twelve",
];
