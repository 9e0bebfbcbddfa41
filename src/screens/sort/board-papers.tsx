"use client";

import type { ConversationView, LetterView, LikelyTask } from "../../core/views/views";
import { PutByLine } from "../parts/put-by-line";
import { OnTheirWay } from "../write/on-its-way";
import { type Sending, WritingPaper } from "../write/writing-paper";
import { JoinTask } from "./join-task";

/** What lies below the letters of a conversation: ours on their way, the one being written, the choice of a task to join. */
export function BoardPapers(props: {
  readonly conversation: ConversationView;
  readonly answered: LetterView | null;
  /** Nothing is left to decide: an answer is the last of it. */
  readonly isDone: boolean;
  readonly writing: {
    readonly isOpen: boolean;
    readonly onClose: () => void;
    readonly onSend: (letter: Sending) => Promise<boolean>;
  };
  readonly putting: {
    readonly isOpen: boolean;
    readonly onClose: () => void;
    readonly onPutBy: (until: number | null) => Promise<boolean>;
  };
  readonly joining: {
    readonly isOpen: boolean;
    readonly onClose: () => void;
    readonly onPick: (task: LikelyTask) => void;
  };
  readonly onAgain: (outgoingId: string) => void;
}) {
  const { conversation, writing, joining, putting } = props;
  return (
    <>
      <OnTheirWay letters={conversation.outgoing} onAgain={props.onAgain} />
      {putting.isOpen && (
        <div className="mb-3 mt-3">
          <PutByLine about={conversation.id} onPutBy={putting.onPutBy} onClose={putting.onClose} />
        </div>
      )}
      {joining.isOpen && (
        <JoinTask conversationId={conversation.id} onClose={joining.onClose} onPick={joining.onPick} />
      )}
      {writing.isOpen && (
        <WritingPaper
          key={conversation.id}
          about={`conversation ${conversation.id}`}
          answers={props.answered}
          subject={`Re: ${conversation.subject}`}
          known={conversation.outside}
          also={props.isDone ? { kind: "dealsWith", label: "Send, and on to the next" } : null}
          onSend={writing.onSend}
          onClose={writing.onClose}
        />
      )}
    </>
  );
}
