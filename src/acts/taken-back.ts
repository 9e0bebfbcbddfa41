import type { Correspondent } from "../core/letters/letter";
import { splitText } from "../core/letters/split-text";
import type { Change, RowValues } from "../core/tasks/outcome";
import type { Database } from "../data/engine/database";
import { keepDraft } from "../data/queries/drafts";
import type { Actor } from "./act";

/** What was written, without the original that went along below it. */
function ownWords(text: string): string {
  return splitText(text, false)
    .filter((part) => part.kind === "new" || part.kind === "signature")
    .map((part) => text.slice(part.start, part.end))
    .join("")
    .trim();
}

function aboutOf(letter: RowValues): string {
  if (letter.taskId) return `task ${letter.taskId}`;
  return letter.conversationId ? `conversation ${letter.conversationId}` : "new letter";
}

/** Letters that were taken back are written on: each is a draft again, where it was written. */
export async function keepTakenBack(db: Database, actor: Actor, changes: readonly Change[]): Promise<void> {
  for (const { row, before, after } of changes) {
    if (row !== "outgoing" || after !== null || before === null) continue;
    const values = {
      to: before.to as unknown as Correspondent[],
      cc: before.cc as unknown as Correspondent[],
      subject: before.subject,
      text: ownWords(String(before.text)),
      from: before.fromAddress,
      files: [],
    };
    await keepDraft(db, actor, aboutOf(before), values, actor.now);
  }
}
