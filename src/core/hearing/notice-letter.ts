/** One thing that somebody is told, as it stands in a letter. */
export interface MailedNotice {
  readonly by: string;
  readonly words: string;
  readonly why: string;
}

/** A task in a letter to a member, with what they are told of it. */
export interface MailedTask {
  readonly reference: string;
  readonly title: string;
  /** "Wed 25 Nov, tomorrow"; null without a date. */
  readonly due: string | null;
  readonly project: string | null;
  readonly link: string;
  /** Where a hand-over can be answered; null where there is nothing to answer. */
  readonly answerLink: string | null;
  readonly notices: readonly MailedNotice[];
}

function sentence({ by, words }: MailedNotice): string {
  return `${by} ${words}${/[.!?”]$/.test(words) ? "" : "."}`;
}

function taskLines(task: MailedTask): string[] {
  return [
    `${task.title} (${task.reference})`,
    [task.due ? `due ${task.due}` : "no date", task.project ?? "no project"].join(", "),
    ...task.notices.map((notice) => `  ${sentence(notice)}`),
    ...(task.answerLink ? [`  Take it on, hand it back or ask: ${task.answerLink}`] : []),
    task.link,
  ];
}

/** Why somebody gets a letter, said at its end, so that they know how to end it. */
function because(tasks: readonly MailedTask[]): string {
  const whys = [...new Set(tasks.flatMap((task) => task.notices.map((notice) => notice.why)))];
  return `You hear of this because you ${whys.join(", or because you ")}. “Mail about your tasks” in the menu says how and when.`;
}

/** The letter about one task, at once: what happened, by when it is due, where to answer. */
export function noticeLetter(task: MailedTask): { subject: string; text: string } {
  return {
    subject: `${task.reference}: ${task.title}`,
    text: [
      ...task.notices.map(sentence),
      "",
      ...taskLines({ ...task, notices: [] }),
      "",
      "An answer to this letter stands on the task.",
      because([task]),
    ].join("\n"),
  };
}

/** The digest: everything that could wait, by task. */
export function digestLetter(tasks: readonly MailedTask[]): { subject: string; text: string } {
  const count = tasks.reduce((sum, task) => sum + task.notices.length, 0);
  return {
    subject: `${count} ${count === 1 ? "thing" : "things"} you should hear, of ${tasks.length} ${tasks.length === 1 ? "task" : "tasks"}`,
    text: [...tasks.flatMap((task) => [...taskLines(task), ""]), because(tasks)].join("\n"),
  };
}
