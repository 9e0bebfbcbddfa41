"use client";

import Link from "next/link";
import { sayRepeat } from "../../core/repeating/say-repeat";
import { handedBackIn, linkToOwner } from "../../core/tasks/chain";
import { isOnShelf } from "../../core/tasks/decisions/put-by";
import { sayDay, sayDistance, sayLateness, sayMomentFully } from "../../core/time/say-day";
import type { CorrespondentView } from "../../core/views/views";
import { MayWriteWord } from "../mailboxes/may-write-word";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel, PriorityRule } from "../parts/marks";
import { SmallWord } from "../parts/small-word";
import { EstimateWord } from "../words/estimate-word";
import { OwnerWord, PriorityWord, ProjectWord, StateWord } from "../words/picks";
import { DueWord } from "../words/text-words";
import { answerWords, ChainLine } from "./chain-line";
import { Checklist } from "./checklist";
import { HeldWord } from "./held-word";
import { HowFarWord } from "./how-far-word";
import { Reminds } from "./reminds";
import type { SheetProps, TaskField } from "./task-sheet-props";
import { WhoHears } from "./who-hears";

/** The fields of a task: who has it through whom, by when, how far it is, who hears. Each value is a word changed in place. */
export function TaskFields(props: SheetProps) {
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
        {isOpenTask && task.side === "ours" && (
          <>
            <SmallWord className="ml-2" onClick={props.onStart}>
              {task.startDay === null ? "not before?" : `not before ${sayDay(task.startDay, today)}`}
            </SmallWord>
            <HeldWord task={task} onHold={props.onHold} />
          </>
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
        {(task.side === "ours" || task.estimate !== null) && (
          <span className={`text-[12.5px] ${task.estimate === null ? "text-soft" : "font-semibold"}`}>
            {task.estimate !== null && <span className="font-medium text-soft">takes </span>}
            <EstimateWord
              estimate={task.estimate}
              {...open("estimate")}
              onPick={(to) => void onChange({ field: "estimate", to })}
            />
          </span>
        )}
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
            {task.side === "ours" && <HowFarWord task={task} onHowFar={props.onHowFar} />}
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
        <WhoHears sheet={sheet} onPosted={props.onPosted} onPostedAt={props.onPostedAt} />
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
