/**
 * One hand-over: who gave the task to whom, and what they answered. The answers are those of iTIP (RFC 5546 section 3.4;
 * PARTSTAT of RFC 5545 section 3.2.12). All values are text, so that the chain travels through JSON and the history as it is:
 * instants are ISO 8601, and "" stands for what is not there.
 */
export interface Link {
  readonly by: string;
  readonly to: string;
  readonly at: string;
  readonly answer: "needs-action" | "accepted" | "declined" | "delegated";
  readonly answeredAt: string;
  /** What the giver wrote along. */
  readonly note: string;
  /** The reason with which it was handed back. */
  readonly reason: string;
  /** What the owner asked and has no answer to yet. */
  readonly question: string;
}

/** The hand-overs of a task, the first giver first; empty where nobody gave it to its owner. */
export type Chain = readonly Link[];

/** Who has a task and through whom. Without an owner the last link may still say who handed it back, and why. */
export interface Holding {
  readonly ownerId: string | null;
  readonly chain: Chain;
}

/** Everybody who has it or gave it, from the first giver to its owner; whoever handed it back is not among them. */
export function peopleIn({ ownerId, chain }: Holding): string[] {
  const first = chain[0];
  if (!first) return ownerId ? [ownerId] : [];
  const people = [first.by, ...chain.map((link) => link.to)];
  return chain.at(-1)!.answer === "declined" ? people.slice(0, -1) : people;
}

/** Everybody who gave it, from the first to the one from whom its owner has it. */
export function giversIn({ chain }: Holding): string[] {
  return chain.map((link) => link.by);
}

function linkBetween(old: Chain, by: string, to: string, now: string): Link {
  const known = old.find((link) => link.by === by && link.to === to);
  return known ?? { by, to, at: now, answer: "accepted", answeredAt: now, note: "", reason: "", question: "" };
}

/**
 * Who has the task once `actorId` has given it to `toId` (null: to nobody). Whoever gives it is a link of the chain from then
 * on: the owner who passes it on as well as somebody who takes it from its owner; that one is no link any more. Nobody is in
 * a chain twice: given to a former owner, or to who gave it first, the chain is shorter.
 * @param now ISO 8601 instant
 */
export function handedOn(holding: Holding, actorId: string, toId: string | null, now: string, note = ""): Holding {
  const before = peopleIn(holding);
  const at = before.indexOf(actorId);
  const above = at >= 0 ? before.slice(0, at) : holding.ownerId ? before.slice(0, -1) : before;
  const known = toId === null ? -1 : [...above, actorId].indexOf(toId);
  // Taken from a heap where nobody had it, it is one's own.
  const people =
    toId === null
      ? [...above, actorId]
      : known >= 0
        ? [...above, actorId].slice(0, known + 1)
        : [...above, actorId, toId];
  const chain = people.slice(1).map((to, i) => {
    const link = linkBetween(holding.chain, people[i]!, to, now);
    const isNew = to === toId && known < 0;
    if (isNew)
      return { ...link, at: now, answer: "needs-action" as const, answeredAt: "", note, reason: "", question: "" };
    const isLast = i === people.length - 2;
    if (!isLast && link.answer !== "delegated")
      return { ...link, answer: "delegated" as const, answeredAt: now, question: "" };
    // Back with somebody who had it before: they had taken it on.
    return isLast && link.answer !== "accepted"
      ? { ...link, answer: "accepted" as const, answeredAt: now, reason: "" }
      : link;
  });
  return { ownerId: toId, chain };
}

function withLast(holding: Holding, change: Partial<Link>): Chain {
  const last = holding.chain.at(-1);
  return last ? [...holding.chain.slice(0, -1), { ...last, ...change }] : [];
}

/** The last link as long as it leads to the owner; null where the task is their own, or nobody's. */
export function linkToOwner({ ownerId, chain }: Holding): Link | null {
  const last = chain.at(-1);
  return last && ownerId !== null && last.to === ownerId ? last : null;
}

/** The link of who handed it back, as long as nobody has it since. */
export function handedBackIn({ ownerId, chain }: Holding): Link | null {
  const last = chain.at(-1);
  return last && ownerId === null && last.answer === "declined" ? last : null;
}

/** The owner accepts what was given to them. */
export function takenOn(holding: Holding, now: string): Holding {
  return { ...holding, chain: withLast(holding, { answer: "accepted", answeredAt: now, question: "" }) };
}

/** The owner declines: it is nobody's, and stands before who gave it. */
export function handedBack(holding: Holding, reason: string, now: string): Holding {
  return {
    ownerId: null,
    chain: withLast(holding, { answer: "declined", answeredAt: now, reason, question: "" }),
  };
}

/** The owner asks who gave it; answered, the question is no longer open. */
export function withQuestion(holding: Holding, question: string): Holding {
  return { ...holding, chain: withLast(holding, { question }) };
}
