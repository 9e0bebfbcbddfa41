"use client";

import { type ReactNode, useState } from "react";
import { sayRepeat } from "../../core/repeating/say-repeat";
import { linkToOwner } from "../../core/tasks/chain";
import { readLine } from "../../core/tasks/read-line";
import { dayOf } from "../../core/time/moment";
import type { TaskSheet } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { PutByLine } from "../parts/put-by-line";
import type { HowShown } from "../parts/use-acts";
import { AnswerLine, GivenToMe } from "./given-to-me";
import { HandOver } from "./hand-over";
import { RepeatsLine } from "./repeats-line";
import type { SheetProps } from "./task-sheet-props";

/** What is being done about who has the task. */
type Handing = "hand over" | "hand back" | "ask back" | "doubt" | "finish" | "put by" | "remind" | "repeat" | "start";

/** Handing over and the owner's answers, for the sheet that is shown: what stands in it, and what keys and buttons do. */
export function useHanding(
  sheet: TaskSheet | undefined,
  run: (name: string, input: unknown, how?: HowShown) => Promise<boolean>,
): {
  node: ReactNode;
  handOver: () => void;
  takeOn: () => void;
  handBack: () => void;
  askBack: () => void;
  doubt: () => void;
  finishAndNext: () => void;
  putBy: () => void;
  remind: () => void;
  repeat: () => void;
  start: () => void;
  forgetReminder: (reminderId: string) => void;
  onPosted: (personId: string, hears: boolean | null) => void;
  onPostedAt: SheetProps["onPostedAt"];
} {
  const { me, team, zone, figures } = useHouse();
  const { now, calendar } = useToday();
  const [open, setOpen] = useState<{ taskId: string; what: Handing } | null>(null);
  const what = sheet && open?.taskId === sheet.task.id ? open.what : null;
  const begin = (next: Handing) => {
    if (sheet) setOpen({ taskId: sheet.task.id, what: next });
  };
  const close = () => setOpen(null);
  const task = sheet?.task;
  const taskId = task?.id;
  const isGiven = task ? linkToOwner({ ownerId: task.owner?.id ?? null, chain: task.chain })?.to === me.id : false;
  const takeOn = () => {
    if (task && isGiven) void run("take on", { taskId }, { says: () => `${task.reference} is taken on.` });
  };
  const doubt = () => {
    if (task?.doubt)
      void run("doubt", { taskId, reason: "" }, { says: () => `${task.reference} is in doubt no more.` });
    else begin("doubt");
  };
  const node = task && (
    <>
      {what === "hand over" ? (
        <div className="mx-[18px] mt-3">
          <HandOver
            task={{ ...task, quiet: sheet.hears.filter((one) => one.loudness === "not").map((one) => one.personId) }}
            onClose={close}
            onAsk={({ to, text, due }) =>
              run(
                "write",
                {
                  to: [{ name: to.name, address: to.address }],
                  cc: [],
                  subject: task.title,
                  text,
                  from: me.address,
                  answersId: null,
                  taskId,
                  finishes: false,
                  dealsWith: false,
                  waitsForId: to.id,
                  ...(due ? { due } : {}),
                },
                { says: () => `To ${to.name} in a few seconds; you wait for ${task.reference}.` },
              )
            }
            onHand={(to) =>
              run(
                "hand over",
                { taskId, ...to },
                {
                  says: (done) => {
                    const names = to.toIds.map((id) => team.find((person) => person.id === id)?.name ?? "them");
                    const also = done.made.map((one) => one.reference).join(", ");
                    return `${task.reference} is with ${names.join(" and ")}${also ? `; ${also} asks for the same` : ""}.`;
                  },
                },
              )
            }
          />
        </div>
      ) : (
        <GivenToMe
          task={task}
          answering={what === "hand back" || what === "ask back" ? what : null}
          onAnswering={(answering) => (answering ? begin(answering) : close())}
          onTakeOn={takeOn}
          onPassOn={() => begin("hand over")}
          onHandBack={(reason) =>
            run("hand back", { taskId, reason }, { says: () => `${task.reference} is handed back.` })
          }
          onAskBack={(question) => run("ask back", { taskId, question }, { says: () => "Asked." })}
        />
      )}
      {what === "repeat" && (
        <div className="mx-[18px] mt-3">
          <RepeatsLine
            task={task}
            onClose={close}
            onRepeat={(rule) =>
              run(
                "repeat",
                { taskId, rule },
                {
                  says: () =>
                    rule === null
                      ? `${task.reference} does not repeat any more.`
                      : `${task.reference} repeats ${sayRepeat(rule)}.`,
                },
              )
            }
          />
        </div>
      )}
      {what === "remind" && (
        <div className="mx-[18px] mt-3">
          <PutByLine
            about={`remind ${task.id}`}
            label="Remind me when"
            does="Remind me"
            onPutBy={(at) =>
              at === null
                ? Promise.resolve(false)
                : run("remind", { taskId, at: new Date(at).toISOString() }, { says: () => "You will be reminded." })
            }
            onClose={close}
          />
        </div>
      )}
      {what === "start" && (
        <div className="mx-[18px] mt-3">
          <PutByLine
            about={`start ${task.id}`}
            label="Not before when"
            does="Not before"
            onPutBy={(at) => {
              if (at === null) return Promise.resolve(false);
              const day = dayOf({ at, zone });
              return run("start on", { taskId, day }, { says: () => `${task.reference} begins then.` });
            }}
            onClose={close}
          />
        </div>
      )}
      {what === "put by" && (
        <div className="mx-[18px] mt-3">
          <PutByLine
            about={task.id}
            onClose={close}
            onPutBy={(until) =>
              run(
                "put task by",
                { taskId, until: until === null ? null : new Date(until).toISOString() },
                { says: () => `${task.reference} is put by.` },
              )
            }
          />
        </div>
      )}
      {what === "finish" && (
        <div className="mx-[18px] mt-3">
          <AnswerLine
            draft={`finish ${taskId}`}
            label="Done; and next, for whom, by when?"
            does="Done, and next"
            onSave={(line) => {
              const read = readLine(line, team, [], now, calendar, figures);
              return run(
                "finish and next",
                {
                  taskId,
                  title: read.title,
                  ownerId: read.ownerId ?? task.owner?.id ?? me.id,
                  due: read.due ? { ...read.due, zone } : null,
                  priority: read.priority,
                },
                { says: (done) => `${task.reference} is done; ${done.made[0]?.reference ?? "the next"} follows.` },
              );
            }}
            onClose={close}
          />
        </div>
      )}
      {what === "doubt" && (
        <div className="mx-[18px] mt-3">
          <AnswerLine
            draft={`doubt ${taskId}`}
            label="Why it may not make its date"
            does="In doubt"
            onSave={(reason) => run("doubt", { taskId, reason }, { says: () => `${task.reference} is in doubt.` })}
            onClose={close}
          />
        </div>
      )}
    </>
  );
  return {
    node,
    handOver: () => begin("hand over"),
    takeOn,
    handBack: () => isGiven && begin("hand back"),
    askBack: () => isGiven && begin("ask back"),
    doubt,
    finishAndNext: () => begin("finish"),
    remind: () => begin("remind"),
    repeat: () => begin("repeat"),
    start: () =>
      task && task.startDay !== null
        ? void run("start on", { taskId, day: null }, { says: () => `${task.reference} can begin at any time.` })
        : begin("start"),
    forgetReminder: (reminderId) => void run("remind", { taskId, reminderId }),
    putBy: () =>
      task && task.putUntil !== null
        ? void run("bring back", { taskId }, { says: () => `${task.reference} is back.` })
        : begin("put by"),
    onPosted: (personId, hears) => void run("keep posted", { taskId, personId, hears }),
    onPostedAt: (place, personId, name) =>
      void run(
        "keep posted at",
        { ...place, personId, hears: true },
        {
          says: () =>
            `${personId === me.id ? "You are" : `${team.find((one) => one.id === personId)?.name ?? "They"} is`} kept posted on all of ${name}.`,
        },
      ),
  };
}
