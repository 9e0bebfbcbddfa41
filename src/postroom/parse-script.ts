/** A letter of the demo as its script has it. */
export interface ScriptLetter {
  readonly from: string;
  readonly to: readonly string[];
  readonly cc: readonly string[];
  /** "w-3 tue 09:12" (weeks before this one) or "d-1 09:12" (working days before the reference day). */
  readonly when: string;
  readonly flags: readonly string[];
  readonly files: readonly string[];
  readonly body: string;
}

/** A task that is kept from a conversation: the words of its passage, who has it, its title and what became of it. */
export interface ScriptTask {
  readonly passage: string;
  readonly owner: string;
  readonly title: string;
  readonly fate: string;
}

export interface ScriptConversation {
  readonly subject: string;
  readonly letters: readonly ScriptLetter[];
  readonly outcome: "kept" | "nothing" | "sort";
  readonly by: string;
  readonly tasks: readonly ScriptTask[];
}

const HEADER =
  /^([a-z-]+) > ([a-z-]+(?:, [a-z-]+)*?)((?:, cc [a-z-]+)*) @ ((?:w-\d [a-z]{3}|d-\d) \d\d:\d\d)(?: \| (.*))?$/;

/** Reads a script of the demo: conversations begin with "# ", letters with "who > whom @ when", "= " says what became of them. */
export function parseScript(script: string): ScriptConversation[] {
  return script.split(/^# /m).slice(1).map(parseConversation);
}

function parseConversation(block: string): ScriptConversation {
  const lines = block.split("\n");
  const letters: (Omit<ScriptLetter, "body"> & { lines: string[] })[] = [];
  const tasks: ScriptTask[] = [];
  let outcome: ScriptConversation["outcome"] = "sort";
  let by = "ines";
  for (const line of lines.slice(1)) {
    const header = HEADER.exec(line);
    if (header) {
      const parts = (header[5] ?? "").split(" | ").filter((part) => part !== "");
      const files =
        parts
          .find((part) => part.startsWith("files: "))
          ?.slice(7)
          .split(", ") ?? [];
      letters.push({
        from: header[1]!,
        to: header[2]!.split(", "),
        cc: header[3]!.split(", cc ").filter((name) => name !== ""),
        when: header[4]!,
        flags: parts.filter((part) => !part.startsWith("files: ")),
        files,
        lines: [],
      });
    } else if (line.startsWith("= ")) {
      const [what, who] = line.slice(2).split(" ");
      outcome = what as ScriptConversation["outcome"];
      by = who ?? "ines";
    } else if (line.startsWith("+ ")) {
      const [passage, owner, title, fate] = line.slice(2).split(" | ");
      if (!passage || !owner || !title || !fate)
        throw new Error(`The demo's script has a task that cannot be read: ${line}`);
      tasks.push({ passage, owner, title, fate });
    } else if (line !== "---") letters.at(-1)?.lines.push(line);
  }
  if (letters.length === 0) throw new Error(`The demo's script has a conversation without letters: ${lines[0]}`);
  return {
    subject: lines[0]!,
    letters: letters.map(({ lines: body, ...letter }) => ({ ...letter, body: body.join("\n").trim() })),
    outcome,
    by,
    tasks,
  };
}
