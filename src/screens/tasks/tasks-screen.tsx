"use client";

import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import { MOST_COUNTED, type TaskRow, type TaskSheet } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { useKeys } from "../parts/keys";
import { KeyCap } from "../parts/marks";
import { useActs } from "../parts/use-acts";
import { useIsPhone } from "../parts/use-is-phone";
import { columnsSeen, taskWithChange } from "../words/field-change";
import { groupByDay, groupByPerson } from "./day-groups";
import { MarkedTasks, useMarked } from "./marked-tasks";
import { NewTask } from "./new-task";
import { TaskList } from "./task-list";
import type { RowField } from "./task-row";
import { TaskSheetView } from "./task-sheet";
import type { TaskField } from "./task-sheet-props";
import { TaskWriting } from "./task-writing";
import {
  askAheadForSheet,
  changeTaskOnScreen,
  type Look,
  lookInAddress,
  type TasksAnswer,
  useSheet,
  useTasks,
} from "./tasks-data";
import { TasksSentence } from "./tasks-sentence";
import { useHanding } from "./use-handing";
import { useSeen } from "./use-seen";

function figure(count: number): string {
  return count > MOST_COUNTED ? `${MOST_COUNTED}+` : String(count);
}

/** Tasks: what is to do, by due date; beside it the sheet of the one that is here. */
export function TasksScreen(props: { look: Look; first: TasksAnswer; slug: string | null; sheet: TaskSheet | null }) {
  const house = useHouse();
  const { today, calendar } = useToday();
  const router = useRouter();
  const queries = useQueryClient();
  const { run, undo } = useActs();
  const isPhone = useIsPhone();
  const [look, setLook] = useState<Look>(props.look);
  const [slug, setSlug] = useState<string | null>(props.slug);
  const [editing, setEditing] = useState<TaskField | null>(null);
  const [inRow, setInRow] = useState<{ slug: string; field: RowField } | null>(null);
  const [isMaking, setMaking] = useState(false);
  /** Id of the task from which a letter is being written. */
  const [writing, setWriting] = useState<string | null>(null);
  const tasks = useTasks(look, { look: props.look, answer: props.first });
  const rows = useMemo(() => tasks.data?.pages.flatMap((page) => page.rows) ?? [], [tasks.data]);
  const isByPerson = look.whose === "by me" && look.show === "open";
  const grouped = useMemo(
    () =>
      isByPerson ? groupByPerson(rows, today) : groupByDay(rows, today, house.zone, calendar, look.show === "done"),
    [rows, today, house.zone, calendar, look.show, isByPerson],
  );
  const figures = tasks.data?.pages[0]?.figures ?? props.first.figures;
  const hereSlug = slug ?? (isPhone ? null : (rows[0]?.slug ?? null));
  const { data: sheet, error } = useSheet(hereSlug, props.sheet);

  const index = rows.findIndex((row) => row.slug === hereSlug);
  useEffect(() => {
    for (const row of rows.slice(Math.max(0, index - 1), index + 3))
      if (row.slug !== hereSlug) askAheadForSheet(queries, row.slug);
  }, [queries, rows, index, hereSlug]);

  const go = useCallback(
    (to: string | null, nextLook: Look = look) => {
      setSlug(to);
      setEditing(null);
      setInRow(null);
      window.history.replaceState(null, "", `/tasks${to ? `/${to}` : ""}${lookInAddress(nextLook)}`);
    },
    [look],
  );
  const changeLook = (next: Look) => {
    setLook(next);
    go(null, next);
  };
  const step = (by: number) => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, index + by))];
    if (row) go(row.slug);
  };
  // What stood there when the editing began: somebody else's change meanwhile must not go unnoticed.
  const seen = useRef<TaskRow | null>(null);
  if ((editing === null && inRow === null) || seen.current?.slug !== hereSlug)
    seen.current = rows[index] ?? sheet?.task ?? null;
  const change = (task: TaskRow, to: FieldChange) =>
    run(
      "change task",
      {
        taskId: task.id,
        change: to,
        was: columnsSeen(
          (to.field === editing || to.field === inRow?.field) && seen.current?.slug === task.slug ? seen.current : task,
          to.field,
        ),
      },
      {
        show: () => changeTaskOnScreen(queries, task.slug, (old) => taskWithChange(old, to, house)),
        says: (done) =>
          to.field === "state"
            ? to.to === "done"
              ? `${task.reference} is done${done.made[0] ? `; the next one is ${done.made[0].reference}` : ""}.`
              : to.to === "called off"
                ? `${task.reference} is called off; its letters stay with the project.`
                : `${task.reference} is ${to.to}.`
            : null,
      },
    );
  const { marked, mark, clear } = useMarked(rows);
  const changeNow = useRef(change);
  changeNow.current = change;
  // The same for all rows and at every turn, so that only rows that changed are drawn again.
  const rowActs = useMemo(
    () => ({
      onPick: (to: string) => go(to),
      onEdit: (of: string, field: RowField | null) => {
        if (field) go(of);
        setInRow(field && { slug: of, field });
      },
      onChange: (task: TaskRow, to: FieldChange) => changeNow.current(task, to),
      onMark: mark,
    }),
    [go, mark],
  );
  const finish = (task: TaskRow) =>
    void change(task, { field: "state", to: task.state === "done" ? "to begin" : "done" });
  const openLetter = () => {
    if (!sheet?.passage) return;
    const { letterId, start, end } = sheet.passage;
    router.push(`/letters/${letterId}${start !== null && end !== null ? `?from=${start}&to=${end}` : ""}`);
  };
  const handing = useHanding(sheet, run);
  useSeen(sheet ?? null);
  const isWriting = sheet !== undefined && writing === sheet.task.id;
  const note = () => document.getElementById("note-field")?.focus();

  useKeys({
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    d: () => sheet && finish(sheet.task),
    o: () => sheet && setEditing("owner"),
    e: () => sheet && setEditing("due"),
    r: () => sheet && setEditing("priority"),
    t: () => sheet && setEditing("title"),
    s: () => sheet && setEditing("state"),
    a: () => setMaking(true),
    c: note,
    l: openLetter,
    w: () => sheet && setWriting(sheet.task.id),
    h: handing.handOver,
    k: handing.takeOn,
    b: handing.handBack,
    q: handing.askBack,
    f: handing.finishAndNext,
    p: handing.putBy,
    m: handing.remind,
    u: () => void undo(),
    y: () => rows[index] && mark(rows[index].id),
  });

  const acts = sheet && (
    <div className="acts is-narrow max-sm:min-h-[64px]" role="toolbar" aria-label="Acts">
      <button type="button" className="is-chief max-sm:!h-11" onClick={() => finish(sheet.task)}>
        <KeyCap name="D" />
        {sheet.task.state === "done" ? "Not done yet" : "Done"}
      </button>
      <button type="button" onClick={handing.handOver}>
        <KeyCap name="H" />
        Hand over
      </button>
      <button type="button" onClick={note}>
        <KeyCap name="C" />
        Note
      </button>
      <button type="button" onClick={() => setWriting(sheet.task.id)}>
        <KeyCap name="W" />
        Write
      </button>
      <button type="button" className="ml-auto" onClick={() => void undo()}>
        <KeyCap name="U" />
        Undo
      </button>
    </div>
  );
  const isSheetShown = hereSlug !== null;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_428px] gap-[14px] px-4 pb-4 pt-[14px] max-lg:grid-cols-[minmax(0,1fr)_360px] max-sm:flex max-sm:flex-col max-sm:gap-2 max-sm:p-2">
      <h1 className="sr-only">Tasks</h1>
      <section
        className={`pan flex min-h-0 flex-col ${isSheetShown && isPhone ? "hidden" : ""} max-sm:flex-1`}
        aria-label="The list"
      >
        <div className="flex min-h-[50px] flex-none flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline py-2 pl-4 pr-[10px]">
          <TasksSentence
            look={look}
            outsider={rows.find((row) => row.theirs?.id === look.personId)?.theirs?.name ?? null}
            onLook={changeLook}
          />
          <span className="ml-auto text-[12px] text-soft">
            <b className="text-ink">{figure(figures.all)}</b>
            {figures.nobodys > 0 && look.whose === "everyone" && !look.personId && (
              <>
                , and <b className="text-ink">{figure(figures.nobodys)}</b> nobody’s
              </>
            )}
          </span>
          <button type="button" className="btn !h-8" onClick={() => setMaking(true)}>
            New task
          </button>
        </div>
        {isMaking && (
          <NewTask
            look={look}
            onClose={() => setMaking(false)}
            onMake={(input) =>
              run("make task", input, {
                says: (done) => `Made as ${done.made[0]?.reference}.`,
                onDone: (done) => done.made[0] && go(done.made[0].slug),
              })
            }
          />
        )}
        <MarkedTasks
          tasks={marked}
          onClear={clear}
          onHand={(toId, note, due) =>
            run(
              "hand over many",
              { taskIds: marked.map((task) => task.id), toId, note, ...(due ? { due } : {}) },
              {
                says: () =>
                  `${marked.length === 1 ? "1 task is" : `${marked.length} tasks are`} with ${house.team.find((person) => person.id === toId)?.name ?? "them"}.`,
              },
            )
          }
        />
        {rows.length === 0 ? (
          <div className="flex flex-1 flex-col items-center justify-center gap-2 p-8 text-center">
            <h2 className="text-[18px]">{look.show === "done" ? "Nothing is finished yet" : "Nothing to do here"}</h2>
            <p className="text-soft">
              {look.whose === "everyone" && !look.projectId && !look.personId
                ? "Keep slips in Sort, or write a task in one line with New task."
                : "Change a word of the sentence above to see more."}
            </p>
          </div>
        ) : (
          <TaskList
            rows={grouped}
            hereSlug={hereSlug}
            editing={inRow}
            marked={marked}
            acts={rowActs}
            hasMore={tasks.hasNextPage && !tasks.isFetchingNextPage}
            onMore={() => void tasks.fetchNextPage()}
            isPhone={isPhone}
            label={isByPerson ? "Tasks by person" : "Tasks by day"}
          />
        )}
        <div className="flex h-9 flex-none items-center gap-[26px] border-t border-hairline px-4 text-[12px] text-soft">
          <span>
            <b className="text-ink">{figure(figures.undated)}</b> without a date
          </span>
          {tasks.isPlaceholderData && <span>Looking …</span>}
        </div>
      </section>
      <div className={`min-h-0 ${isSheetShown ? "" : "max-sm:hidden"} max-sm:flex max-sm:flex-1 max-sm:flex-col`}>
        {isPhone && isSheetShown && (
          <button
            type="button"
            className="flex h-11 flex-none items-center px-2 font-semibold text-act"
            onClick={() => go(null)}
          >
            ‹ The list
          </button>
        )}
        {sheet ? (
          <div className="h-full min-h-0 flex-1">
            <TaskSheetView
              key={sheet.task.id}
              sheet={sheet}
              editing={editing}
              onEdit={setEditing}
              onChange={(to) => change(sheet.task, to)}
              onNote={(text) => run("comment", { taskId: sheet.task.id, text })}
              onUndoEntry={(entryId) => void run("undo", { entryId }, { says: () => "Undone.", canUndo: false })}
              acts={acts}
              onMayWrite={(to) => void run("may write", { row: "task", id: sheet.task.id, to })}
              onSendAgain={(outgoingId) => void run("send again", { outgoingId }, { says: () => "Tried again." })}
              handing={handing.node}
              onDoubt={handing.doubt}
              onFinishAndNext={handing.finishAndNext}
              onPutBy={handing.putBy}
              onRemind={handing.remind}
              onRepeat={handing.repeat}
              onStart={handing.start}
              onStep={(change) => run("step", { taskId: sheet.task.id, change })}
              onForgetReminder={handing.forgetReminder}
              onPosted={handing.onPosted}
              onPostedAt={handing.onPostedAt}
              onHowFar={(percent) => run("how far", { taskId: sheet.task.id, percent })}
              onHold={(heldById) => run("hold", { taskId: sheet.task.id, heldById })}
              writing={
                isWriting && (
                  <TaskWriting
                    sheet={sheet}
                    onSend={(letter) =>
                      run(
                        "write",
                        { ...letter, taskId: sheet.task.id },
                        { says: () => "On its way in a few seconds. Until then it can be taken back." },
                      )
                    }
                    onClose={() => setWriting(null)}
                  />
                )
              }
            />
          </div>
        ) : (
          <section
            className="pan flex h-full items-center justify-center p-8 text-center text-soft"
            aria-busy={hereSlug !== null && !error}
          >
            {error ? (
              <p role="alert">{error.message}</p>
            ) : hereSlug === null ? (
              "Choose a task to see what was asked, who has it and what happened."
            ) : (
              "The sheet is on its way …"
            )}
          </section>
        )}
      </div>
    </div>
  );
}
