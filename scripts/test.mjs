// Runs every check and adds up what passed and failed over all runners. With a word, only the checks whose name has it.
import { spawn, spawnSync } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";

const only = process.argv[2] ?? "";
const scratch = fs.mkdtempSync(path.join(os.tmpdir(), "jam-test-"));
const node = process.execPath;
let passed = 0;
let failed = 0;

/** Ends with its exit code. What it says is printed as it comes, or put into `said`: then it also gives way to everything else. */
function run(command, args, env = {}, said = null) {
  return new Promise((resolve) => {
    const stdio = said ? ["ignore", "pipe", "pipe"] : "inherit";
    const child = spawn(command, args, { stdio, env: { ...process.env, ...env } });
    if (said && child.pid) os.setPriority(child.pid, os.constants.priority.PRIORITY_LOW);
    for (const stream of said ? [child.stdout, child.stderr] : []) stream.on("data", (chunk) => said.push(chunk));
    child.on("close", (code) => resolve(code ?? 1));
  });
}

/** A check that counts as one: it passes or it fails. What it says is printed at its end, so that several can run at a time. */
async function one(name, args) {
  if (!name.includes(only)) return;
  const said = [];
  const code = await run(node, args, {}, said);
  if (code === 0) passed += 1;
  else failed += 1;
  console.log(`\n== ${name}\n${Buffer.concat(said).toString().trimEnd()}\n${code === 0 ? "passed" : "FAILED"}`);
}

/**
 * A runner that counts its own tests into a file. A runner that dies without counting is a failure of its own. What one that
 * `waits` says is printed at its end.
 */
async function many(name, args, env, count, waits = false) {
  if (!name.includes(only)) return;
  const said = waits ? [] : null;
  if (!said) console.log(`\n== ${name}`);
  const code = await run(node, args, env, said);
  if (said) console.log(`\n== ${name}\n${Buffer.concat(said).toString().trimEnd()}`);
  const counted = count();
  if (!counted || counted.passed + counted.failed === 0) {
    console.log(`FAILED: ${name} ran no test`);
    failed += 1;
    return;
  }
  passed += counted.passed;
  failed += counted.failed;
  if (code !== 0 && counted.failed === 0) failed += 1;
}

function readJson(file) {
  try {
    return JSON.parse(fs.readFileSync(file, "utf8"));
  } catch {
    return null;
  }
}

/** A private PostgreSQL on a unix socket, with nothing of the machine's own cluster touched. */
function startPostgres() {
  const bin = fs
    .readdirSync("/usr/lib/postgresql")
    .sort()
    .map((version) => `/usr/lib/postgresql/${version}/bin`)
    .at(-1);
  const folder = path.join(scratch, "pg");
  fs.mkdirSync(folder, { mode: 0o777 });
  fs.chmodSync(scratch, 0o755);
  fs.chmodSync(folder, 0o777);
  const asUser = process.getuid() === 0 ? ["runuser", ["-u", "postgres", "--"]] : [null, []];
  const pg = (tool, args) => {
    const [command, lead] = asUser;
    const result = command
      ? spawnSync(command, [...lead, `${bin}/${tool}`, ...args], { encoding: "utf8", cwd: "/" })
      : spawnSync(`${bin}/${tool}`, args, { encoding: "utf8" });
    if (result.status !== 0) throw new Error(`${tool}: ${result.stderr}${result.stdout}`);
  };
  pg("initdb", ["-D", `${folder}/data`, "-A", "trust", "-U", "postgres", "-E", "UTF8", "--no-locale"]);
  pg("pg_ctl", [
    "-D",
    `${folder}/data`,
    "-w",
    "-l",
    `${folder}/log`,
    "-o",
    `-c listen_addresses='' -c unix_socket_directories='${folder}' -c fsync=off`,
    "start",
  ]);
  return {
    url: `postgresql://postgres@/postgres?host=${encodeURIComponent(folder)}`,
    stop: () => pg("pg_ctl", ["-D", `${folder}/data`, "-m", "immediate", "stop"]),
  };
}

await Promise.all([
  one("types", ["node_modules/typescript-check/bin/tsc", "--noEmit", "--incremental", "false", "-p", "tsconfig.json"]),
  one("lint", ["node_modules/@biomejs/biome/bin/biome", "check", "."])
    .then(() => one("boundaries", ["scripts/check-boundaries.mjs"]))
    .then(() => one("dead code", ["node_modules/knip/bin/knip.js"])),
]);

/** The tests that vitest runs with these words of its own, counted into a file. */
function vitest(name, words, env, waits = false) {
  const file = path.join(scratch, `${name.replaceAll(" ", "-")}.json`);
  const args = ["node_modules/vitest/vitest.mjs", "run", "--reporter=default", "--reporter=json"];
  return many(
    name,
    [...args, `--outputFile.json=${file}`, ...words],
    env,
    () => {
      const report = readJson(file);
      return report && { passed: report.numPassedTests, failed: report.numFailedTests };
    },
    waits,
  );
}

const postgres = "vitest".includes(only) ? startPostgres() : null;
await vitest("vitest", ["--exclude", "tests/reading/**"], { JAM_TEST_POSTGRES: postgres?.url ?? "" });
try {
  postgres?.stop();
} catch (error) {
  console.error(String(error));
}
const playwrightFile = path.join(scratch, "playwright.json");
// A browser leaves half of two processors idle: what only computes takes that, and no more.
await Promise.all([
  many(
    "playwright",
    ["node_modules/@playwright/test/cli.js", "test"],
    { PLAYWRIGHT_JSON_OUTPUT_NAME: playwrightFile },
    () => {
      const stats = readJson(playwrightFile)?.stats;
      return stats && { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    },
  ),
  vitest("vitest of reading", ["tests/reading", "--maxWorkers=1"], {}, true),
]);

fs.rmSync(scratch, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
