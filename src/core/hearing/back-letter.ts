import type { WhileAway } from "../views/days-view";

function count(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`;
}

function reference(of: { readonly title: string; readonly reference: string | null }): string {
  return of.reference ? `${of.title} (${of.reference})` : of.title;
}

/** Lines of each list in the letter at the most; the page has all of them. */
const MOST_LINES = 20;

/** The letter to somebody who is back: what was done for them, what became theirs, what ran over. `say` says a day in words. */
export function backLetter(
  happened: WhileAway,
  say: (day: string) => string,
  link: string,
): { readonly subject: string; readonly text: string } {
  const { away, done, given, over } = happened;
  const part = (head: string, lines: readonly string[]) =>
    lines.length === 0
      ? []
      : [
          `${head}:`,
          ...lines.slice(0, MOST_LINES).map((line) => `  ${line}`),
          ...(lines.length > MOST_LINES ? [`  and ${lines.length - MOST_LINES} more`] : []),
          "",
        ];
  const nothing =
    done.length + given.length + over.length === 0 ? ["Nothing happened that you need to know of.", ""] : [];
  return {
    subject: `While you were away: ${count(done.length, "thing was", "things were")} done for you, ${count(given.length, "task", "tasks")} came`,
    text: [
      `You were away from ${say(away.fromDay)}${away.coverName ? `; ${away.coverName} looked after your work` : ""}.`,
      "",
      ...nothing,
      ...part(
        "Done for you",
        done.map((one) => `${one.by} ${one.words}: ${reference(one)}`),
      ),
      ...part("Came to you", given.map(reference)),
      ...part(
        "Over their date",
        over.map((task) => `${reference(task)}${task.due ? `, due ${say(task.due.day)}` : ""}`),
      ),
      `All of it: ${link}`,
    ].join("\n"),
  };
}

/** The letter to somebody who is to cover: for whom, when, and what they will find. `say` says a day in words. */
export function coverLetter(
  away: { readonly name: string; readonly fromDay: string; readonly backDay: string; readonly withMailboxes: boolean },
  say: (day: string) => string,
  link: string,
): { readonly subject: string; readonly text: string } {
  return {
    subject: `You cover for ${away.name}, ${say(away.fromDay)} until ${say(away.backDay)}`,
    text: [
      `${away.name} is away from ${say(away.fromDay)} and back on ${say(away.backDay)}. You look after their work meanwhile.`,
      "",
      `What they are told, you are told too, as far as you may see it${away.withMailboxes ? "; letters to their own mailboxes stand in your Sort" : ""}. What you do and write says that it is for them.`,
      "",
      `Their tasks and waits: ${link}`,
    ].join("\n"),
  };
}
