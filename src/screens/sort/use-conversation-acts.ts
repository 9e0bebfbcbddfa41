"use client";

import { useQueryClient } from "@tanstack/react-query";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import { readLine } from "../../core/tasks/read-line";
import { sayMomentFully } from "../../core/time/say-day";
import type { ConversationView, SlipView } from "../../core/views/views";
import { whoSees } from "../../core/views/who-sees";
import { askAnew } from "../parts/ask-anew";
import { useHouse, useToday } from "../parts/house";
import { useActs } from "../parts/use-acts";
import type { HandingOver } from "../tasks/hand-over";
import { columnsSeen, withChange } from "../words/field-change";
import type { Sending } from "../write/writing-paper";
import { changedWords } from "./change-words";
import { changeOnScreen, type Place, takeOut } from "./sort-data";

/** What can be done with a conversation in Sort: shown at once, taken back visibly where it fails. */
export function useConversationActs(
  conversation: ConversationView,
  { place, nextId, onGo }: { place: Place; nextId: string | null; onGo: (id: string | null) => void },
) {
  const house = useHouse();
  const { calendar, now } = useToday();
  const queries = useQueryClient();
  const { run, undo } = useActs();
  const { id, outside } = conversation;
  const shown = conversation.slips.filter((slip) => slip.state !== "brushed off");
  const open = shown.filter((slip) => slip.state === "proposed");

  const leave = () => {
    const putBack = place === "sort" ? takeOut(queries, place, id) : () => {};
    onGo(nextId);
    return () => {
      putBack();
      onGo(id);
    };
  };
  const keptWords = (made: readonly { reference: string }[]) =>
    made.length === 0
      ? null
      : made.length === 1
        ? `Kept as ${made[0]!.reference}.`
        : `Kept as ${made.length} tasks: ${made.map((task) => task.reference).join(", ")}.`;
  /** Keeps a slip and hands it over with a note: in one step, and on to the next where it was the last. */
  const handOver = (slip: SlipView, hand: HandingOver) => {
    const isLast = open.length === 1;
    const names = hand.toIds.map((to) => house.team.find((person) => person.id === to)?.name ?? "them");
    return run(
      "keep",
      { conversationId: id, slipIds: [slip.id], hand },
      {
        onDone: () => isLast && leave(),
        says: (done) =>
          `${done.made.map((task) => task.reference).join(", ")} ${done.made.length === 1 ? "is" : "are"} with ${names.join(" and ")}.`,
      },
    );
  };
  const keep = (slips: readonly SlipView[]) => {
    if (slips.length === 0) return;
    const isLast = slips.length === open.length;
    void run(
      "keep",
      { conversationId: id, slipIds: slips.map((slip) => slip.id) },
      {
        show: isLast
          ? leave
          : () =>
              changeOnScreen(queries, id, (old) => ({
                ...old,
                slips: old.slips.map((slip) =>
                  slips.some((one) => one.id === slip.id) ? { ...slip, state: "kept" } : slip,
                ),
              })),
        says: (done) => {
          const words = [keptWords(done.made), changedWords(slips)].filter(Boolean).join(" ") || null;
          return words && conversation.isPersonal
            ? `${words} These letters came to you alone; now they are seen by ${whoSees(
                slips.map((slip) => slip.projectId ?? conversation.projectId),
                slips.map((slip) => slip.owner?.id ?? null),
                house,
              )}.`
            : words;
        },
      },
    );
  };
  const nothing = () =>
    void run(
      "nothing to do",
      { conversationId: id },
      {
        show: leave,
        says: () => `“${conversation.subject}”: nothing to do. It stays with its letters under Dealt with.`,
      },
    );
  const brushOff = (slip: SlipView) => {
    const isLast = open.length === 1 && shown.some((one) => one.state === "kept");
    void run(
      "brush off",
      { conversationId: id, slipId: slip.id },
      {
        show: isLast
          ? leave
          : () =>
              changeOnScreen(queries, id, (old) => ({
                ...old,
                slips: old.slips.map((one) => (one.id === slip.id ? { ...one, state: "brushed off" } : one)),
              })),
        says: () => "Brushed off.",
      },
    );
  };
  const joinTo = (task: { id: string; reference: string }) => {
    void run(
      "join",
      { conversationId: id, taskId: task.id },
      { show: leave, says: () => `These letters stand on ${task.reference} now, and so will the answers.` },
    );
  };
  const send = ({ dealsWith, ...letter }: Sending) =>
    run(
      "write",
      { ...letter, taskId: null, dealsWith },
      {
        show: dealsWith ? leave : undefined,
        says: () => "On its way in a few seconds. Until then it can be taken back.",
      },
    );
  const undoLast = () =>
    void undo((done) => {
      if (done.about[0] && done.about[0] !== id) onGo(done.about[0]);
    });
  /** `seen` is the slip as it stood when the editing began. */
  const change = (slip: SlipView, to: FieldChange, seen: SlipView) =>
    run(
      "change slip",
      {
        slipId: slip.id,
        change: to,
        was: columnsSeen(seen, to.field),
      },
      {
        show: () =>
          changeOnScreen(queries, id, (old) => ({
            ...old,
            slips: old.slips.map((one) => (one.id === slip.id ? withChange(one, to, house, outside) : one)),
          })),
      },
    );
  const addSlip = (line: string, at: { letterId: string; start: number | null; end: number | null }) => {
    const letter = conversation.letters.find((one) => one.id === at.letterId);
    const from = at.start !== null && letter ? { at: letter.sentAt, zone: letter.offset } : now;
    const read = readLine(line, house.team, [], from, calendar, house.figures);
    return run(
      "add slip",
      {
        conversationId: id,
        letterId: at.letterId,
        start: at.start,
        end: at.end,
        title: at.start === null ? read.title : line.slice(0, 120),
        owner: { side: "ours", personId: read.ownerId },
        due: read.due ? { ...read.due, zone: house.zone } : null,
        priority: read.priority,
      },
      { says: () => "A slip of your own." },
    );
  };
  const goesTo = (projectId: string | null) =>
    void run(
      "goes to",
      { conversationId: id, projectId },
      {
        show: () => changeOnScreen(queries, id, (old) => ({ ...old, projectId })),
        says: () =>
          conversation.isPersonal && projectId
            ? `These letters came to you alone; now they are seen by ${whoSees([projectId], [], house)}.`
            : null,
      },
    );
  const putBy = (until: number | null) =>
    run(
      "put by",
      { conversationId: id, until: until === null ? null : new Date(until).toISOString() },
      {
        onDone: () => leave(),
        says: () =>
          until === null
            ? "On the shelf."
            : `Put by until ${sayMomentFully(until, now.zone, now)}, or until somebody writes in it.`,
      },
    );
  const backToSort = () =>
    void run(
      "back to Sort",
      { conversationId: id },
      { says: () => "Back in Sort.", onDone: () => void askAnew(queries) },
    );
  const split = (letterId: string) =>
    void run("split", { letterId }, { says: () => "From this letter on it is a conversation of its own." });
  const sendAgain = (outgoingId: string) => void run("send again", { outgoingId }, { says: () => "Tried again." });
  return {
    keep,
    handOver,
    nothing,
    brushOff,
    joinTo,
    send,
    sendAgain,
    undoLast,
    change,
    addSlip,
    goesTo,
    putBy,
    backToSort,
    split,
  };
}
