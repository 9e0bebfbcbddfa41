import { sayRepeat } from "../repeating/say-repeat";
import { sayDuration } from "../time/duration";
import { sayDay } from "../time/say-day";
import type { Change, RowValues } from "./outcome";
import { type Step, sayProgress } from "./steps";

/** The acts of the product by the name they have in the history. */
export const ACT_NAMES = [
  "keep",
  "brush off",
  "nothing to do",
  "back to Sort",
  "goes to",
  "change slip",
  "add slip",
  "make task",
  "change task",
  "hand over",
  "hand over many",
  "take on",
  "hand back",
  "ask back",
  "doubt",
  "keep posted",
  "keep posted at",
  "go away",
  "come back",
  "how far",
  "start on",
  "hold",
  "plan chases",
  "note a call",
  "step",
  "repeat",
  "finish and next",
  "put by",
  "put task by",
  "bring back",
  "remind",
  "comment",
  "write",
  "send again",
  "make from letter",
  "may write",
  "join",
  "split",
  "undo",
] as const;
export type ActName = (typeof ACT_NAMES)[number];

function quoted(value: unknown): string {
  return `“${String(value)}”`;
}

function sayDue(values: RowValues | null): string {
  const day = values?.dueDay;
  if (typeof day !== "string") return "no date";
  return `${sayDay(day, day)}${typeof values?.dueTime === "string" ? `, ${values.dueTime}` : ""}`;
}

/** The last hand-over that the values of a task tell of. */
export function lastLink(values: RowValues): Readonly<Record<string, string>> | null {
  const last = Array.isArray(values.chain) ? values.chain.at(-1) : null;
  return typeof last === "object" ? last : null;
}

/** How a task changed hands. `by` is who did it. */
function ownerWords(before: RowValues, after: RowValues, nameOf: (id: string) => string | null, by: string): string {
  const name = (id: unknown) => nameOf(String(id)) ?? "somebody";
  const link = lastLink(after);
  if (!after.ownerId && link?.answer === "declined") return `handed it back: ${quoted(link.reason)}`;
  if (!after.ownerId) return `took it from ${name(before.ownerId)}: nobody has it`;
  if (after.ownerId === by) return before.ownerId ? `took it from ${name(before.ownerId)}` : "took it";
  const note = link?.to === after.ownerId && link.note ? `: ${quoted(link.note)}` : "";
  if (before.ownerId === by) return `passed it to ${name(after.ownerId)}${note}`;
  return before.ownerId
    ? `took it from ${name(before.ownerId)} and gave it to ${name(after.ownerId)}${note}`
    : `handed it to ${name(after.ownerId)}${note}`;
}

/** What was done to a checklist. */
function stepWords(changes: readonly Change[]): string {
  const of = (values: RowValues | null | undefined) =>
    (Array.isArray(values?.steps) ? values.steps : []) as unknown as readonly Step[];
  const change = changes.find((one) => Array.isArray(one.after?.steps));
  const [before, after] = [of(change?.before), of(change?.after)];
  const added = after.find((step) => !before.some((old) => old.id === step.id));
  if (added) return `added the step ${quoted(added.text)}`;
  const removed = before.find((step) => !after.some((now) => now.id === step.id));
  if (removed) return `took the step ${quoted(removed.text)} away`;
  const turned = after.find((step) =>
    before.some((old) => old.id === step.id && (old.doneAt === "") !== (step.doneAt === "")),
  );
  if (!turned) return "looked at the steps";
  return turned.doneAt === ""
    ? `opened ${quoted(turned.text)} again`
    : `did ${quoted(turned.text)}, ${sayProgress(after)}`;
}

function fieldWords(change: Change, nameOf: (id: string) => string | null, by: string): string[] {
  const { before, after } = change;
  const words: string[] = [];
  if (!after || !before) return words;
  if ("title" in after) words.push(`changed the title from ${quoted(before.title)} to ${quoted(after.title)}`);
  if ("ownerId" in after && after.ownerId !== before.ownerId) words.push(ownerWords(before, after, nameOf, by));
  else if (Array.isArray(after.chain)) {
    const [was, is] = [lastLink(before), lastLink(after)];
    if (is && is.question !== "" && is.question !== was?.question) words.push(`asked: ${quoted(is.question)}`);
    else if (was && was.question !== "" && is?.question === "" && by !== is.to) words.push("answered");
    if (was?.answer === "needs-action" && is?.answer === "accepted") words.push("took it on");
  }
  if ("doubt" in after)
    words.push(after.doubt ? `is in doubt: ${quoted(after.doubt)}` : "is no longer in doubt about it");
  if ("theirsId" in after && after.theirsId !== before.theirsId)
    words.push(
      after.theirsId
        ? `now waits for ${nameOf(String(after.theirsId)) ?? "somebody outside"}`
        : "no longer waits for somebody outside",
    );
  if ("dueDay" in after) words.push(`moved the due date from ${sayDue(before)} to ${sayDue(after)}`);
  if ("priority" in after) words.push(`changed the priority from ${before.priority} to ${after.priority}`);
  if ("estimate" in after)
    words.push(
      typeof after.estimate === "number"
        ? `says it takes ${sayDuration(after.estimate)}`
        : "no longer says how long it takes",
    );
  if ("state" in after)
    words.push(
      after.state === "done"
        ? "finished it"
        : after.state === "called off"
          ? "called it off; its letters stay where they are"
          : before.state === "done"
            ? `took it up again, ${after.state}`
            : `set it to ${after.state}`,
    );
  if ("projectId" in after && after.projectId !== before.projectId)
    words.push(
      after.projectId
        ? `moved it to ${nameOf(String(after.projectId)) ?? "another project"}`
        : "took it out of its project",
    );
  else if ("workstreamId" in after && after.workstreamId !== before.workstreamId) words.push("changed its workstream");
  return words;
}

/**
 * One line of "what happened" about the row `id`, without the name of who did it: "finished it", "moved the due date from
 * Wed 25 Nov to Fri 27 Nov". `nameOf` says the name of a person or project by id; `by` is the id of who did it.
 */
export function historyWords(
  act: string,
  changes: readonly Change[],
  id: string,
  nameOf: (id: string) => string | null,
  by: string,
): string {
  const own = changes.filter((change) => change.id === id);
  const next = own.find((change) => change.row === "task" && change.before === null);
  if (typeof next?.after?.repeats === "string" && act !== "undo") return "made it, the next of its series";
  if (act === "undo") {
    const made = own.find((change) => change.before === null);
    const fields = own.flatMap((change) => fieldWords(change, nameOf, by));
    return made ? "made it again" : fields.length > 0 ? `undid a change: ${fields.join(", ")}` : "undid a comment";
  }
  if (act === "keep" && !own.some((change) => change.before === null)) {
    const fields = own.flatMap((change) => fieldWords(change, nameOf, by));
    return fields.length > 0 ? `${fields.join(", ")}, as a letter says` : "noted what a letter says";
  }
  if (act === "keep") {
    const made = own.find((change) => change.before === null);
    const to = made?.after?.side === "theirs" ? made.after.theirsId : made?.after?.ownerId;
    const who = typeof to === "string" ? nameOf(to) : null;
    return made?.after?.side === "theirs"
      ? `kept it from the letter, to wait for ${who ?? "them"}`
      : who
        ? `kept it from the letter, for ${who}`
        : "kept it from the letter, without an owner yet";
  }
  if (act === "put task by" || act === "put by") {
    const until = own.find((change) => change.after?.putUntil)?.after?.putUntil;
    const day = typeof until === "string" ? until.slice(0, 10) : null;
    return day === null || day.startsWith("9999") ? "put it on the shelf" : `put it by until ${sayDay(day, day)}`;
  }
  if (act === "remind") {
    const change = changes.find((one) => one.row === "reminder");
    const at = change?.after?.at;
    return typeof at === "string"
      ? `wants to be reminded ${sayDay(at.slice(0, 10), at.slice(0, 10))}`
      : "does not want to be reminded of it then";
  }
  if (act === "bring back") return "brought it back";
  if (act === "finish and next")
    return own.some((change) => change.before === null) ? "made it to follow another" : "finished it, with a next step";
  if (act === "make from letter") return "made it by a letter to its workstream’s address";
  if (act === "make task") {
    const made = own.find((change) => change.row === "task" && change.before === null)?.after;
    const to = made?.side === "theirs" ? made.theirsId : made?.ownerId;
    const name = typeof to === "string" && to !== by ? nameOf(to) : null;
    if (!name) return "made it by hand";
    return made?.side === "theirs" ? `waits for ${name}` : `made it by hand, for ${name}`;
  }
  if (act === "keep posted") {
    const change = changes.find((one) => one.row === "posted");
    const who = nameOf(String(change?.after?.personId ?? change?.before?.personId)) ?? "somebody";
    const hears = change?.after?.hears;
    return hears
      ? `keeps ${who} posted`
      : hears === false
        ? `${who} does not want to hear of it`
        : `${who} hears as usual`;
  }
  if (act === "repeat") {
    const rule = own.find((change) => change.after !== null)?.after?.repeats;
    return typeof rule === "string" ? `repeats it ${sayRepeat(rule)}` : "no longer repeats it";
  }
  if (act === "how far") {
    const percent = own.find((change) => change.after !== null)?.after?.percent;
    return typeof percent === "number" ? `says it is ${percent} per cent done` : "no longer says how far it is";
  }
  if (act === "start on") {
    const day = own.find((change) => change.after !== null)?.after?.startDay;
    return typeof day === "string" ? `says not before ${sayDay(day, day)}` : "says it can begin at any time";
  }
  if (act === "hold") {
    const holder = own.find((change) => change.after !== null)?.after?.heldById;
    if (typeof holder !== "string") return own.length > 0 ? "lets it go on" : "held another task by it";
    return "holds it until something else is here";
  }
  if (act === "plan chases") {
    const plan = own.find((change) => change.after !== null)?.after?.chasePlan;
    const at = plan && typeof plan === "object" && "nextAt" in plan ? String(plan.nextAt).slice(0, 10) : null;
    return at ? `planned letters from ${sayDay(at, at)}` : "ended the letters planned";
  }
  if (act === "step") return stepWords(own);
  if (act === "note a call") {
    const call = changes.find((one) => one.row === "comment")?.after;
    const fields = own.flatMap((change) => fieldWords(change, nameOf, by));
    const rang = `${call?.kind === "call" ? "spoke with them" : "rang, nobody reached"}: ${quoted(call?.text)}`;
    return [rang, ...fields].join(", ");
  }
  if (act === "comment") return "wrote a note";
  if (act === "may write") {
    const rule = own.find((change) => change.after !== null)?.after?.mayWrite;
    return `let ${String(rule ?? "others")} write to its address`;
  }
  if (act === "join") return "put a conversation on it";
  if (act === "split") return "split the conversation";
  if (act === "send again") return "sent the letter once more";
  if (act === "write") {
    const letter = changes.find((change) => change.row === "outgoing")?.after;
    const to = Array.isArray(letter?.to)
      ? letter.to.map((one) => (typeof one === "string" ? one : one.name || one.address))
      : [];
    const done = own.some((change) => change.after?.state === "done") ? " and finished it" : "";
    const whom = `${to.slice(0, 3).join(", ")}${to.length > 3 ? ` and ${to.length - 3} more` : ""}`;
    const isMade = own.some((change) => change.row === "task" && change.before === null);
    if (isMade) return `kept it with a letter to ${whom}`;
    if (own.some((change) => change.after?.theirsId)) return `asked ${whom} for it by letter, and waits`;
    const changed = done === "" ? own.flatMap((change) => fieldWords(change, nameOf, by)) : [];
    return [`${letter?.isChase === true ? "chased" : "wrote to"} ${whom}${done}`, ...changed].join(", ");
  }
  const fields = own.flatMap((change) => fieldWords(change, nameOf, by));
  return fields.length > 0 ? fields.join(", ") : act;
}
