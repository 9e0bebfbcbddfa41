import fs from "node:fs";
import path from "node:path";
import { sql } from "drizzle-orm";
import { giveReminders } from "../acts/give-reminders";
import { type Performed, perform } from "../acts/perform";
import { addPerson, makeOrganisation } from "../acts/set-up";
import { BATCH, takeIn } from "../acts/take-in";
import { turnAbsences } from "../acts/turn-absences";
import { wayInNamed } from "../acts/ways-in";
import { readRepeat } from "../core/repeating/read-repeat";
import { readLine } from "../core/tasks/read-line";
import type { Step } from "../core/tasks/steps";
import { addDays, addWorkingDays, type Day, PLAIN_WEEK } from "../core/time/day";
import { dayOf, type Moment } from "../core/time/moment";
import type { SlipView } from "../core/views/views";
import { readCall } from "../core/waiting/read-call";
import type { Database } from "../data/engine/database";
import { productRoot } from "../data/engine/open-pglite";
import { newId } from "../data/ids";
import { team } from "../data/queries/people";
import { conversationFor } from "../data/queries/sort";
import { rowsOf } from "../data/rows";
import { correspondent, firm, project, workstream } from "../data/schema";
import { type ComposedLetter, compose, mailboxOf } from "./compose";
import { fitDays, placed, referenceDay } from "./demo-days";
import { DEMO_PASSWORD } from "./demo-password";
import { ABSENCES, DEMO_DOMAIN, DEMO_ZONE, FIRMS, OUTSIDERS, PROJECTS, TEAM } from "./larkmoor/people";
import { parseScript, type ScriptConversation, type ScriptTask } from "./parse-script";

const SCRIPTS = ["harbour-green", "ashgrove", "brackenfold", "others", "workshop", "this-week", "machines"];

const MINUTE_MS = 60_000;

function scriptText(name: string): string {
  return fs.readFileSync(path.join(productRoot(), "src/postroom/larkmoor", `${name}.txt`), "utf8");
}

class DemoLoader {
  private readonly people = new Map<string, string>();
  private readonly projects = new Map<string, string>();
  private readonly reference: Day;

  constructor(
    private readonly db: Database,
    private readonly now: number,
    private readonly say: (text: string) => void,
  ) {
    this.reference = referenceDay(now);
  }

  async load(): Promise<void> {
    this.say("The people of Larkmoor Playworks …");
    await this.loadHouse();
    await this.withoutNoticeMail();
    const conversations = SCRIPTS.flatMap((name) => parseScript(scriptText(name)));
    const composed = await Promise.all(
      conversations.map((conversation, number) => compose(conversation, number, this.reference)),
    );
    const isAnswer = (number: number, i: number) => conversations[number]!.letters[i]!.flags.includes("answer");
    const first = composed.map((letters, number) => letters.filter((_, i) => !isAnswer(number, i)));
    const answers = composed.flatMap((letters, number) => letters.filter((_, i) => isAnswer(number, i)));
    await this.loadLetters(first.flat());
    await this.dealWithAll(conversations, first);
    await this.makeTasks();
    await this.goAway();
    await this.handOn();
    await this.remindThisMorning();
    // What answers a task comes after it was made.
    await this.loadLetters(answers);
  }

  /** The people of the demo have no mail program of their own: what they should hear stands in the application. */
  private async withoutNoticeMail(): Promise<void> {
    await this.db.execute(sql`update person set notice_mail = 'never'`);
  }

  private async loadHouse(): Promise<void> {
    await makeOrganisation(this.db, { name: "Larkmoor Playworks", zone: DEMO_ZONE, isDemo: true }, this.now);
    for (const one of TEAM) {
      const id = await addPerson(this.db, {
        name: one.name,
        address: `${one.key}@${DEMO_DOMAIN}`,
        work: one.work,
        password: DEMO_PASSWORD,
        isLead: one.isLead ?? false,
        nicknames: [...(one.nicknames ?? [])],
      });
      this.people.set(one.key, id!);
    }
    const firms = new Map<string, string>();
    for (const one of FIRMS) {
      firms.set(one.name, newId());
      await this.db.insert(firm).values({ id: firms.get(one.name)!, name: one.name, kind: one.kind });
    }
    await this.db.insert(correspondent).values(
      OUTSIDERS.map((one) => ({
        id: newId(),
        name: one.name,
        address: one.address,
        firmId: firms.get(one.firm) ?? null,
      })),
    );
    for (const one of PROJECTS) {
      const id = newId();
      this.projects.set(one.name, id);
      await this.db
        .insert(project)
        .values({ id, name: one.name, firmId: one.firm ? firms.get(one.firm)! : null, words: [...one.words] });
      await this.db
        .insert(workstream)
        .values(one.workstreams.map((name, place) => ({ id: newId(), projectId: id, name, place })));
    }
  }

  /** Every letter through the same door as real mail, in the order of its coming. */
  private async loadLetters(letters: readonly ComposedLetter[]): Promise<void> {
    const wayInId = await wayInNamed(this.db, `projects@${DEMO_DOMAIN}`, "mailbox", null);
    const sorted = [...letters].sort((a, b) => a.at - b.at);
    for (let i = 0; i < sorted.length; i += BATCH) {
      const batch = sorted.slice(i, i + BATCH);
      await takeIn(this.db, batch, wayInId, Math.min(this.now, batch.at(-1)!.at + MINUTE_MS));
      this.say(`Letters: ${Math.min(i + BATCH, sorted.length)} of ${sorted.length} …`);
    }
    // A batch comes at one instant; each letter came a minute after it was written.
    await this.db.execute(
      sql`update letter set received_at = least(sent_at + interval '1 minute', ${new Date(this.now)})`,
    );
    await this.db.execute(sql`update arrival a set at = l.received_at from letter l where l.id = a.letter_id`);
    await this.db.execute(sql`update conversation set came_at = last_at`);
  }

  private async act(by: string, name: string, input: unknown, at: number): Promise<Performed & { ok: true }> {
    const done = await perform(this.db, { personId: this.people.get(by)!, now: Math.min(at, this.now) }, name, input);
    if (!done.ok) throw new Error(`The demo cannot ${name}: ${done.says}`);
    return done;
  }

  private async dealWithAll(
    conversations: readonly ScriptConversation[],
    composed: readonly (readonly ComposedLetter[])[],
  ): Promise<void> {
    const rows = await rowsOf<{ id: string; messageId: string }>(
      this.db,
      sql`select conversation_id as id, message_id as "messageId" from letter where message_id like 'demo.%.0.%'`,
    );
    const byNumber = new Map(rows.map((row) => [Number(row.messageId.split(".")[1]), row.id]));
    await this.settleOldLetters(conversations, byNumber);
    const dealt = conversations
      .map((conversation, number) => ({
        conversation,
        id: byNumber.get(number)!,
        at: composed[number]!.at(-1)!.at + (25 + ((number * 37) % 160)) * MINUTE_MS,
      }))
      .filter(({ conversation }) => conversation.outcome !== "sort")
      .sort((a, b) => a.at - b.at);
    // Dealt with in their weeks: nobody said of them that they were read wrongly.
    await this.db.execute(sql`update slip set set_aside = 'nothing to do' where state = 'brushed off'`);
    for (const [i, { conversation, id, at }] of dealt.entries()) {
      if (i % 10 === 0) this.say(`Conversations dealt with: ${i} of ${dealt.length} …`);
      if (conversation.outcome === "nothing")
        await this.act(conversation.by, "nothing to do", { conversationId: id }, at);
      else await this.keep(conversation, id, at);
    }
  }

  /** Conversations that wait in Sort because of a new letter: what their letters of other weeks asked was dealt with then. */
  private async settleOldLetters(
    conversations: readonly ScriptConversation[],
    byNumber: ReadonlyMap<number, string>,
  ): Promise<void> {
    for (const [number, conversation] of conversations.entries()) {
      if (conversation.outcome !== "sort" || conversation.letters.length < 2) continue;
      const id = byNumber.get(number)!;
      const view = await this.slips("ines", id);
      const newest = view.letters.at(-1)!;
      for (const slip of view.slips) {
        if (slip.letterId !== newest.id && slip.state === "proposed")
          await this.act("ines", "brush off", { conversationId: id, slipId: slip.id }, newest.sentAt - 3_600_000);
      }
    }
  }

  private async slips(by: string, id: string) {
    const view = await conversationFor(this.db, { personId: this.people.get(by)! }, id);
    return view!;
  }

  /** Keeps what the script says, in the script's words, and brushes off the rest, as a coordinator would. */
  private async keep(conversation: ScriptConversation, id: string, at: number): Promise<void> {
    const { by } = conversation;
    if (conversation.tasks.length === 0) {
      const open = (await this.slips(by, id)).slips.filter((slip) => slip.state === "proposed").slice(0, 1);
      if (open.length === 0) return void (await this.act(by, "nothing to do", { conversationId: id }, at));
      await this.act(by, "keep", { conversationId: id, slipIds: open.map((slip) => slip.id) }, at);
    }
    for (const [i, task] of conversation.tasks.entries())
      await this.keepOne(conversation, task, id, at + i * MINUTE_MS);
    const left = await this.slips(by, id);
    if (left.place === "sort") await this.act(by, "nothing to do", { conversationId: id }, at + 9 * MINUTE_MS);
  }

  private async keepOne(conversation: ScriptConversation, task: ScriptTask, id: string, at: number): Promise<void> {
    const { by } = conversation;
    const view = await this.slips(by, id);
    const textOf = (slip: SlipView) =>
      (view.letters.find((letter) => letter.id === slip.letterId)?.text ?? "")
        .slice(slip.start ?? 0, slip.end ?? 0)
        .replace(/\s+/g, " ");
    let slip = view.slips.find((one) => one.state === "proposed" && textOf(one).includes(task.passage));
    if (!slip) {
      const letter = view.letters.find((one) => one.text.replace(/\s/g, " ").includes(task.passage));
      if (!letter) throw new Error(`The demo's letters do not say “${task.passage}”.`);
      const start = letter.text.replace(/\s/g, " ").indexOf(task.passage);
      await this.act(
        by,
        "add slip",
        {
          conversationId: id,
          letterId: letter.id,
          start,
          end: start + task.passage.length,
          title: task.title,
          owner: { side: "ours", personId: null },
          due: null,
          priority: "normal",
        },
        at,
      );
      slip = (await this.slips(by, id)).slips.find((one) => one.title === task.title && one.state === "proposed")!;
    }
    const slipId = slip.id;
    const change = (to: unknown) => this.act(by, "change slip", { slipId, change: to, was: null }, at);
    await change({ field: "title", to: task.title });
    const personId = this.people.get(task.owner);
    const outsider = view.outside.find(
      (one) => one.address === (OUTSIDERS.some((o) => o.key === task.owner) ? mailboxOf(task.owner).address : ""),
    );
    await change({
      field: "owner",
      to:
        personId || task.owner === "nobody"
          ? { side: "ours", personId: personId ?? null }
          : { side: "theirs", correspondentId: outsider!.id },
    });
    const priority = /\b(top|high|low)\b/.exec(task.fate)?.[1];
    if (priority) await change({ field: "priority", to: priority });
    const written = view.letters.find((letter) => letter.id === slip.letterId)?.sentAt ?? at;
    const due = this.dueFor(task.fate, dayOf({ at: written, zone: DEMO_ZONE }), slip.due?.day ?? null, task.title);
    if (due !== (slip.due?.day ?? null))
      await change({ field: "due", to: due ? { day: due, time: null, zone: DEMO_ZONE } : null });
    const done = await this.act(by, "keep", { conversationId: id, slipIds: [slipId] }, at);
    await this.bringOn(done.made[0]!.id, task.fate, task.owner, at, due);
  }

  /**
   * The due day of a task: the one its passage says; else the one the script gives ("by 3": working days after the
   * reference day); else, where nobody wrote a day, one that fits what became of it, as a coordinator would set it.
   */
  private dueFor(fate: string, written: Day, read: Day | null, title: string): Day | null {
    if (read) return read;
    const given = /\bby (-?\d+)/.exec(fate)?.[1];
    if (given) return addWorkingDays(this.reference, Number(given), PLAIN_WEEK);
    const spread = [...title].reduce((sum, sign) => sum + sign.charCodeAt(0), 0);
    if (fate.startsWith("late")) return addWorkingDays(this.reference, -(1 + (spread % 3)), PLAIN_WEEK);
    if (fate.startsWith("done")) return addWorkingDays(written, 3 + (spread % 4), PLAIN_WEEK);
    return spread % 9 === 0 ? null : addWorkingDays(this.reference, spread % 14, PLAIN_WEEK);
  }

  /** Lets a task go the way the script says. */
  private async bringOn(taskId: string, fate: string, owner: string, at: number, due: Day | null): Promise<void> {
    const by = this.people.has(owner) ? owner : "ines";
    const change = (to: string, when: number) =>
      this.act(by, "change task", { taskId, change: { field: "state", to }, was: null }, when);
    if (fate.startsWith("done")) {
      const latest = due
        ? placed(`d-0 15:10`, due < this.reference ? due : addDays(this.reference, -1), DEMO_ZONE).at
        : at + 8 * 3_600_000;
      await change("done", Math.max(at + 40 * MINUTE_MS, Math.min(latest, at + 3 * 86_400_000)));
    } else if (fate.startsWith("off")) await change("called off", at + 120 * MINUTE_MS);
    else if (fate.startsWith("going")) await change("under way", at + 90 * MINUTE_MS);
  }

  /** How tasks were handed on, answered and spoken of in the last days. */
  private async handOn(): Promise<void> {
    let title = "";
    for (const line of scriptText("handing").trim().split("\n")) {
      if (line.startsWith("# ")) {
        title = line.slice(2);
        continue;
      }
      const [head, act, words = ""] = line.split(" | ") as [string, string, string?];
      const parts = head.split(" ");
      const by = parts.pop()!;
      const { at } = placed(parts.join(" "), this.reference, DEMO_ZONE);
      const [task] = await rowsOf<{ id: string; steps: Step[] }>(
        this.db,
        sql`select id, steps from task where title = ${title} and state in ('to begin', 'under way') and created_at < ${new Date(at)} order by number desc limit 1`,
      );
      if (!task) continue;
      const step = act === "tick" ? task.steps.find((one) => one.text === words) : null;
      if (step) {
        const tick = { kind: "tick", stepId: step.id, isDone: true };
        await this.act(by, "step", { taskId: task.id, change: tick }, at);
        continue;
      }
      const [name, input] = inputOf(act, words, this.people, { at, zone: DEMO_ZONE });
      await this.act(by, name, { taskId: task.id, ...input }, at);
    }
    // What was told in other weeks has long been seen.
    await this.db.execute(sql`update notice set seen_at = at where at < ${new Date(this.now - 30 * 3_600_000)}`);
  }

  /** Who is away, and who covers. */
  private async goAway(): Promise<void> {
    const dayAt = (days: number) => addWorkingDays(this.reference, days, PLAIN_WEEK);
    for (const { key, from, back, cover, said } of ABSENCES) {
      const times = { fromDay: dayAt(from), backDay: dayAt(back), withMailboxes: false };
      const people = { personId: this.people.get(key), coverId: this.people.get(cover) };
      await this.act(key, "go away", { ...people, ...times }, placed(said, this.reference, DEMO_ZONE).at);
    }
    await turnAbsences(this.db, null, placed(`d-1 00:05`, this.reference, DEMO_ZONE).at);
  }

  /** The reminders of this morning, at their minute. */
  private async remindThisMorning(): Promise<void> {
    const morning = placed("d-0 08:00", this.reference, DEMO_ZONE).at;
    await giveReminders(this.db, Math.min(this.now, morning - MINUTE_MS));
    await giveReminders(this.db, Math.min(this.now, morning));
  }

  /** Tasks made by hand, one plain line each. */
  private async makeTasks(): Promise<void> {
    const people = await team(this.db);
    const named = [...this.projects].map(([name, id]) => ({ id, name }));
    for (const line of scriptText("tasks").trim().split("\n")) {
      const [head, words, fate] = line.split(" | ") as [string, string, string];
      const parts = head.split(" ");
      const by = parts.pop()!;
      const { day, at } = placed(`${parts.join(" ")} 09:${10 + (words.length % 45)}`, this.reference, DEMO_ZONE);
      const read = readLine(fitDays(words, day), people, named, { at, zone: DEMO_ZONE }, PLAIN_WEEK, "dmy");
      const due = read.due?.day ?? null;
      const made = await this.act(
        by,
        "make task",
        {
          title: read.title,
          ownerId: read.ownerId,
          due: due ? { day: due, time: null, zone: DEMO_ZONE } : null,
          priority: read.priority,
          projectId: read.projectId ?? null,
          workstreamId: null,
        },
        at,
      );
      await this.bringOn(
        made.made[0]!.id,
        fate,
        TEAM.find((one) => this.people.get(one.key) === read.ownerId)?.key ?? by,
        at,
        due,
      );
    }
    await this.db.execute(sql`update task set changed_at = coalesce(finished_at, changed_at)`);
  }
}

/** One thing that somebody did about a task by hand. */
function inputOf(act: string, words: string, people: ReadonlyMap<string, string>, from: Moment): [string, object] {
  const [name, to] = act.startsWith("hand over ") ? ["hand over", act.slice("hand over ".length)] : [act, ""];
  if (name === "hand over") return [name, { toIds: [people.get(to)!], note: words }];
  if (name === "hand back" || name === "doubt") return [name, { reason: words }];
  if (name === "ask back") return [name, { question: words }];
  if (name === "repeat") {
    const read = readRepeat(words, from, PLAIN_WEEK, "dmy");
    return [name, { rule: read.ok ? read.rule : null }];
  }
  if (name === "how far") return [name, { percent: Number(words) }];
  if (name === "step") return [name, { change: { kind: "add", text: words } }];
  if (name === "note") return ["comment", { text: words }];
  if (name !== "call") return [name, {}];
  const { isReached, due } = readCall(words, from, PLAIN_WEEK, "dmy");
  return ["note a call", { text: words, isReached, ...(due ? { due: { ...due, zone: from.zone } } : {}) }];
}

/** Loads Larkmoor Playworks into an empty database, through the same doors as real mail and real people. */
export async function loadDemo(db: Database, now: number, say: (text: string) => void): Promise<void> {
  await new DemoLoader(db, now, say).load();
}
