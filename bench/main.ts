// npm run bench [intake|tasks|next]: ratios measured in one run; absolute figures are of this machine and this hour.
import { benchIntake } from "./intake";
import { benchNextLetter } from "./next-letter";
import { benchTasksByDue } from "./tasks-by-due";

const only = process.argv[2] ?? "";
for (const [name, bench] of [
  ["intake", benchIntake],
  ["tasks", benchTasksByDue],
  ["next", benchNextLetter],
] as const) {
  if (name.includes(only)) await bench();
}
