import { afterAll } from "vitest";

// Test files share a process, since loading the product anew for each would take longer than most tests: what one sets, and
// what the product keeps for its process alone (`globalThis.jam…`), ends with it.
const before = { ...process.env };

afterAll(() => {
  for (const name of Object.keys(process.env)) if (!(name in before)) delete process.env[name];
  Object.assign(process.env, before);
  const kept = globalThis as Record<string, unknown>;
  for (const name of Object.keys(kept)) if (name.startsWith("jam")) delete kept[name];
});
