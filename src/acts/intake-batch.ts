import { sql } from "drizzle-orm";
import { baseSubject } from "../core/letters/base-subject";
import type { Letter } from "../core/letters/letter";
import type { FoundSlip } from "../core/reading/slip";
import { guessProject } from "../core/sorting/guess-project";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { arrival, conversation, correspondent, letter, slip, thread } from "../data/schema";
import type { IntakeHouse } from "./intake-house";

/** What became of a raw message. `why` says, of one kept unread, why it cannot be read. */
export type TakenIn =
  | { readonly outcome: "new"; readonly letterId: string; readonly sha256: string }
  | { readonly outcome: "already here"; readonly letterId: string; readonly sha256: string }
  | { readonly outcome: "not readable"; readonly letterId: string; readonly sha256: string; readonly why: string }
  | { readonly outcome: "refused"; readonly why: string };

/** A raw message with what could be read of it. `why` says why nothing could. */
export interface ParsedMessage {
  readonly raw: Uint8Array;
  readonly sha256: string;
  readonly letter: Letter | null;
  readonly why: string | null;
  /** What the reader proposes; read before the transaction, which must be short. */
  readonly found: readonly FoundSlip[];
}

/** A Date header further from the arrival than this orders nothing: a letter "of 2099" would stay on top for ever. */
const BELIEVABLE_AHEAD_MS = 2 * 86_400_000;

/** What is known of a conversation while a batch is taken in. */
interface Joined {
  readonly id: string;
  readonly isNew: boolean;
  subject: string;
  projectId: string | null;
  place: "sort" | "dealt with";
  lastAt: number;
  /** Whether a letter of this batch brings it back to Sort. */
  brings: boolean;
}

/** One batch of raw messages on its way into the tables, within one transaction. */
export class IntakeBatch {
  private readonly conversations = new Map<string, Joined>();
  private readonly byMessageId = new Map<string, string>();
  private readonly outside = new Map<string, { id: string; name: string; firmId: string | null }>();
  private readonly rows = {
    letters: [] as (typeof letter.$inferInsert)[],
    raws: [] as { id: string; b: string }[],
    arrivals: [] as (typeof arrival.$inferInsert)[],
    threads: [] as (typeof thread.$inferInsert)[],
    slips: [] as (typeof slip.$inferInsert)[],
  };

  constructor(
    private readonly tx: Database,
    private readonly house: IntakeHouse,
    private readonly wayInId: string,
    private readonly now: number,
  ) {}

  async take(parsed: readonly (ParsedMessage | { refused: string })[]): Promise<TakenIn[]> {
    const messages = parsed.filter((one): one is ParsedMessage => "sha256" in one);
    const here = new Map(
      (
        await rowsOf<{ id: string; sha256: string }>(
          this.tx,
          sql`select id, sha256 from letter where sha256 in ${[...messages.map((one) => one.sha256), ""]}`,
        )
      ).map((row) => [row.sha256, row.id]),
    );
    const fresh = messages.filter((one) => !here.has(one.sha256));
    await this.loadThreads(fresh);
    await this.loadOutside(fresh);
    const taken: TakenIn[] = [];
    for (const one of parsed) {
      if ("refused" in one) {
        taken.push({ outcome: "refused", why: one.refused });
        continue;
      }
      const known = here.get(one.sha256);
      if (known) {
        this.rows.arrivals.push({ letterId: known, wayInId: this.wayInId, at: new Date(this.now) });
        taken.push({ outcome: "already here", letterId: known, sha256: one.sha256 });
        continue;
      }
      const letterId = this.add(one);
      here.set(one.sha256, letterId);
      taken.push(
        one.why === null
          ? { outcome: "new", letterId, sha256: one.sha256 }
          : { outcome: "not readable", letterId, sha256: one.sha256, why: one.why },
      );
    }
    await this.write();
    return taken;
  }

  private async loadThreads(fresh: readonly ParsedMessage[]): Promise<void> {
    const ids = [
      ...new Set(fresh.flatMap(({ letter: l }) => (l ? [...(l.messageId ? [l.messageId] : []), ...l.references] : []))),
    ];
    if (ids.length === 0) return;
    const rows = await rowsOf<{
      messageId: string;
      id: string;
      subject: string;
      projectId: string | null;
      place: Joined["place"];
      lastAt: InstantText;
    }>(
      this.tx,
      sql`select t.message_id as "messageId", c.id, c.subject, c.project_id as "projectId", c.place, c.last_at as "lastAt" from thread t join conversation c on c.id = t.conversation_id
        where t.message_id in (select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb))`,
    );
    for (const row of rows) {
      this.byMessageId.set(row.messageId, row.id);
      if (!this.conversations.has(row.id))
        this.conversations.set(row.id, {
          id: row.id,
          isNew: false,
          subject: row.subject,
          projectId: row.projectId,
          place: row.place,
          lastAt: millis(row.lastAt),
          brings: false,
        });
    }
  }

  private async loadOutside(fresh: readonly ParsedMessage[]): Promise<void> {
    const addresses = [
      ...new Set(
        fresh.flatMap(({ letter: l }) =>
          l
            ? [l.from, ...l.to.slice(0, 20), ...l.cc.slice(0, 20)].flatMap((who) => (who?.address ? [who.address] : []))
            : [],
        ),
      ),
    ];
    if (addresses.length === 0) return;
    const rows = await rowsOf<{ id: string; name: string; address: string; firmId: string | null }>(
      this.tx,
      sql`select id, name, address, firm_id as "firmId" from correspondent where address in (select jsonb_array_elements_text(${JSON.stringify(addresses)}::jsonb))`,
    );
    for (const row of rows) this.outside.set(row.address, row);
    // Whoever writes becomes somebody we know, so that what they promise can be waited for.
    const newcomers = new Map<string, { id: string; name: string; address: string }>();
    for (const { letter: l } of fresh) {
      const from = l?.from;
      if (
        !from?.address ||
        this.outside.has(from.address) ||
        this.house.team.some((person) => person.address === from.address)
      )
        continue;
      newcomers.set(from.address, { id: newId(this.now), name: from.name || from.address, address: from.address });
    }
    if (newcomers.size > 0)
      await this.tx
        .insert(correspondent)
        .values([...newcomers.values()])
        .onConflictDoNothing();
    for (const one of newcomers.values()) this.outside.set(one.address, { ...one, firmId: null });
  }

  /** The conversation a letter belongs to by RFC 5256 REFS: the nearest of its references that is known, else a new one. */
  private join(l: Letter | null, sentAt: number): Joined {
    for (const id of [l?.messageId ?? "", ...[...(l?.references ?? [])].reverse()]) {
      const known = this.byMessageId.get(id);
      if (known) return this.conversations.get(known)!;
    }
    const from = l?.from?.address ? this.outside.get(l.from.address) : undefined;
    const firmId = from?.firmId ?? l?.to.map((who) => this.outside.get(who.address)?.firmId).find((id) => id) ?? null;
    const joined: Joined = {
      id: newId(this.now),
      isNew: true,
      subject: l ? baseSubject(l.subject) || "(no subject)" : "A file that could not be read",
      projectId: l ? guessProject(l.subject, l.text, firmId, this.house.projects) : null,
      place: "sort",
      lastAt: sentAt,
      brings: true,
    };
    this.conversations.set(joined.id, joined);
    return joined;
  }

  private add(one: ParsedMessage): string {
    const { letter: l } = one;
    const letterId = newId(this.now);
    const isBelievable = l?.sentAt !== null && l?.sentAt !== undefined && l.sentAt <= this.now + BELIEVABLE_AHEAD_MS;
    const sentAt = l?.sentAt ?? this.now;
    const orderAt = isBelievable ? sentAt : this.now;
    const joined = this.join(l, orderAt);
    joined.lastAt = Math.max(joined.lastAt, orderAt);
    for (const messageId of l ? [...(l.messageId ? [l.messageId] : []), ...l.references] : []) {
      if (this.byMessageId.has(messageId)) continue;
      this.byMessageId.set(messageId, joined.id);
      this.rows.threads.push({ messageId, conversationId: joined.id });
    }
    this.rows.letters.push({
      id: letterId,
      sha256: one.sha256,
      size: one.raw.length,
      conversationId: joined.id,
      messageId: l?.messageId ?? null,
      sentAt: new Date(sentAt),
      isDated: l?.sentAt !== null && l !== null,
      offset: l?.offset ?? "+00:00",
      receivedAt: new Date(this.now),
      fromName: l?.from?.name ?? "",
      fromAddress: l?.from?.address ?? "",
      to: [...(l?.to ?? [])],
      cc: [...(l?.cc ?? [])],
      subject: l?.subject ?? "",
      text: l?.text ?? "",
      parts: [...(l?.parts ?? [])],
      files: [...(l?.files ?? [])],
      hasHtml: l?.hasHtml ?? false,
      automatic: l?.automatic ?? null,
      unreadable: one.why,
    });
    this.rows.raws.push({ id: letterId, b: Buffer.from(one.raw).toString("base64") });
    this.rows.arrivals.push({ letterId, wayInId: this.wayInId, at: new Date(this.now) });
    const { found } = one;
    for (const slipFound of found) this.addSlip(slipFound, letterId, joined, l!);
    // A reply comes back to Sort only if it brings something; what cannot be read has to be looked at.
    if (found.length > 0 || one.why !== null) joined.brings = true;
    return letterId;
  }

  private addSlip(found: FoundSlip, letterId: string, joined: Joined, l: Letter): void {
    const owner = this.house.team.find((person) => person.address === found.owner);
    const theirs = !owner && found.owner ? this.outside.get(found.owner) : undefined;
    this.rows.slips.push({
      id: newId(this.now),
      conversationId: joined.id,
      letterId,
      kind: found.kind,
      start: found.start,
      end: found.end,
      title: found.title,
      ownerId: owner?.personId ?? null,
      theirsId: theirs?.id ?? null,
      dueDay: found.due?.day ?? null,
      dueTime: found.due?.time ?? null,
      dueZone: found.due ? (l.sentAt === null ? this.house.zone : l.offset) : null,
      otherDays: [...(found.due?.others ?? [])],
      priority: found.priority,
      projectId: joined.projectId,
      workstreamId: null,
      state: "proposed",
      taskId: null,
      madeBy: "reader",
      reason: found.reason,
    });
  }

  private async write(): Promise<void> {
    const { letters, raws, arrivals, threads, slips } = this.rows;
    const touched = [...this.conversations.values()];
    const made = touched.filter((joined) => joined.isNew);
    const at = new Date(this.now);
    if (made.length > 0) {
      await this.tx.insert(conversation).values(
        made.map((joined) => ({
          id: joined.id,
          subject: joined.subject,
          projectId: joined.projectId,
          place: "sort" as const,
          lastAt: new Date(joined.lastAt),
          cameAt: at,
        })),
      );
    }
    if (letters.length > 0) await this.tx.insert(letter).values(letters);
    for (const joined of touched) {
      if (joined.isNew || !letters.some((one) => one.conversationId === joined.id)) continue;
      const back =
        joined.brings && joined.place === "dealt with"
          ? sql`, place = 'sort', outcome = null, dealt_at = null, dealt_by = null, came_at = ${at}`
          : sql``;
      await this.tx.execute(
        sql`update conversation set last_at = greatest(last_at, ${new Date(joined.lastAt)}) ${back} where id = ${joined.id}`,
      );
    }
    // One JSON parameter: PGlite takes batches of bytea parameters at a third of this speed.
    if (raws.length > 0)
      await this.tx.execute(
        sql`insert into raw_letter (letter_id, bytes) select r.id, decode(r.b, 'base64') from jsonb_to_recordset(${JSON.stringify(raws)}::jsonb) as r(id uuid, b text)`,
      );
    if (arrivals.length > 0) await this.tx.insert(arrival).values(arrivals).onConflictDoNothing();
    if (threads.length > 0) await this.tx.insert(thread).values(threads).onConflictDoNothing();
    if (slips.length > 0) await this.tx.insert(slip).values(slips);
  }
}
