import { eq, sql } from "drizzle-orm";
import { letterVector } from "../core/finding/letter-words";
import type { FoundChange } from "../core/following/item";
import { baseSubject } from "../core/letters/base-subject";
import { mayContinue } from "../core/letters/conversations";
import { failureTitle } from "../core/letters/failure-words";
import { idsOf } from "../core/letters/joined-by";
import type { Letter } from "../core/letters/letter";
import type { Envelope, RemotePlace } from "../core/letters/ways";
import type { FoundSlip } from "../core/reading/slip";
import { guessProject } from "../core/sorting/guess-project";
import type { Day } from "../core/time/day";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { insertion, insertTogether } from "../data/insert-rows";
import { noteUnread } from "../data/note-unread";
import { noteLettersHeard } from "../data/queries/heard";
import { rowsOf } from "../data/rows";
import { arrival, conversation, letter, slip, task, thread } from "../data/schema";
import { outgoing } from "../data/schema-post";
import { asJoinable } from "./continuing";
import type { IntakeHouse } from "./intake-house";
import { IntakeKnown, type Joined, twinKey } from "./intake-known";
import { failureSlip, foundSlip } from "./intake-slips";

/** What became of a raw message. `why` says, of one kept unread, why it cannot be read. */
export type TakenIn =
  | { readonly outcome: "new"; readonly letterId: string; readonly sha256: string }
  | { readonly outcome: "already here"; readonly letterId: string; readonly sha256: string }
  | { readonly outcome: "not readable"; readonly letterId: string; readonly sha256: string; readonly why: string }
  | { readonly outcome: "refused"; readonly why: string };

/** A raw message with what could be read of it. `why` says why nothing could. */
export interface ParsedMessage {
  readonly raw: Uint8Array;
  readonly remote: RemotePlace | null;
  readonly sha256: string;
  readonly letter: Letter | null;
  readonly why: string | null;
  /** What the reader proposes; read before the transaction, which must be short. */
  readonly found: readonly (FoundSlip | FoundChange)[];
  /** The day until which an automatic reply says that its writer is away. */
  readonly awayUntil: Day | null;
  /** What it is found by; null where it was not read. */
  readonly search: string | null;
}

/** A Date header further from the arrival than this orders nothing: a letter "of 2099" would stay on top for ever. */
const BELIEVABLE_AHEAD_MS = 2 * 86_400_000;

/** A way that messages have come: the door, and by SMTP the envelope. */
export interface Way {
  readonly wayInId: string;
  readonly envelope: Envelope | null;
}

/** One batch of raw messages on its way into the tables, within one transaction. */
export class IntakeBatch {
  private readonly known: IntakeKnown;
  private readonly away = new Map<string, { until: Day; letterId: string }>();
  /** Conversations that hold nothing but a notice of the house itself. */
  private readonly notices = new Set<string>();
  /** Whether one of the ways is everybody's. */
  private comesShared = true;
  private readonly merges: { from: string; to: string }[] = [];
  private readonly rows = {
    letters: [] as (typeof letter.$inferInsert)[],
    raws: [] as { id: string; b: string }[],
    copies: [] as { id: string; sha256: string; b: string }[],
    /** By letter and way: the same bytes twice in a batch came once. */
    arrivals: new Map<string, typeof arrival.$inferInsert>(),
    threads: [] as (typeof thread.$inferInsert)[],
    slips: [] as (typeof slip.$inferInsert)[],
  };

  constructor(
    private readonly tx: Database,
    private readonly house: IntakeHouse,
    private readonly ways: readonly Way[],
    private readonly now: number,
    private readonly isOurs: boolean,
  ) {
    this.known = new IntakeKnown(tx, house, now);
  }

  async take(parsed: readonly (ParsedMessage | { refused: string })[]): Promise<TakenIn[]> {
    const messages = parsed.filter((one): one is ParsedMessage => "sha256" in one);
    await this.loadWays();
    const here = await this.known.hereBySum(messages.map((one) => one.sha256));
    await this.known.load(messages.flatMap((one) => (one.letter && !here.has(one.sha256) ? [one.letter] : [])));
    const taken: TakenIn[] = [];
    for (const one of parsed) {
      if ("refused" in one) {
        taken.push({ outcome: "refused", why: one.refused });
        continue;
      }
      const known = here.get(one.sha256);
      if (known) {
        this.arrive(known, one);
        taken.push({ outcome: "already here", letterId: known, sha256: one.sha256 });
        continue;
      }
      const twin = this.known.twins.get(twinKey(one.letter) ?? "");
      if (twin) {
        here.set(one.sha256, twin);
        this.rows.copies.push({ id: twin, sha256: one.sha256, b: Buffer.from(one.raw).toString("base64") });
        this.arrive(twin, one);
        taken.push({ outcome: "already here", letterId: twin, sha256: one.sha256 });
        continue;
      }
      const letterId = this.add(one);
      here.set(one.sha256, letterId);
      const key = twinKey(one.letter);
      if (key) this.known.twins.set(key, letterId);
      taken.push(
        one.why === null
          ? { outcome: "new", letterId, sha256: one.sha256 }
          : { outcome: "not readable", letterId, sha256: one.sha256, why: one.why },
      );
    }
    await this.write();
    return taken;
  }

  private arrive(letterId: string, { remote }: ParsedMessage): void {
    for (const { wayInId, envelope } of this.ways)
      this.rows.arrivals.set(`${letterId} ${wayInId}`, { letterId, wayInId, at: new Date(this.now), envelope, remote });
  }

  /** The conversation a letter belongs to by RFC 5256 REFS: the nearest of its references that is known, else a new one. */
  private join(l: Letter | null, sentAt: number): Joined {
    const met = new Map<string, Joined>();
    for (const id of l ? idsOf(l) : []) {
      const known = this.known.byMessageId.get(id);
      const conversation = known ? this.known.conversations.get(known) : undefined;
      if (conversation && this.mayJoin(conversation)) met.set(conversation.id, conversation);
    }
    const [nearest, ...others] = met.values();
    if (nearest) {
      // RFC 5256, REFS: a letter that refers to two conversations shows that they are one.
      for (const other of others) this.merge(other, nearest);
      return nearest;
    }
    const continued =
      l &&
      this.known.continuing.findLast(
        (one) => mayContinue(asJoinable(l), one) && this.mayJoin(this.known.conversations.get(one.id)!),
      );
    if (continued) return this.known.conversations.get(continued.id)!;
    const from = l?.from?.address ? this.known.outside.get(l.from.address) : undefined;
    const firmId =
      from?.firmId ?? l?.to.map((who) => this.known.outside.get(who.address)?.firmId).find((id) => id) ?? null;
    const joined: Joined = {
      id: newId(this.now),
      isNew: true,
      subject: l ? baseSubject(l.subject) || "(no subject)" : "A file that could not be read",
      projectId: l
        ? guessProject(
            l.subject,
            l.text,
            firmId,
            this.house.projects,
            this.known.habits.get(l.from?.address ?? "") ?? null,
          )
        : null,
      place: "sort",
      lastAt: sentAt,
      brings: true,
      isShared: this.comesShared,
    };
    this.known.conversations.set(joined.id, joined);
    return joined;
  }

  /** A letter that everybody sees never opens a conversation that is somebody's own. */
  private mayJoin(conversation: Joined): boolean {
    return conversation.isShared || !this.comesShared;
  }

  private async loadWays(): Promise<void> {
    const rows = await rowsOf(
      this.tx,
      sql`select 1 from way_in where owner_id is null and id in ${this.ways.map((way) => way.wayInId)} limit 1`,
    );
    this.comesShared = rows.length > 0;
  }

  private merge(from: Joined, to: Joined): void {
    const differ = from.projectId !== null && to.projectId !== null && from.projectId !== to.projectId;
    if (from.isNew || to.isNew || differ || from.isShared !== to.isShared) return;
    this.merges.push({ from: from.id, to: to.id });
    for (const [messageId, id] of this.known.byMessageId)
      if (id === from.id) this.known.byMessageId.set(messageId, to.id);
    for (const row of [...this.rows.letters, ...this.rows.slips, ...this.rows.threads])
      if (row.conversationId === from.id) row.conversationId = to.id;
    to.lastAt = Math.max(to.lastAt, from.lastAt);
    to.brings ||= from.brings || from.place === "sort";
    this.known.conversations.delete(from.id);
  }

  private add(one: ParsedMessage): string {
    const { letter: l } = one;
    const letterId = newId(this.now);
    const isBelievable = l?.sentAt !== null && l?.sentAt !== undefined && l.sentAt <= this.now + BELIEVABLE_AHEAD_MS;
    const sentAt = l?.sentAt ?? this.now;
    const orderAt = isBelievable ? sentAt : this.now;
    const joined = this.join(l, orderAt);
    joined.lastAt = Math.max(joined.lastAt, orderAt);
    for (const messageId of l ? idsOf(l) : []) {
      if (this.known.byMessageId.has(messageId)) continue;
      this.known.byMessageId.set(messageId, joined.id);
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
      passedOn: l?.passedOn ?? null,
      bounce: l?.bounce ?? null,
      sealed: l?.sealed ?? null,
      unreadable: one.why,
      search: one.search ?? (l ? letterVector(l) : ""),
    });
    this.rows.raws.push({ id: letterId, b: Buffer.from(one.raw).toString("base64") });
    this.arrive(letterId, one);
    const { found } = one;
    for (const slipFound of found) this.addSlip(slipFound, letterId, joined, l!);
    if (l?.bounce) this.addFailure(l, letterId, joined);
    if (one.awayUntil && l?.from) this.away.set(l.from.address, { until: one.awayUntil, letterId });
    // A reply comes back to Sort only if it brings something; what cannot be read has to be looked at.
    if (found.length > 0 || one.why !== null) joined.brings = true;
    if (l?.messageId && this.known.ownNotices.has(l.messageId)) this.notices.add(joined.id);
    return letterId;
  }

  /** A letter of ours that did not arrive is trouble for whoever wrote it; one that is only late is not. */
  private addFailure(l: Letter, letterId: string, joined: Joined): void {
    const failed = l.bounce!.failed.filter((one) => !one.isDelayed);
    if (failed.length === 0) return;
    const writer = l.bounce!.returnedId ? this.known.writers.get(l.bounce!.returnedId) : undefined;
    joined.brings = true;
    const title = failureTitle(failed, (address) => this.known.outside.get(address)?.name ?? address);
    this.rows.slips.push(failureSlip(title, writer ?? null, { id: newId(this.now), letterId, joined }));
  }

  private addSlip(found: FoundSlip | FoundChange, letterId: string, joined: Joined, l: Letter): void {
    // A letter that is kept apart from the conversation it answers (it came to one of us alone) says nothing of its tasks.
    if ("changes" in found && found.changes.conversationId !== joined.id) return;
    const owner = this.house.team.find((person) => person.address === found.owner);
    const theirs = !owner && found.owner ? this.known.outside.get(found.owner) : undefined;
    const who = { ownerId: owner?.personId ?? null, theirsId: theirs?.id ?? null };
    this.rows.slips.push(foundSlip(found, l, who, this.house, { id: newId(this.now), letterId, joined }));
  }

  private async write(): Promise<void> {
    const { letters, raws, copies, arrivals, threads, slips } = this.rows;
    const touched = [...this.known.conversations.values()];
    const at = new Date(this.now);
    await insertTogether(this.tx, [
      insertion(conversation, this.newConversations(touched, at)),
      insertion(letter, letters),
      // One JSON parameter: PGlite takes batches of bytea parameters at a third of this speed.
      raws.length === 0
        ? null
        : sql`insert into raw_letter (letter_id, bytes) select r.id, decode(r.b, 'base64') from jsonb_to_recordset(${JSON.stringify(raws)}::jsonb) as r(id uuid, b text)`,
      copies.length === 0
        ? null
        : sql`insert into letter_copy (sha256, letter_id, bytes) select r.sha256, r.id, decode(r.b, 'base64') from jsonb_to_recordset(${JSON.stringify(copies)}::jsonb) as r(id uuid, sha256 text, b text) on conflict do nothing`,
      // Read again after the server counted its letters anew: where it lies now is what counts.
      insertion(
        arrival,
        [...arrivals.values()],
        sql`on conflict (letter_id, way_in_id) do update set remote = coalesce(excluded.remote, arrival.remote)`,
      ),
      insertion(thread, threads, sql`on conflict do nothing`),
      insertion(slip, slips),
    ]);
    const written = new Set(letters.map((one) => one.conversationId));
    const continued = touched.filter((joined) => !joined.isNew && written.has(joined.id));
    await this.goOn(continued, at);
    for (const one of this.merges) await this.mergeInto(one, at);
    for (const [address, { until, letterId }] of this.away)
      await this.tx.execute(
        sql`update correspondent set away_until = ${until}, away_letter_id = ${letterId} where address = ${address}`,
      );
    const kept = new Set(continued.map((joined) => joined.id));
    await noteLettersHeard(
      this.tx,
      letters.filter((one) => kept.has(one.conversationId)),
      this.now,
    );
    const isFromMailbox = [...arrivals.values()].some((one) => one.remote);
    await noteUnread(this.tx, isFromMailbox ? touched.map((joined) => joined.id) : []);
  }

  private newConversations(touched: readonly Joined[], at: Date): (typeof conversation.$inferInsert)[] {
    return touched
      .filter((joined) => joined.isNew)
      .map((joined) => {
        const isNotice = this.notices.has(joined.id);
        return {
          id: joined.id,
          subject: joined.subject,
          projectId: joined.projectId,
          place: this.isOurs || isNotice ? "dealt with" : "sort",
          outcome: this.isOurs ? "answered" : isNotice ? "filed by itself" : null,
          dealtAt: this.isOurs || isNotice ? at : null,
          lastAt: new Date(joined.lastAt),
          cameAt: at,
        };
      });
  }

  /** Conversations that were here go on: what brings something returns to Sort, and what was put by as soon as somebody writes in it. */
  private async goOn(continued: readonly Joined[], at: Date): Promise<void> {
    if (continued.length === 0) return;
    const spoken = new Set(this.rows.letters.filter((one) => one.automatic === null).map((one) => one.conversationId));
    const rows = continued.map(({ id, lastAt, brings }) => ({
      id,
      last_at: new Date(lastAt),
      brings,
      is_spoken: spoken.has(id),
    }));
    await this.tx.execute(
      sql`update conversation c set last_at = greatest(c.last_at, r.last_at), is_unread = true,
          place = case when r.returns then 'sort' else c.place end, came_at = case when r.returns then ${at} else c.came_at end,
          outcome = case when r.returns then null else c.outcome end, dealt_at = case when r.returns then null else c.dealt_at end,
          dealt_by = case when r.returns then null else c.dealt_by end,
          put_until = case when r.is_back then null else c.put_until end, returned_at = case when r.is_back then ${at} else c.returned_at end
        from (select w.id, w.last_at, o.place = 'put by' and w.is_spoken as is_back,
            (o.place = 'dealt with' and w.brings) or (o.place = 'put by' and w.is_spoken) as returns
          from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as w(id uuid, last_at timestamptz, brings boolean, is_spoken boolean)
          join conversation o on o.id = w.id) r
        where c.id = r.id`,
    );
  }

  /** A letter shows that two conversations are one: all of the first goes to the second. */
  private async mergeInto({ from, to }: { from: string; to: string }, at: Date): Promise<void> {
    for (const table of [letter, slip, task, thread, outgoing])
      await this.tx.update(table).set({ conversationId: to }).where(eq(table.conversationId, from));
    await this.tx
      .update(conversation)
      .set({ place: "dealt with", outcome: "joined", mergedInto: to, dealtAt: at })
      .where(eq(conversation.id, from));
  }
}
