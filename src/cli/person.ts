import { createInterface } from "node:readline";
import { z } from "zod";
import { addPerson } from "../acts/set-up";
import { databaseSettings, openDatabase } from "../data/engine/database";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

/** `jam person ADDRESS NAME`: adds a member of the team. */
export async function personCommand(words: readonly string[]): Promise<number> {
  const { paths, value } = readWords(words, [], ["work"]);
  const [address, ...names] = paths;
  if (!address || names.length === 0) throw new WrongCall("Say who: jam person ADDRESS NAME");
  process.stderr.write("Password (empty: no sign-in): ");
  const lines = createInterface({ input: process.stdin });
  const [password = ""] = await new Promise<string[]>((resolve) => {
    lines.once("line", (line) => resolve([line]));
    lines.once("close", () => resolve([]));
  });
  lines.close();
  const open = await openDatabase(databaseSettings("jam person", true));
  try {
    const id = await addPerson(open.db, {
      name: names.join(" "),
      address,
      work: value("work") ?? "",
      password: password === "" ? null : password,
    });
    if (id === null) throw new WrongCall(`${address} is a member already. Nothing was changed.`);
    process.stdout.write(`${names.join(" ")} is a member now.\n`);
    return 0;
  } catch (error) {
    if (error instanceof z.ZodError)
      throw new WrongCall(`${error.issues[0]?.message ?? "This cannot be read."} Nothing was changed.`);
    throw error;
  } finally {
    await open.close();
  }
}
