import { sql } from "drizzle-orm";
import { idsOf } from "../core/letters/joined-by";
import type { Letter } from "../core/letters/letter";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { correspondent } from "../data/schema";
import { type Continuing, continuingFor, IS_SHARED } from "./continuing";
import type { IntakeHouse } from "./intake-house";

/** What is known of a conversation while a batch is taken in. */
export interface Joined {
  readonly id: string;
  readonly isNew: boolean;
  subject: string;
  projectId: string | null;
  place: "sort" | "dealt with" | "put by";
  lastAt: number;
  /** Whether a letter of this batch brings it back to Sort. */
  brings: boolean;
  /** Whether everybody sees it, or the owner of a mailbox alone: two that differ in this are never made one. */
  isShared: boolean;
}

/** Characters at the head of the text that copies of one message share; lists add their footer further down. */
const TWIN_TEXT = 300;

function twinKeyOf(messageId: string, from: string, sentAt: number, begins: string): string {
  return [messageId, from, sentAt, begins.replace(/\s+/g, "")].join("\n");
}

/** What all copies of a message have in common; null for one that does not say enough to be known again. */
export function twinKey(l: Letter | null): string | null {
  return l?.messageId && l.from && l.sentAt !== null
    ? twinKeyOf(l.messageId, l.from.address, l.sentAt, l.text.slice(0, TWIN_TEXT))
    : null;
}

/** Whether an address is of a domain, or of one below it. */
function isBelow(address: string, domain: string): boolean {
  return `.${address.split("@").at(-1)}`.endsWith(`.${domain}`);
}

/** Letters of one writer that are looked at for where they went. */
const HABIT_LETTERS = 40;

/** What is here already that new letters may belong to, looked up once for a batch, within its transaction. */
export class IntakeKnown {
  readonly conversations = new Map<string, Joined>();
  /** Ids of conversations by the Message-IDs that belong to them. */
  readonly byMessageId = new Map<string, string>();
  /** People outside by their address. */
  readonly outside = new Map<string, { id: string; name: string; firmId: string | null }>();
  /** Who here wrote a letter that is reported not to have arrived, by its Message-ID. */
  readonly writers = new Map<string, string>();
  /** Message-IDs of notices of the house itself that have come back. */
  readonly ownNotices = new Set<string>();
  readonly continuing: Continuing[] = [];
  /** By who writes, the project that all of their last letters went to. */
  readonly habits = new Map<string, string>();
  /** Letters that are here, by what all copies of one message have in common. */
  readonly twins = new Map<string, string>();

  constructor(
    private readonly tx: Database,
    private readonly house: IntakeHouse,
    private readonly now: number,
  ) {}

  async load(letters: readonly Letter[]): Promise<void> {
    await this.loadTwins(letters);
    await this.loadThreads(letters);
    await this.loadOutside(letters);
    await this.loadContinuing(letters);
    await this.loadWriters(letters);
    await this.loadOwnNotices(letters);
    await this.loadHabits(letters);
  }

  /** Ids of letters by the sums of their bytes. */
  async hereBySum(sums: readonly string[]): Promise<Map<string, string>> {
    const wanted = sql.param([...sums]);
    const rows = await rowsOf<{ id: string; sha256: string }>(
      this.tx,
      sql`select id, sha256 from letter where sha256 = any(${wanted}::text[]) union all select letter_id, sha256 from letter_copy where sha256 = any(${wanted}::text[])`,
    );
    return new Map(rows.map((row) => [row.sha256, row.id]));
  }

  /** Where letters of these writers went before: a project that everybody may see, where it was the only one. */
  private async loadHabits(letters: readonly Letter[]): Promise<void> {
    if (this.house.projects.length === 0) return;
    const writers = [...new Set(letters.flatMap((l) => l.from?.address ?? []))];
    if (writers.length === 0) return;
    const rows = await rowsOf<{ writer: string; projectId: string }>(
      this.tx,
      sql`select w.writer, min(c.project_id::text) as "projectId" from jsonb_array_elements_text(${JSON.stringify(writers)}::jsonb) as w(writer)
        cross join lateral (select conversation_id from letter where from_address = w.writer limit ${HABIT_LETTERS}) l
        join conversation c on c.id = l.conversation_id join project p on p.id = c.project_id and not p.is_private
        where c.place = 'dealt with' group by w.writer having count(distinct c.project_id) = 1`,
    );
    for (const { writer, projectId } of rows) this.habits.set(writer, projectId);
  }

  /** Letters that are here with other bytes: every server adds lines of its own to the head of a message. */
  private async loadTwins(letters: readonly Letter[]): Promise<void> {
    const ids = [...new Set(letters.flatMap((l) => l.messageId ?? []))];
    if (ids.length === 0) return;
    const rows = await rowsOf<{ id: string; messageId: string; from: string; sentAt: InstantText; begins: string }>(
      this.tx,
      sql`select id, message_id as "messageId", from_address as "from", sent_at as "sentAt", left(text, ${TWIN_TEXT}) as begins from letter
        where message_id in (select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb)) and is_dated`,
    );
    for (const row of rows) this.twins.set(twinKeyOf(row.messageId, row.from, millis(row.sentAt), row.begins), row.id);
  }

  private async loadThreads(letters: readonly Letter[]): Promise<void> {
    const ids = [...new Set(letters.flatMap(idsOf))];
    if (ids.length === 0) return;
    const rows = await rowsOf<{
      messageId: string;
      id: string;
      subject: string;
      projectId: string | null;
      place: Joined["place"];
      lastAt: InstantText;
      isShared: boolean;
    }>(
      this.tx,
      sql`select met."messageId", c.id, c.subject, c.project_id as "projectId", c.place, c.last_at as "lastAt", ${IS_SHARED} as "isShared"
        from (select t.message_id as "messageId", coalesce(h.merged_into, h.id) as id from thread t join conversation h on h.id = t.conversation_id
          where t.message_id = any(${sql.param(ids)}::text[])) met join conversation c on c.id = met.id`,
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
          isShared: row.isShared,
        });
    }
  }

  /** Conversations that a letter whose program dropped the references may continue, by the same subject. */
  private async loadContinuing(letters: readonly Letter[]): Promise<void> {
    for (const one of await continuingFor(this.tx, letters, this.now)) {
      this.continuing.push(one);
      const { id, subject, projectId, place, lastAt, isShared } = one;
      if (!this.conversations.has(id))
        this.conversations.set(id, { id, subject, projectId, place, lastAt, isShared, isNew: false, brings: false });
    }
  }

  /** Letters that the house itself has sent to its people, come back through a mailbox of theirs. */
  private async loadOwnNotices(letters: readonly Letter[]): Promise<void> {
    const ids = letters.flatMap((l) => (l.automatic !== null && l.messageId ? [l.messageId] : []));
    if (ids.length === 0) return;
    const rows = await rowsOf<{ id: string }>(
      this.tx,
      sql`select message_id as id from outgoing where is_automatic and message_id in ${ids}`,
    );
    for (const { id } of rows) this.ownNotices.add(id);
  }

  private async loadWriters(letters: readonly Letter[]): Promise<void> {
    const returned = letters.flatMap((l) => l.bounce?.returnedId ?? []);
    if (returned.length === 0) return;
    const rows = await rowsOf<{ messageId: string; personId: string }>(
      this.tx,
      sql`select l.message_id as "messageId", p.id as "personId" from letter l join person p on p.address = l.from_address where l.message_id in ${returned}
        union select o.message_id, o.person_id from outgoing o where o.message_id in ${returned}`,
    );
    for (const row of rows) this.writers.set(row.messageId, row.personId);
  }

  private async loadOutside(letters: readonly Letter[]): Promise<void> {
    const addresses = [
      ...new Set(
        letters.flatMap((l) => [
          ...[l.from, ...l.to.slice(0, 20), ...l.cc.slice(0, 20)].flatMap((who) => (who?.address ? [who.address] : [])),
          ...(l.bounce?.failed.slice(0, 20).map((one) => one.address) ?? []),
        ]),
      ),
    ];
    if (addresses.length === 0) return;
    const rows = await rowsOf<{ id: string; name: string; address: string; firmId: string | null }>(
      this.tx,
      sql`select id, name, address, firm_id as "firmId" from correspondent where address in (select jsonb_array_elements_text(${JSON.stringify(addresses)}::jsonb))`,
    );
    for (const row of rows) this.outside.set(row.address, row);
    // Whoever writes, and whom one of us writes to, becomes somebody we know: what they promise or are asked can be waited for.
    const ours = new Set(this.house.team.map((person) => person.address));
    const newcomers = new Map<string, { id: string; name: string; address: string }>();
    for (const { from, to, cc } of letters) {
      // Addresses beside the writer's own are the house's, not somebody's outside.
      const house = ours.has(from?.address ?? "") ? from!.address.split("@").at(-1) : null;
      const addressed = house ? [...to.slice(0, 20), ...cc.slice(0, 20)] : [];
      for (const who of [from, ...addressed.filter(({ address }) => !isBelow(address, house!))])
        if (who?.address && !this.outside.has(who.address) && !ours.has(who.address))
          newcomers.set(who.address, { id: newId(this.now), name: who.name || who.address, address: who.address });
    }
    if (newcomers.size > 0)
      await this.tx
        .insert(correspondent)
        .values([...newcomers.values()])
        .onConflictDoNothing();
    for (const one of newcomers.values()) this.outside.set(one.address, { ...one, firmId: null });
  }
}
