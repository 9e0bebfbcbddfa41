import { createInterface } from "node:readline";
import { z } from "zod";
import { leaveTeam } from "../acts/leave-team";
import { addPerson } from "../acts/set-up";
import { databaseSettings, openDatabase } from "../data/engine/database";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

/** `jam person leave ADDRESS`: somebody leaves the team. */
async function leaveCommand(address: string | undefined): Promise<number> {
  if (!address) throw new WrongCall("Say who: jam person leave ADDRESS");
  const open = await openDatabase(databaseSettings("jam person", true));
  try {
    const left = await leaveTeam(open.db, address, Date.now());
    if (!left.ok) throw new WrongCall(left.why);
    const tasks = left.tasks === 1 ? "1 task went back" : `${left.tasks} tasks went back`;
    process.stdout.write(`${left.name} is no member any more; ${tasks}.\n`);
    return 0;
  } finally {
    await open.close();
  }
}

/** `jam person ADDRESS NAME`: adds a member of the team. */
export async function personCommand(words: readonly string[]): Promise<number> {
  if (words[0] === "leave") return leaveCommand(words[1]);
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
