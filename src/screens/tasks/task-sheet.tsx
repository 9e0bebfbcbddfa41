"use client";

import Link from "next/link";
import { useState } from "react";
import { sayMoment, sayMomentFully } from "../../core/time/say-day";
import type { TaskSheet } from "../../core/views/views";
import { FileList } from "../letters/letter-files";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel, PriorityRule } from "../parts/marks";
import { useDraft } from "../parts/use-draft";
import { TitleWord } from "../words/text-words";
import { OnTheirWay } from "../write/on-its-way";
import { TaskFields } from "./task-fields";
import type { SheetProps } from "./task-sheet-props";

function FromLetter({ sheet }: { sheet: TaskSheet }) {
  const { now } = useToday();
  const { passage } = sheet;
  if (!passage)
    return sheet.hasHiddenLetter ? (
      <p className="px-[18px] pt-3 text-[13px] text-soft">
        It comes from a letter in somebody’s own mailbox, which you may not see.
      </p>
    ) : null;
  const range = passage.start !== null && passage.end !== null ? `?from=${passage.start}&to=${passage.end}` : "";
  return (
    <section className="px-[18px] pt-[9px]" aria-label="What was asked">
      {passage.words !== "" && (
        <blockquote className="font-letter text-[15px] leading-[22px] [overflow-wrap:anywhere]">
          <span className="passage !cursor-auto">
            <i className="corner-open" />
            {passage.words}
            <i className="corner-close" />
          </span>
        </blockquote>
      )}
      <p className="mt-1 text-[12px] text-soft">
        <b className="text-ink">{passage.from}</b>, {sayMomentFully(passage.sentAt, now.zone, now)}
        {passage.passedOnBy && `, passed on by ${passage.passedOnBy}`} ·{" "}
        <Link className="word" href={`/letters/${passage.letterId}${range}`}>
          open the letter
        </Link>
      </p>
      {sheet.task.trouble && sheet.conversationId && (
        <p className="mt-2 rounded-[13px] border border-late px-3 py-2 text-[13px]">
          <b className="text-late">Trouble: {sheet.task.trouble}.</b>{" "}
          <Link className="word" href={`/sort/${sheet.conversationId}`}>
            Deal with it in Sort
          </Link>
        </p>
      )}
      {sheet.laterLetters.map((letter) => (
        <Link
          key={letter.id}
          href={`/letters/${letter.id}`}
          className="mt-2 block rounded-[13px] border border-dashed border-act px-3 py-2"
        >
          <span className="font-letter block truncate text-[13.5px]">{letter.begins}</span>
          <span className="text-[12px] text-soft">
            <b className="text-ink">{letter.from}</b> wrote again, {sayMomentFully(letter.sentAt, now.zone, now)}
          </span>
        </Link>
      ))}
      {sheet.files.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-1.5">
          <FileList files={sheet.files} />
        </div>
      )}
    </section>
  );
}

function Happened({ sheet, onUndoEntry }: { sheet: TaskSheet; onUndoEntry: (entryId: string) => void }) {
  const { now } = useToday();
  const { me } = useHouse();
  const notes = sheet.comments.map((comment) => ({
    at: comment.at,
    by: comment.by,
    id: comment.id,
    words: comment.kind === "question" ? `Asks back: ${comment.text}` : comment.text,
    isNote: true,
    isUndone: false,
  }));
  const acts = sheet.happened
    .filter((entry) => entry.words !== "wrote a note")
    .map((entry) => ({ ...entry, isNote: false }));
  const all = [...notes, ...acts].sort((a, b) => b.at - a.at);
  return (
    <section aria-label="What happened" className="pb-3">
      <h3 className="mx-[18px] mb-0.5 mt-3 flex items-baseline justify-between text-[14px]">
        What happened{" "}
        <span className="text-[12px] font-medium text-soft" style={{ fontFamily: "var(--font-ui)" }}>
          newest first
        </span>
      </h3>
      <ol>
        {all.map((entry) => (
          <li key={entry.id} className="group flex gap-[9px] px-[18px] py-[3px] text-[13px] leading-[19px]">
            <PersonLabel initials={entry.by.initials} name={entry.by.name} isTeam />
            {entry.isNote ? (
              <div className="note min-w-0 flex-1 whitespace-pre-wrap [overflow-wrap:anywhere]">{entry.words}</div>
            ) : (
              <div
                className={`min-w-0 flex-1 [overflow-wrap:anywhere] ${entry.isUndone ? "text-soft line-through" : "text-soft"}`}
              >
                {entry.words}
              </div>
            )}
            {!entry.isNote && !entry.isUndone && entry.by.id === me.id && (
              <button
                type="button"
                className="text-[12px] text-act opacity-0 focus-visible:opacity-100 group-hover:opacity-100 max-sm:opacity-100"
                aria-label={`Undo: ${entry.words}`}
                onClick={() => onUndoEntry(entry.id)}
              >
                undo
              </button>
            )}
            <span className="flex-none text-[12px] text-soft">{sayMoment(entry.at, now)}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** A note for the team, on a note with a torn edge; what was typed stays until it is saved. */
function NoteField({ taskId, onNote }: { taskId: string; onNote: (text: string) => Promise<boolean> }) {
  const [text, setText] = useDraft(`note ${taskId}`);
  const [isBusy, setBusy] = useState(false);
  const save = async () => {
    if (text.trim() === "" || isBusy) return;
    setBusy(true);
    if (await onNote(text)) setText("");
    setBusy(false);
  };
  return (
    <div className="flex-none border-t border-hairline bg-wash px-[18px] py-2">
      <div className="note">
        <div className="text-[12px] leading-[17px] text-soft">
          Stays <b className="text-ink">inside</b>
        </div>
        <textarea
          id="note-field"
          aria-label="Note for the team"
          rows={text.includes("\n") || text.length > 60 ? 3 : 1}
          className="w-full resize-none bg-transparent text-[14px] placeholder:text-soft"
          placeholder="Note for the team"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && !event.shiftKey) {
              event.preventDefault();
              void save();
            }
            if (event.key === "Escape") event.currentTarget.blur();
          }}
        />
        {text.trim() !== "" && (
          <button type="button" className="btn is-small" onClick={() => void save()} disabled={isBusy}>
            Save the note
          </button>
        )}
      </div>
    </div>
  );
}

/** A task's sheet: what was asked in whose words, who has it, what happened. */
export function TaskSheetView(props: SheetProps) {
  const { sheet, editing, onEdit, onChange } = props;
  const { task } = sheet;
  return (
    <section className="pan flex h-full flex-col" aria-label={`Task ${task.reference}`}>
      <div className="flex-none border-b border-hairline px-[18px] pb-[9px] pt-[10px]">
        <div className="flex justify-between gap-3 text-[12.5px] leading-[17px]">
          <span className="truncate text-soft">
            {[task.project ?? "No project", sheet.workstream].filter(Boolean).join(" · ")}
          </span>
          <b className="whitespace-nowrap">{task.reference}</b>
        </div>
        <div className="mt-0.5 flex items-stretch gap-[9px]">
          <PriorityRule priority={task.priority} height={20} />
          <h2 className="min-w-0 flex-1 text-[18px] leading-[23px] tracking-[-.014em]">
            <TitleWord
              title={task.title}
              isOpen={editing === "title"}
              onOpen={(isOpen) => onEdit(isOpen ? "title" : null)}
              onSave={(to) => onChange({ field: "title", to })}
            />
          </h2>
        </div>
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {props.handing}
        <TaskFields {...props} />
        <FromLetter sheet={sheet} />
        <div className="px-[18px]">
          <OnTheirWay letters={sheet.outgoing} onAgain={props.onSendAgain} />
          {props.writing}
        </div>
        <Happened sheet={sheet} onUndoEntry={props.onUndoEntry} />
      </div>
      <NoteField taskId={task.id} onNote={props.onNote} />
      {props.acts}
    </section>
  );
}
