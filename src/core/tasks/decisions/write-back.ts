import type { Correspondent } from "../../letters/letter";
import { TAKE_BACK_MS } from "../../letters/outgoing";
import { tidyLetter, type WrittenLetter } from "../../letters/to-send";
import type { Day } from "../../time/day";
import { sayDay } from "../../time/say-day";
import { MOST_CHASES_A_WEEK } from "../../waiting/next-step";
import { invalid, type Outcome, type Write } from "../outcome";
import { dueColumns } from "../row";
import type { Due, TaskState } from "../task";
import { changeWritten, type WrittenChange, type WrittenChangeFacts } from "./change-written";
import { type ConversationFacts, nothingToDo } from "./deal-with";
import { keepWritten, type WrittenSlip, type WrittenTask } from "./keep-written";

/** What a letter of ours is decided on. */
export interface WriteBackFacts {
  readonly actorId: string;
  /** Ids for the letter, handed out before. */
  readonly id: string;
  readonly messageId: string;
  readonly from: Correspondent;
  /** Link to the task, where the letter goes to our own people alone. */
  readonly link: string | null;
  /** Files that go along, known to be the writer's own. */
  readonly fileIds: readonly string[];
  /** Bytes of all of them together. */
  readonly fileBytes: number;
  /** Whether there is a mail server that takes our letters. */
  readonly canSend: boolean;
  /** The letter that is answered, and its own references (RFC 5322 section 3.6.4). */
  readonly answers: { readonly messageId: string | null; readonly references: readonly string[] } | null;
  readonly conversation: (ConversationFacts & { readonly conversationProjectId: string | null }) | null;
  /** Ids, numbers and owners of the tasks that are kept with it, one for each slip. */
  readonly written: readonly WrittenTask[];
  /** The tasks that its changes are about, one for each. */
  readonly changed: readonly WrittenChangeFacts[];
  /** What is known of those it goes to, where it chases: who is away or a machine, and how often they were chased lately. */
  readonly chased: readonly {
    readonly name: string;
    readonly isMachine: boolean;
    readonly awayUntil: string | null;
    readonly thisWeek: number;
  }[];
  /** The organisation's day. */
  readonly today: Day;
  /** Who has chased about the task within a day, and has not taken it back. */
  readonly chasedBy: string | null;
  readonly task: {
    readonly id: string;
    readonly state: TaskState;
    readonly conversationId: string | null;
    readonly projectId: string | null;
    readonly ownerId: string | null;
  } | null;
}

export interface WriteBackInput extends WrittenLetter {
  /** Finish the task in the same step. */
  readonly finishes: boolean;
  /** Take the conversation out of Sort in the same step; slips still open are brushed off. */
  readonly dealsWith: boolean;
  /** Whom the task is asked of with it: it is waited for from then on. */
  readonly waitsForId: string | null;
  /** A new due for that; undefined leaves it as it is. */
  readonly due?: Due | null | undefined;
  /** It asks once more for what is owed on the task. */
  readonly chases: boolean;
  /** What it asks and promises that is kept as tasks in the same step. */
  readonly slips: readonly WrittenSlip[];
  /** What it says of tasks that are here already. */
  readonly changes: readonly WrittenChange[];
}

/** Bytes of files in one letter; encoded they grow by a third, and many servers stop at 25 MB. */
export const MOST_FILE_BYTES = 18 * 1_048_576;

/** Message-IDs in References at the most; the first, which names the conversation, is kept. */
const MOST_REFERENCES = 40;

function referencesOf(answers: WriteBackFacts["answers"]): string[] {
  if (!answers) return [];
  const all = [...answers.references, ...(answers.messageId ? [answers.messageId] : [])];
  return all.length > MOST_REFERENCES ? [all[0]!, ...all.slice(1 - MOST_REFERENCES)] : all;
}

/** Why nobody is chased now: a machine, somebody who is away, too often within a week. A plain letter may still be written. */
function mayNotChase({ chased, chasedBy, task, today }: WriteBackFacts): string | null {
  if (!task) return "A chase is about a task. Nothing was sent.";
  if (task.state === "done" || task.state === "called off")
    return `The task is ${task.state} already. Nothing was sent.`;
  if (chasedBy) return `${chasedBy} chased about this within a day already. Nothing was sent twice.`;
  for (const one of chased) {
    if (one.isMachine) return `${one.name} is a machine’s address; nobody reads there. Nothing was sent.`;
    if (one.awayUntil && one.awayUntil > today)
      return `${one.name} is away until ${sayDay(one.awayUntil, today)}. Nothing was sent; it can be chased then.`;
    if (one.thisWeek >= MOST_CHASES_A_WEEK)
      return `${one.name} was chased ${one.thisWeek} times in five working days already. Nothing was sent; ring them, or wait until tomorrow.`;
  }
  return null;
}

/**
 * Writes a letter: it waits in the outbox for the seconds in which it can be taken back. With it, in one step, the task may
 * be finished or the conversation be dealt with.
 */
export function writeBack(facts: WriteBackFacts, input: WriteBackInput, now: string): Outcome {
  if (!facts.canSend)
    return invalid(
      "No mail server is set up here for letters that go out (JAM_SMTP_OUT). Nothing was sent; your letter is still here.",
    );
  const tidy = tidyLetter(input);
  if (!tidy.ok) return invalid(tidy.why);
  const { letter } = tidy;
  const noChase = input.chases ? mayNotChase(facts) : null;
  if (noChase) return invalid(noChase);
  if (facts.fileBytes > MOST_FILE_BYTES)
    return invalid(
      `The files have ${Math.round(facts.fileBytes / 1_048_576)} MB together; ${MOST_FILE_BYTES / 1_048_576} are the most that mail servers take. Nothing was sent.`,
    );
  const conversationId = facts.conversation?.conversationId ?? facts.task?.conversationId ?? null;
  const writes: Write[] = [
    {
      row: "outgoing",
      id: facts.id,
      isNew: true,
      values: {
        messageId: facts.messageId,
        personId: facts.actorId,
        conversationId,
        taskId: facts.task?.id ?? null,
        fromName: facts.from.name,
        fromAddress: facts.from.address,
        to: letter.to.map(({ name, address }) => ({ name, address })),
        cc: letter.cc.map(({ name, address }) => ({ name, address })),
        subject: letter.subject,
        text: facts.link ? `${letter.text}\n\n${facts.link}` : letter.text,
        files: [...facts.fileIds],
        answers: facts.answers?.messageId ?? null,
        references: referencesOf(facts.answers),
        createdAt: now,
        state: "waiting",
        tries: 0,
        nextTry: new Date(Date.parse(now) + TAKE_BACK_MS).toISOString(),
        said: null,
        maybeTwice: false,
        sentAt: null,
        letterId: null,
        isChase: input.chases,
      },
    },
  ];
  const projectId = facts.conversation?.conversationProjectId ?? facts.task?.projectId ?? null;
  const kept = keepWritten(
    input.slips,
    facts.written,
    { outgoingId: facts.id, conversationId, projectId, actorId: facts.actorId, textLength: letter.text.length },
    now,
  );
  if (!kept.ok) return invalid(kept.why);
  writes.push(...kept.writes);
  const made = kept.writes.map((write) => write.id);
  const about = [...(conversationId ? [conversationId] : []), ...(facts.task ? [facts.task.id] : []), ...made];
  // A task that is finished in the same step is not changed beside that.
  const finished = input.finishes ? facts.task?.id : null;
  const changes = changeWritten(
    input.changes.filter(({ taskId }) => taskId !== finished),
    facts.changed.filter(({ task }) => task.id !== finished),
    { text: letter.text, actorId: facts.actorId },
    now,
  );
  if (!changes.ok) return invalid(changes.why);
  writes.push(...changes.writes);
  about.push(...changes.changed.filter((id) => !about.includes(id)));
  if (input.finishes && facts.task) {
    if (facts.task.state === "done")
      return invalid("The task is done already. Nothing was sent; your letter is still here.");
    const values = { state: "done", changedAt: now, finishedAt: now };
    writes.push({ row: "task", id: facts.task.id, isNew: false, values });
  }
  if (input.waitsForId && facts.task) {
    if (facts.task.state === "done" || facts.task.state === "called off")
      return invalid(`The task is ${facts.task.state} already. Nothing was sent; your letter is still here.`);
    const due = input.due === undefined ? {} : dueColumns(input.due);
    const waits = { side: "theirs", theirsId: input.waitsForId, ownerId: facts.task.ownerId ?? facts.actorId };
    writes.push({ row: "task", id: facts.task.id, isNew: false, values: { ...waits, ...due, changedAt: now } });
  }
  if (input.dealsWith && facts.conversation?.place === "sort") {
    const dealt = nothingToDo(facts.conversation, now, "answered");
    if (!dealt.ok) return dealt;
    writes.push(...dealt.writes);
  }
  return { ok: true, writes, about, made };
}
