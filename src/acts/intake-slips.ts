import type { FoundChange } from "../core/following/item";
import type { Letter } from "../core/letters/letter";
import { phraseOf } from "../core/reading/lessons";
import type { FoundSlip } from "../core/reading/slip";
import { guessWorkstream } from "../core/sorting/guess-workstream";
import type { slip } from "../data/schema";
import type { IntakeHouse } from "./intake-house";
import type { Joined } from "./intake-known";

type SlipRow = typeof slip.$inferInsert;

/** Where a slip of a letter that comes in belongs. */
interface Belongs {
  readonly id: string;
  readonly letterId: string;
  readonly joined: Joined;
}

/** What every slip that is proposed has alike: nobody has dealt with it. */
function proposed({ id, letterId, joined }: Belongs) {
  const { id: conversationId, projectId } = joined;
  return { id, letterId, conversationId, projectId, state: "proposed", taskId: null, madeBy: "reader" } as const;
}

/** The row of a slip that the reader found, for whoever it names: of the team, or outside. */
export function foundSlip(
  found: FoundSlip | FoundChange,
  l: Letter,
  who: { readonly ownerId: string | null; readonly theirsId: string | null },
  house: IntakeHouse,
  belongs: Belongs,
): SlipRow {
  const changes = "changes" in found ? found.changes : null;
  return {
    ...proposed(belongs),
    ...who,
    kind: found.kind,
    start: found.start,
    end: found.end,
    title: found.title,
    dueDay: found.due?.day ?? null,
    dueTime: found.due?.time ?? null,
    dueZone: found.due ? (l.sentAt === null ? house.zone : l.offset) : null,
    otherDays: [...(found.due?.others ?? [])],
    priority: found.priority,
    estimate: found.estimate,
    haste: found.haste,
    workstreamId: guessWorkstream(found.title, l.subject, belongs.joined.projectId, house.workstreams),
    change: changes?.change ?? null,
    changesTaskId: changes?.taskId ?? null,
    reason: found.reason,
    confidence: found.confidence,
    rule: found.rule,
    phrase: phraseOf(l.text.slice(found.start, found.end)),
    readKind: found.kind,
    readPriority: found.readPriority ?? found.priority,
  };
}

/** The row of a slip that says that a letter of ours did not arrive. */
export function failureSlip(title: string, ownerId: string | null, belongs: Belongs): SlipRow {
  return {
    ...proposed(belongs),
    kind: "trouble",
    start: null,
    end: null,
    title,
    ownerId,
    theirsId: null,
    dueDay: null,
    dueTime: null,
    dueZone: null,
    otherDays: [],
    priority: "high",
    estimate: null,
    haste: null,
    workstreamId: null,
    change: null,
    changesTaskId: null,
    reason: "a mail server reports that a letter did not arrive",
    confidence: 1,
    rule: null,
    phrase: null,
    readKind: null,
    readPriority: null,
  };
}
