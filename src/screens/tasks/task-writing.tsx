"use client";

import type { TaskSheet } from "../../core/views/views";
import { useConversation } from "../sort/sort-data";
import { type Sending, WritingPaper } from "../write/writing-paper";

/** Writing from a task: an answer to the newest letter of its conversation, or a letter of its own where it has none. */
export function TaskWriting(props: {
  readonly sheet: TaskSheet;
  readonly onSend: (letter: Sending) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const { task, conversationId } = props.sheet;
  const { data: conversation } = useConversation(conversationId, null);
  if (conversationId && !conversation) return <div className="paper mt-3 h-[220px]" aria-busy="true" />;
  const people = (conversation?.letters ?? []).filter((letter) => letter.automatic === null);
  const answers = people.findLast((letter) => !letter.from.isTeam) ?? people.at(-1) ?? null;
  return (
    <WritingPaper
      about={`task ${task.id}`}
      answers={answers}
      subject={task.title}
      known={[...(conversation?.outside ?? []), ...(task.theirs ? [task.theirs] : [])]}
      also={task.state === "done" ? null : { kind: "finishes", label: "Send, and done" }}
      onSend={props.onSend}
      onClose={props.onClose}
    />
  );
}
