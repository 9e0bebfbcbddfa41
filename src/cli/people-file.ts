import fs from "node:fs";
import { z } from "zod";
import type { People, Person } from "../core/reading/slip";
import { WrongCall } from "./wrong-call";

const person = z.object({
  name: z.string().max(300),
  email: z.string().max(320),
  nicknames: z.array(z.string().max(100)).max(20).optional(),
  role: z.string().max(300).optional(),
});
const peopleFile = z.object({
  me: z.string().max(320).optional(),
  team: z.array(person).max(5_000),
  outside: z.array(person).max(20_000).default([]),
});

function asPerson({ name, email, nicknames, role }: z.infer<typeof person>): Person {
  const address = email.toLowerCase();
  return { id: address, name, address, ...(nicknames ? { nicknames } : {}), ...(role ? { role } : {}) };
}

/** The people of a file like `{ "team": [ { "name", "email" } ], "outside": [ … ] }`. */
export function readPeopleFile(file: string | null): People {
  if (file === null) return { team: [], outside: [] };
  if (!fs.existsSync(file)) throw new WrongCall(`There is no ${file}.`);
  let content: unknown;
  try {
    content = JSON.parse(fs.readFileSync(file, "utf8"));
  } catch {
    throw new WrongCall(`${file} is no JSON.`);
  }
  const parsed = peopleFile.safeParse(content);
  if (!parsed.success)
    throw new WrongCall(
      `${file} does not name people: { "team": [ { "name", "email" } ], "outside": [ … ] } is wanted.`,
    );
  return { team: parsed.data.team.map(asPerson), outside: parsed.data.outside.map(asPerson) };
}
