import { type Draft, readDraft } from "../../core/reading/read-draft";
import type { ReadingSettings } from "../../core/reading/read-letter";
import type { Person } from "../../core/reading/slip";
import type { Moment } from "../../core/time/moment";

/** What is asked of the thread that reads while one writes, and its number. */
export interface DraftAsk {
  readonly id: number;
  readonly draft: Draft;
  readonly team: readonly Person[];
  readonly outside: readonly Person[];
  readonly now: Moment;
  readonly settings: ReadingSettings;
}

self.onmessage = ({ data }: MessageEvent<DraftAsk>) => {
  const { id, draft, team, outside, now, settings } = data;
  self.postMessage({ id, text: draft.text, slips: readDraft(draft, { team, outside }, now, settings) });
};
