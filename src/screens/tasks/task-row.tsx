"use client";

import { memo } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import { sayRepeat } from "../../core/repeating/say-repeat";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import { sayProgress } from "../../core/tasks/steps";
import type { Day } from "../../core/time/day";
import { sayDay, sayLateness, sayMoment } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel, PriorityRule, StateSign } from "../parts/marks";
import { OwnerWord, PriorityWord, StateWord } from "../words/picks";
import { DueWord } from "../words/text-words";
import { answerWords } from "./chain-line";
import type { GroupedRow } from "./day-groups";

/** The fields that can be changed in a row of the list. */
export type RowField = "owner" | "due" | "priority" | "state";

/** What a row can do: be picked, open one of its words, and change a field. */
export interface RowActs {
  readonly onPick: (slug: string) => void;
  readonly onEdit: (slug: string, field: RowField | null) => void;
  readonly onChange: (task: TaskRow, change: FieldChange) => Promise<boolean>;
  readonly onMark: (taskId: string) => void;
}

/** Why a task is in the list, in a few words: whose letter it comes from. */
export function originOf(task: TaskRow): string {
  const first = task.writer && firstNameOf(task.writer);
  if (!first) return "";
  if (task.kind === "question") return `${first} asks`;
  if (task.kind === "trouble") return `trouble in ${first}’s letter`;
  if (task.side === "theirs") return task.kind === "promise" ? `promised by ${first}` : `asked by ${first}`;
  return `from ${first}’s letter`;
}

/** By whom a task was given to its owner: whose work it is, is told apart in every row. */
function givenWords(task: TaskRow, nameOf: (id: string) => string): string {
  const last = task.chain.at(-1);
  return last && task.owner?.id === last.to ? `${nameOf(last.by)} gave it` : "";
}

/** How far a task is: by its checklist, else by what its owner said. */
function howFarWords(task: TaskRow): string {
  return sayProgress(task.steps) || (task.percent === null ? "" : `${task.percent} %`);
}

/** What stands below the state: why it is so. */
function belowState(task: TaskRow, isLate: boolean, today: Day, nameOf: (id: string) => string): string {
  const last = task.chain.at(-1);
  if (task.returnedAt !== null && task.state === "to begin") return "back from being put by";
  if (task.theirs) return "owed to us";
  if (task.doubt) return task.doubt;
  if (task.startDay !== null && task.startDay > today) return `not before ${sayDay(task.startDay, today)}`;
  if (task.heldBy) return `held by ${task.heldBy.reference}`;
  if (!task.owner && last?.answer === "declined") return `${nameOf(last.to)}: “${last.reason}”`;
  if (last?.question) return `“${last.question}”`;
  return isLate ? [task.state, howFarWords(task)].filter(Boolean).join(", ") : "";
}

/** A task in the list: picked as a whole, its owner, due, priority and state changed in place. */
export const TaskRowView = memo(function TaskRowView({
  row,
  isHere,
  isMarked,
  editing,
  acts,
}: {
  row: GroupedRow;
  isHere: boolean;
  isMarked: boolean;
  editing: RowField | null;
  acts: RowActs;
}) {
  const { task } = row;
  const { me, team } = useHouse();
  const { now, today } = useToday();
  const isOpen = task.state === "to begin" || task.state === "under way";
  const lateness = isOpen && task.due ? sayLateness(task.due.day, today) : null;
  const who = task.theirs ?? task.owner;
  const nameOf = (id: string) =>
    id === me.id ? "you" : firstNameOf(team.find((one) => one.id === id)?.name ?? "somebody");
  const note = [
    task.project ?? "no project",
    task.repeats === null ? "" : sayRepeat(task.repeats),
    givenWords(task, nameOf),
    originOf(task),
  ]
    .filter(Boolean)
    .join(" · ");
  const answer = task.theirs ? null : answerWords(task);
  const stateWords =
    lateness ??
    (task.doubt && isOpen ? "in doubt" : null) ??
    answer?.words ??
    (task.state === "done" && task.finishedAt
      ? `done ${sayMoment(task.finishedAt, now)}`
      : [task.state, howFarWords(task)].filter(Boolean).join(", "));
  const stateColour =
    lateness || (task.doubt && isOpen)
      ? "text-late"
      : answer?.look === "act"
        ? "text-act"
        : task.state === "under way" || task.state === "done" || answer?.look === "going"
          ? "text-going"
          : "";
  const word = (field: RowField) => ({
    isOpen: editing === field,
    onOpen: (opens: boolean) => acts.onEdit(task.slug, opens ? field : null),
    isQuiet: true,
  });
  // Beside a day gutter the day need not stand in every row: it shows where it says more, and where one is about to change it.
  const isDueShown =
    row.look === "none" || isHere || editing === "due" || !task.due || lateness !== null || task.due.time !== null;
  return (
    <div className={`group/row flex h-full ${row.isLast ? "border-b border-hairline" : ""}`}>
      <div
        className={`gutter !py-[2px] ${row.look === "over" ? "is-over" : row.look === "today" ? "is-today" : ""} max-sm:!w-[98px] max-sm:!pl-3`}
      >
        {row.head && (
          <>
            <b className="block truncate" title={row.head.name}>
              {row.head.name}
            </b>
            <span className="block truncate">{row.head.note}</span>
          </>
        )}
      </div>
      <div
        className={`relative flex min-w-0 flex-1 items-stretch pl-4 max-md:pl-2 ${row.isLast ? "" : "border-b border-[color:var(--hairline-faint)]"} ${isHere ? "here" : "hover:bg-wash"}`}
      >
        <span className="hidden w-6 flex-none justify-center pt-[5px] max-sm:flex">
          <PriorityRule priority={task.priority} height={29} />
        </span>
        <span className="relative z-[2] -ml-0.5 flex w-6 flex-none justify-center pt-[5px] max-sm:hidden [&>button]:flex [&>button]:h-[29px] [&>button]:w-6 [&>button]:justify-center [&>button]:border-0 [&>button]:p-0">
          <PriorityWord
            priority={task.priority}
            shown={<PriorityRule priority={task.priority} height={29} />}
            {...word("priority")}
            onPick={(to) => void acts.onChange(task, { field: "priority", to })}
          />
        </span>
        <span className="min-w-0 flex-[5] pr-3 pt-[3px]">
          <button
            type="button"
            data-slug={task.slug}
            aria-current={isHere ? "true" : undefined}
            className="block w-full truncate text-left text-[14px] font-bold leading-[18px] after:absolute after:inset-0 after:z-[1] after:content-['']"
            onClick={() => acts.onPick(task.slug)}
          >
            {task.title}
          </button>
          <span className="block truncate text-[12px] leading-[15px] text-soft">
            <b className="font-semibold text-ink">{task.reference}</b> ·{" "}
            {task.trouble && <b className="font-semibold text-late">{task.trouble} · </b>}
            {note}
          </span>
          <span className={`mt-1 hidden items-center gap-1.5 text-[13px] font-semibold max-sm:flex ${stateColour}`}>
            {who && <PersonLabel initials={who.initials} name={who.name} isTeam={!task.theirs} size="small" />}
            {who ? `${who.id === me.id ? "you" : firstNameOf(who.name)}, ${stateWords}` : `nobody yet, ${stateWords}`}
          </span>
        </span>
        <span className="relative z-[2] flex w-[118px] flex-none items-center gap-[7px] pr-2 text-[13px] font-semibold max-md:w-[44px] max-sm:hidden">
          {who && <PersonLabel initials={who.initials} name={who.name} isTeam={!task.theirs} />}
          <span className={`min-w-0 ${who ? "max-md:hidden" : ""}`}>
            <OwnerWord
              owner={task.owner}
              theirs={task.theirs}
              outside={task.theirs ? [task.theirs] : []}
              isShort
              width={94}
              {...word("owner")}
              onPick={(to) => void acts.onChange(task, { field: "owner", to })}
            />
          </span>
        </span>
        <span className="w-[146px] flex-none pt-1 max-sm:hidden">
          <span className={`flex items-center gap-[7px] text-[13px] font-semibold leading-[17px] ${stateColour}`}>
            <StateSign state={task.state} isLate={lateness !== null} />
            <span className="relative z-[2] min-w-0">
              <StateWord
                state={task.state}
                shown={stateWords}
                {...word("state")}
                onPick={(to) => void acts.onChange(task, { field: "state", to })}
              />
            </span>
          </span>
          <span className="block pl-[21px] text-[12px] leading-[15px] text-soft">
            <span className="block truncate">{belowState(task, lateness !== null, today, nameOf)}</span>
          </span>
        </span>
        <span
          className={`relative z-[2] w-[94px] flex-none self-center whitespace-nowrap pr-5 text-right text-[12px] text-soft max-md:hidden ${isDueShown ? "" : "opacity-0 focus-within:opacity-100 group-hover/row:opacity-100"}`}
        >
          <span className={editing === "due" ? "float-right" : ""}>
            <DueWord due={task.due} {...word("due")} onSave={(to) => acts.onChange(task, { field: "due", to })} />
          </span>
        </span>
        <label
          className={`absolute inset-y-0 left-0 z-[3] flex w-5 items-center justify-center max-md:hidden ${isMarked ? "" : "opacity-0 focus-within:opacity-100 group-hover/row:opacity-100"}`}
          title="Mark it, to hand over several at once (Y)"
        >
          <input
            type="checkbox"
            className="h-[13px] w-[13px]"
            checked={isMarked}
            onChange={() => acts.onMark(task.id)}
            aria-label={`Mark ${task.reference}`}
          />
        </label>
      </div>
    </div>
  );
});
