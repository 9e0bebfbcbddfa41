"use client";

import { useState } from "react";
import { linkToOwner } from "../../core/tasks/chain";
import { sayMomentFully } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { KeyCap } from "../parts/marks";
import { useDraft } from "../parts/use-draft";

export type Answering = "hand back" | "ask back" | null;

/** Before its owner: who gave the task, with what note, and the answers that they can give. */
export function GivenToMe(props: {
  readonly task: TaskRow;
  readonly answering: Answering;
  readonly onAnswering: (answering: Answering) => void;
  readonly onTakeOn: () => void;
  readonly onHandBack: (reason: string) => Promise<boolean>;
  readonly onAskBack: (question: string) => Promise<boolean>;
  readonly onPassOn: () => void;
}) {
  const { task, answering } = props;
  const { me, team, zone } = useHouse();
  const { now } = useToday();
  const link = linkToOwner({ ownerId: task.owner?.id ?? null, chain: task.chain });
  const isOpen = task.state === "to begin" || task.state === "under way";
  if (!link || link.to !== me.id || !isOpen || task.theirs) return null;
  const giver = team.find((person) => person.id === link.by)?.name ?? "Somebody";
  const isNew = link.answer === "needs-action";
  if (!isNew && answering === null && link.note === "" && link.question === "") return null;
  return (
    <section
      className="mx-[18px] mt-3 rounded-[13px] border border-dashed border-act px-3 py-2"
      aria-label="Given to you"
    >
      <p className="text-[13px]">
        <b>{giver}</b>{" "}
        <span className="text-soft">gave it to you, {sayMomentFully(Date.parse(link.at), zone, now)}</span>
      </p>
      {link.note !== "" && (
        <div className="note mt-1 whitespace-pre-wrap text-[14px] [overflow-wrap:anywhere]">{link.note}</div>
      )}
      {link.question !== "" && answering === null && (
        <p className="mt-1 text-[13px] [overflow-wrap:anywhere]">
          <span className="text-soft">You asked:</span> {link.question}
        </p>
      )}
      {answering !== null ? (
        <AnswerLine
          key={answering}
          draft={`${answering} ${task.id}`}
          label={answering === "hand back" ? "Why it comes back" : `Question to ${giver}`}
          does={answering === "hand back" ? "Hand back" : "Ask"}
          onSave={answering === "hand back" ? props.onHandBack : props.onAskBack}
          onClose={() => props.onAnswering(null)}
        />
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          {isNew && (
            <button type="button" className="btn is-small" onClick={props.onTakeOn}>
              Take on <KeyCap name="K" />
            </button>
          )}
          <button type="button" className="btn is-small is-line" onClick={() => props.onAnswering("hand back")}>
            Hand back <KeyCap name="B" />
          </button>
          <button type="button" className="btn is-small is-line" onClick={props.onPassOn}>
            Pass on <KeyCap name="H" />
          </button>
          <button type="button" className="btn is-small is-line" onClick={() => props.onAnswering("ask back")}>
            Ask <KeyCap name="Q" />
          </button>
        </div>
      )}
    </section>
  );
}

/** One line to be written and saved with Enter; what was typed stays until it is saved. */
export function AnswerLine(props: {
  readonly draft: string;
  readonly label: string;
  readonly does: string;
  /** Saved, it is there for the next one. */
  readonly staysOpen?: boolean;
  readonly onSave: (text: string) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const [text, setText] = useDraft(props.draft);
  const [isBusy, setBusy] = useState(false);
  const save = async () => {
    if (text.trim() === "" || isBusy) return;
    setBusy(true);
    if (await props.onSave(text)) {
      setText("");
      if (!props.staysOpen) props.onClose();
    }
    setBusy(false);
  };
  return (
    <div className="mt-2 flex gap-2">
      <input
        autoFocus
        className="field min-w-0 flex-1"
        aria-label={props.label}
        placeholder={props.label}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") void save();
          if (event.key === "Escape") {
            event.stopPropagation();
            props.onClose();
          }
        }}
      />
      <button
        type="button"
        className="btn is-small"
        onClick={() => void save()}
        disabled={text.trim() === "" || isBusy}
      >
        {props.does}
      </button>
    </div>
  );
}
