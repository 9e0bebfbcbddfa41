"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { MOST_COUNTED } from "../../core/views/views";
import type { WaitRow } from "../../core/views/waiting-view";
import { isForToday } from "../../core/waiting/next-step";
import { useHouse, useToday } from "../parts/house";
import { useKeys } from "../parts/keys";
import { useActs } from "../parts/use-acts";
import { useRowsInSight } from "../parts/use-rows-in-sight";
import { useChases } from "./chase-card";
import { ChaseActs, LettersReady, useLeftOut } from "./letters-ready";
import { NewWait } from "./new-wait";
import type { PlannedChases } from "./plan-line";
import { LineHead, LineKey } from "./silence-line";
import { WaitCard } from "./wait-card";
import { WaitRowView } from "./wait-row";
import { useWaiting, type WaitingAnswer, type WaitingLook, waitingInAddress } from "./waiting-data";
import { WaitingSentence } from "./waiting-sentence";

const ROW_HEIGHT = 50;

function figure(count: number): string {
  return count > MOST_COUNTED ? `${MOST_COUNTED}+` : String(count);
}

/** Waiting: who owes us what, how long have they been silent, and what comes next; beside it the letters to look over. */
export function WaitingScreen(props: {
  look: WaitingLook;
  first: WaitingAnswer;
  outside: readonly { readonly id: string; readonly name: string; readonly address: string }[];
}) {
  const { me } = useHouse();
  const { today } = useToday();
  const router = useRouter();
  const { run, undo } = useActs();
  const [look, setLook] = useState(props.look);
  const waiting = useWaiting(look, { look: props.look, answer: props.first });
  const rows = useMemo(() => waiting.data?.pages.flatMap((page) => page.rows) ?? [], [waiting.data]);
  const figures = waiting.data?.pages[0]?.figures ?? props.first.figures;
  const [hereId, setHere] = useState<string | null>(null);
  const [isRewording, setRewording] = useState(false);
  const [isCalling, setCalling] = useState(false);
  const [isMaking, setMaking] = useState(false);
  const [leftOut, leaveOut] = useLeftOut(today);
  const [dealt, setDealt] = useState<readonly string[]>([]);
  /** A letter that is asked for though it is not for today. */
  const [early, setEarly] = useState<string | null>(null);

  const chases = useChases();

  const ready = rows.filter(
    (row) =>
      row.isOutside &&
      !dealt.includes(row.task.id) &&
      (row.task.id === early ||
        (row.next.what === "letter" && isForToday(row.next, today) && !leftOut.includes(row.task.id))),
  );
  const index = Math.max(
    0,
    rows.findIndex((row) => row.task.id === hereId),
  );
  // Without a choice the first letter to look over is here.
  const here: WaitRow | null = (hereId === null ? (ready[0] ?? rows[0]) : rows[index]) ?? null;
  const open = here && ready.includes(here) ? here : null;
  const go = (id: string | null) => {
    setHere(id);
    setRewording(false);
    setCalling(false);
  };
  const step = (by: number) => {
    const at = here ? rows.indexOf(here) : 0;
    const row = rows[Math.max(0, Math.min(rows.length - 1, at + by))];
    if (row) go(row.task.id);
  };
  const changeLook = (next: WaitingLook) => {
    setLook(next);
    go(null);
    window.history.replaceState(null, "", `/waiting${waitingInAddress(next)}`);
  };
  const afterThis = (id: string) => {
    const next = ready.find((row) => row.task.id !== id);
    go(next?.task.id ?? null);
  };
  const send = (row: WaitRow) => {
    const { from, task } = row;
    const { subject, text } = chases.chaseOf(row);
    if (!from) return;
    setDealt([...dealt, task.id]);
    afterThis(task.id);
    void run(
      "write",
      {
        subject,
        text,
        to: [{ name: from.name, address: from.address }],
        cc: [],
        from: me.address,
        answersId: row.answersId,
        taskId: task.id,
        finishes: false,
        dealsWith: false,
        chases: true,
      },
      {
        show: () => () => setDealt((old) => old.filter((id) => id !== task.id)),
        says: () => `To ${from.name} in a few seconds. Until then it can be taken back.`,
      },
    );
  };
  const planChases = (row: WaitRow, plan: PlannedChases) =>
    run(
      "plan chases",
      { taskId: row.task.id, ...plan },
      { says: () => (plan.firstAt === null ? "No letter leaves by itself." : "Planned.") },
    );
  const leave = (row: WaitRow) => {
    leaveOut(row.task.id);
    setEarly(null);
    afterThis(row.task.id);
  };
  useKeys({
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    Enter: () => open && send(open),
    w: () => open && setRewording(true),
    l: () => open && leave(open),
    c: () => here?.isOutside && setCalling(true),
    o: () => here && router.push(`/tasks/${here.task.slug}`),
    a: () => setMaking(true),
    u: () => void undo(() => setDealt([])),
  });
  const { box, items, height } = useRowsInSight({
    count: rows.length,
    rowHeight: ROW_HEIGHT,
    hereId: here?.task.id ?? null,
    hereIndex: here ? rows.indexOf(here) : -1,
    hasMore: waiting.hasNextPage && !waiting.isFetchingNextPage,
    onMore: () => void waiting.fetchNextPage(),
  });
  // Who owes us something first; then whoever else is known, since not every row is here yet.
  const peopleOutside = useMemo(() => {
    const owing = rows.flatMap((row) => (row.isOutside && row.from ? [row.from] : []));
    return [...new Map([...owing, ...props.outside].map((one) => [one.id, one] as const)).values()];
  }, [rows, props.outside]);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_342px] gap-[14px] px-4 pb-4 pt-[14px] max-lg:grid-cols-[minmax(0,1fr)_300px] max-sm:flex max-sm:flex-col max-sm:gap-2 max-sm:overflow-y-auto max-sm:p-2">
      <section className="pan flex min-h-0 flex-col max-sm:min-h-[60dvh]" aria-label="The list">
        <div className="flex min-h-[52px] flex-none flex-wrap items-center gap-x-4 gap-y-1 border-b border-hairline py-2 pl-4 pr-[10px]">
          <h1 className="text-[20px] tracking-[-.014em]">Who owes us what</h1>
          <WaitingSentence look={look} outside={peopleOutside} onLook={changeLook} />
          <span className="ml-auto text-[12px] text-soft">
            <b className="text-ink">{figure(figures.all)}</b>, {figure(figures.outside)} from outside
            {figures.over > 0 && (
              <>
                , <b className="text-late">{figure(figures.over)} over</b>
              </>
            )}
          </span>
          <button type="button" className="btn !h-8" onClick={() => setMaking(true)}>
            New wait
          </button>
        </div>
        {isMaking && (
          <NewWait
            outside={props.outside}
            projectId={look.projectId}
            onClose={() => setMaking(false)}
            onMake={(input) =>
              run("make task", input, {
                says: (done) => `Waited for as ${done.made[0]?.reference}.`,
                onDone: (done) => {
                  setMaking(false);
                  if (done.made[0]) go(done.made[0].id);
                },
              })
            }
          />
        )}
        <div
          className="grid h-[33px] flex-none grid-cols-[minmax(0,248px)_34px_minmax(0,1fr)_152px] border-b border-hairline bg-wash pl-4 text-[12px] text-soft max-md:hidden"
          aria-hidden="true"
        >
          <span className="pt-[9px]">From whom</span>
          <span className="pt-[9px]">For</span>
          <LineHead />
          <span className="pl-3 pt-[9px]">Next</span>
        </div>
        {rows.length === 0 ? (
          <div className="flex flex-1 flex-col items-center justify-center gap-2 p-8 text-center">
            <h2 className="text-[18px]">Nobody owes us anything here</h2>
            <p className="text-soft">
              Keep a promise in Sort, hand a task over, or write what you wait for in one line with New wait.
            </p>
          </div>
        ) : (
          <div ref={box} className="min-h-0 flex-1 overflow-y-auto">
            <ul aria-label="Waits" style={{ height, position: "relative" }}>
              {items.map((item) => {
                const row = rows[item.index]!;
                return (
                  <li
                    key={row.task.id}
                    style={{ position: "absolute", top: item.start, left: 0, right: 0, height: ROW_HEIGHT }}
                  >
                    <WaitRowView row={row} isHere={row === here} onPick={go} />
                  </li>
                );
              })}
            </ul>
          </div>
        )}
        <LineKey />
      </section>
      <section className="pan flex min-h-0 flex-col" aria-label="What to do about it">
        <div className="min-h-0 flex-1 overflow-y-auto px-4 py-3">
          {here && (!open || isCalling) && (
            <WaitCard
              key={here.task.id}
              row={here}
              isCalling={isCalling}
              onCalling={setCalling}
              onNote={(call) =>
                run("note a call", { taskId: here.task.id, ...call }, { says: () => "The call is noted." })
              }
              onPlan={(plan) => planChases(here, plan)}
              onLetter={
                here.isOutside && !open && here.next.what !== "read their letter" ? () => setEarly(here.task.id) : null
              }
            />
          )}
          <LettersReady
            ready={ready}
            open={open}
            dealt={dealt.length}
            isRewording={isRewording}
            chases={chases}
            onRewording={setRewording}
            onPick={go}
            onSend={() => open && send(open)}
            onPlan={planChases}
          />
        </div>
        {open && (
          <ChaseActs onSend={() => send(open)} onReword={() => setRewording(true)} onLeave={() => leave(open)} />
        )}
      </section>
    </div>
  );
}
