import type { Correspondent, Letter } from "../letters/letter";
import { splitText } from "../letters/split-text";
import type { Moment } from "../time/moment";
import { readLetter } from "./read-letter";
import type { ReadingSettings } from "./settings";
import type { FoundSlip, People } from "./slip";

/** A letter that is being written. */
export interface Draft {
  readonly from: Correspondent;
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  readonly text: string;
}

/** A letter that is being written, as it will be once it is sent at this moment. */
export function asLetter(draft: Draft, now: Moment): Letter {
  return {
    ...draft,
    messageId: null,
    references: [],
    sentAt: now.at,
    offset: now.zone,
    parts: splitText(draft.text, false),
    hasHtml: false,
    files: [],
    passedOn: null,
    bounce: null,
    sealed: null,
    automatic: null,
    isUrgent: false,
    problems: [],
  };
}

/**
 * What one's own letter asks of others and promises, while it is written: as `readLetter` reads it once it is sent.
 * Trouble that one tells of is nobody's task by itself, and is left out.
 * @param now the moment of writing, in the writer's zone; its days count from there
 */
export function readDraft(draft: Draft, people: People, now: Moment, settings: ReadingSettings): FoundSlip[] {
  return readLetter(asLetter(draft, now), people, now, settings).filter((slip) => slip.kind !== "trouble");
}
