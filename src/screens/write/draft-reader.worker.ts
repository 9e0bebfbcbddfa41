import { readAnswerDraft } from "../../core/following/read-answer-draft";
import type { OpenTask } from "../../core/following/task-changes";
import type { Draft } from "../../core/reading/read-draft";
import type { ReadingSettings } from "../../core/reading/settings";
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
  /** Tasks that are open in the conversation that it answers. */
  readonly open: readonly OpenTask[];
}

self.onmessage = ({ data }: MessageEvent<DraftAsk>) => {
  const { id, draft, team, outside, now, settings, open } = data;
  self.postMessage({ id, text: draft.text, slips: readAnswerDraft(draft, open, { team, outside }, now, settings) });
};
