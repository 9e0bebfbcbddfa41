// Holds the house together: runs dependency-cruiser over src and fails on an import against the direction or in a circle.
// Fails as well when it has read suspiciously few modules, since a cruiser that reads nothing finds nothing.
import { spawnSync } from "node:child_process";

const FEWEST_MODULES = 100;

const result = spawnSync(
  process.execPath,
  [
    "node_modules/dependency-cruiser/bin/dependency-cruise.mjs",
    "src",
    "--config",
    ".dependency-cruiser.cjs",
    "--output-type",
    "json",
  ],
  { encoding: "utf8", maxBuffer: 64 * 1024 * 1024 },
);
if (!result.stdout) {
  console.error(result.stderr);
  process.exit(1);
}
const { summary } = JSON.parse(result.stdout);
for (const { rule, from, to } of summary.violations) console.error(`${rule.name}: ${from} → ${to}`);
console.log(
  `${summary.totalCruised} modules, ${summary.totalDependenciesCruised} imports, ${summary.violations.length} against the house`,
);
if (summary.totalCruised < FEWEST_MODULES) {
  console.error(`Fewer than ${FEWEST_MODULES} modules were read: the check itself is broken.`);
  process.exit(1);
}
process.exit(summary.violations.length > 0 ? 1 : 0);
