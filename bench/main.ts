// npm run bench [intake|tasks|waiting|next|memory|smtp]: ratios measured in one run; absolute figures are of this machine and this hour.
import { benchIntake } from "./intake";
import { benchMemory } from "./memory";
import { benchNextLetter } from "./next-letter";
import { benchSmtpToList } from "./smtp-to-list";
import { benchTasksByDue } from "./tasks-by-due";
import { benchWaiting } from "./waiting";

const only = process.argv[2] ?? "";
for (const [name, bench] of [
  ["intake", benchIntake],
  ["tasks", benchTasksByDue],
  ["waiting", benchWaiting],
  ["next", benchNextLetter],
  ["memory", benchMemory],
  ["smtp", benchSmtpToList],
] as const) {
  if (name.includes(only)) await bench();
}
