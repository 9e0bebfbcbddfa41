import { parseArgs } from "node:util";
import { WrongCall } from "./wrong-call";

/** Reads the words of a command by the options it knows; an unknown one is a wrong call. */
export function readWords<Names extends string>(
  words: readonly string[],
  flags: readonly string[],
  values: readonly Names[],
): { paths: string[]; has(flag: string): boolean; value(name: Names): string | null } {
  const options = Object.fromEntries([
    ...flags.map((flag) => [flag, { type: "boolean" as const }]),
    ...values.map((name) => [name, { type: "string" as const }]),
  ]);
  try {
    const read = parseArgs({ args: [...words], options, allowPositionals: true });
    const given: Record<string, unknown> = { ...read.values };
    return {
      paths: read.positionals,
      has: (flag) => given[flag] === true,
      value: (name) => (typeof given[name] === "string" ? given[name] : null),
    };
  } catch (error) {
    throw new WrongCall(error instanceof Error ? error.message : "These words cannot be read.");
  }
}
