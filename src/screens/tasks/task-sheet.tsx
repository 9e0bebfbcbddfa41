"use client";

import Link from "next/link";
import { type ReactNode, useState } from "react";
import type { MayWrite } from "../../core/letters/ways";
import { sayRepeat } from "../../core/repeating/say-repeat";
import { handedBackIn, linkToOwner } from "../../core/tasks/chain";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import type { StepChange } from "../../core/tasks/decisions/change-steps";
import { isOnShelf } from "../../core/tasks/decisions/put-by";
import { sayDistance, sayLateness, sayMoment, sayMomentFully } from "../../core/time/say-day";
import type { CorrespondentView, TaskSheet } from "../../core/views/views";
import { FileList } from "../letters/letter-files";
import { MayWriteWord } from "../mailboxes/may-write-word";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel, PriorityRule } from "../parts/marks";
import { SmallWord } from "../parts/small-word";
import { useDraft } from "../parts/use-draft";
import { OwnerWord, PriorityWord, ProjectWord, StateWord } from "../words/picks";
import { DueWord, TitleWord } from "../words/text-words";
import { OnTheirWay } from "../write/on-its-way";
import { answerWords, ChainLine } from "./chain-line";
import { Checklist } from "./checklist";
import { Reminds } from "./reminds";
import { WhoHears } from "./who-hears";

export type TaskField = FieldChange["field"];

interface SheetProps {
  readonly sheet: TaskSheet;
  readonly editing: TaskField | null;
  readonly onEdit: (field: TaskField | null) => void;
  readonly onChange: (change: FieldChange) => Promise<boolean>;
  readonly onNote: (text: string) => Promise<boolean>;
  readonly onUndoEntry: (entryId: string) => void;
  readonly acts: ReactNode;
  /** The letter being written from here, where there is one. */
  readonly writing: ReactNode;
  /** Handing it over, or what its owner answers to that, where it is being done. */
  readonly handing: ReactNode;
  readonly onDoubt: () => void;
  readonly onFinishAndNext: () => void;
  readonly onPutBy: () => void;
  readonly onRemind: () => void;
  readonly onRepeat: () => void;
  readonly onStep: (change: StepChange) => Promise<boolean>;
  readonly onForgetReminder: (reminderId: string) => void;
  readonly onPosted: (personId: string, hears: boolean | null) => void;
  readonly onMayWrite: (rule: MayWrite) => void;
  readonly onSendAgain: (outgoingId: string) => void;
}

function Fields(props: SheetProps) {
  const { sheet, editing, onEdit, onChange } = props;
  const { task } = sheet;
  const { today, calendar, now } = useToday();
  const open = (field: TaskField) => ({
    isOpen: editing === field,
    onOpen: (isOpen: boolean) => onEdit(isOpen ? field : null),
  });
  const who = task.theirs ?? task.owner;
  const isOpenTask = task.state === "to begin" || task.state === "under way";
  const lateness = isOpenTask && task.due ? sayLateness(task.due.day, today) : null;
  const outside: CorrespondentView[] = task.theirs ? [task.theirs] : [];
  const { me, team } = useHouse();
  const nameOf = (id: string) => team.find((person) => person.id === id)?.name ?? "Somebody";
  const holding = { ownerId: task.owner?.id ?? null, chain: task.chain };
  const back = handedBackIn(holding);
  const asked = linkToOwner(holding);
  const answer = answerWords(task);
  return (
    <dl className="grid grid-cols-[62px_minmax(0,1fr)] gap-y-1.5 border-b border-hairline px-[18px] py-[9px] text-[13.5px] leading-[19px] [&>dt]:text-[12.5px] [&>dt]:text-soft">
      <dt>Owner</dt>
      <dd className="flex flex-wrap items-center gap-1.5 font-bold">
        <ChainLine task={task} />
        {who && <PersonLabel initials={who.initials} name={who.name} isTeam={!task.theirs} size="small" />}
        <OwnerWord
          owner={task.owner}
          theirs={task.theirs}
          outside={outside}
          {...open("owner")}
          onPick={(to) => void onChange({ field: "owner", to })}
        />
        {task.theirs && (
          <span className="font-medium text-soft">owes it{task.owner ? `, ${task.owner.name} waits` : ""}</span>
        )}
        {answer && !task.theirs && (
          <span
            className={`text-[12.5px] ${answer.look === "going" ? "text-going" : answer.look === "act" ? "text-act" : "font-medium text-soft"}`}
          >
            {answer.words}
          </span>
        )}
        {back && (
          <span className="w-full text-[13px] font-medium [overflow-wrap:anywhere]">
            {nameOf(back.to)} handed it back: “{back.reason}”
          </span>
        )}
        {asked && asked.question !== "" && task.owner?.id !== me.id && (
          <span className="w-full text-[13px] font-medium [overflow-wrap:anywhere]">
            {task.owner?.name} asks: “{asked.question}” <span className="text-soft">A note answers.</span>
          </span>
        )}
      </dd>
      <dt>Due</dt>
      <dd>
        <b>
          <DueWord due={task.due} {...open("due")} onSave={(to) => onChange({ field: "due", to })} />
        </b>
        {task.due && editing !== "due" && (
          <span
            className={lateness ? "font-bold text-late" : task.due.day === today ? "font-bold text-near" : "text-soft"}
          >
            , {lateness ?? sayDistance(task.due.day, today, calendar)}
          </span>
        )}
        {(task.repeats !== null || isOpenTask) && (
          <SmallWord className="ml-2" onClick={props.onRepeat}>
            {task.repeats === null ? "once" : sayRepeat(task.repeats)}
            <span className="sr-only">, change how it repeats</span>
          </SmallWord>
        )}
        <Reminds sheet={sheet} onRemind={props.onRemind} onForget={props.onForgetReminder} />
      </dd>
      <dt>Priority</dt>
      <dd className="flex items-center gap-2">
        <PriorityRule priority={task.priority} height={14} />
        <PriorityWord
          priority={task.priority}
          {...open("priority")}
          onPick={(to) => void onChange({ field: "priority", to })}
        />
      </dd>
      <dt>State</dt>
      <dd className="font-bold">
        <StateWord
          state={task.state}
          className={task.state === "under way" || task.state === "done" ? "text-going" : ""}
          {...open("state")}
          onPick={(to) => void onChange({ field: "state", to })}
        />
        {task.doubt && (
          <span className="text-late">
            , in doubt: <span className="font-medium [overflow-wrap:anywhere]">{task.doubt}</span>
          </span>
        )}
        {isOpenTask && (
          <>
            <SmallWord className="ml-2" onClick={props.onDoubt}>
              {task.doubt ? "no longer in doubt" : "in doubt?"}
            </SmallWord>
            <SmallWord className="ml-2" onClick={props.onFinishAndNext} title="Finish it and say what follows (F)">
              done, and next
            </SmallWord>
            <SmallWord className="ml-2" onClick={props.onPutBy} title="Out of the lists until a day (P)">
              {task.putUntil === null ? "put by" : "bring it back"}
            </SmallWord>
          </>
        )}
        {task.putUntil !== null && (
          <span className="block text-[12.5px] font-medium text-soft">
            {isOnShelf(task.putUntil)
              ? "On the shelf, out of the lists."
              : `Put by until ${sayMomentFully(task.putUntil, now.zone, now)}, or until somebody writes.`}
          </span>
        )}
      </dd>
      {(isOpenTask || task.steps.length > 0) && (
        <>
          <dt>Steps</dt>
          <dd>
            <Checklist task={task} onStep={props.onStep} />
          </dd>
        </>
      )}
      <dt>Hears</dt>
      <dd>
        <WhoHears sheet={sheet} onPosted={props.onPosted} />
      </dd>
      {sheet.together.length > 0 && (
        <>
          <dt>Also</dt>
          <dd>
            {sheet.together.map((one) => (
              <Link key={one.slug} href={`/tasks/${one.slug}`} className="word mr-2">
                {one.owner ?? "Nobody"}, {one.reference}, {one.state}
              </Link>
            ))}
            <span className="text-soft">was asked for the same thing</span>
          </dd>
        </>
      )}
      <dt>Project</dt>
      <dd>
        <ProjectWord
          projectId={task.projectId}
          workstreamId={task.workstreamId}
          withWorkstreams
          {...open("project")}
          onPick={(to) => void onChange({ field: "project", to })}
        />
      </dd>
      {sheet.address && (
        <>
          <dt>Mail</dt>
          <dd
            className="truncate"
            title="Letters to this address stand on the task: from the team and people we know by themselves, from others once you have looked at them."
          >
            {sheet.address}, for <MayWriteWord rule={sheet.mayWrite} onPick={props.onMayWrite} />
          </dd>
        </>
      )}
    </dl>
  );
}

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
        <Fields {...props} />
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
