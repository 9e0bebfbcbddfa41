"use client";

import { useRef, useState } from "react";
import { newText } from "../../core/letters/new-text";
import { languageOf } from "../../core/reading/language";
import { isSure } from "../../core/reading/slip";
import { isOnShelf } from "../../core/tasks/decisions/put-by";
import { sayDay, sayMomentFully } from "../../core/time/say-day";
import type { ConversationView, SlipView } from "../../core/views/views";
import { LetterFoot } from "../letters/letter-files";
import { useToday } from "../parts/house";
import { useKeys } from "../parts/keys";
import { KindMark } from "../parts/marks";
import { HandOver } from "../tasks/hand-over";
import { ProjectWord } from "../words/picks";
import { BoardActs } from "./board-acts";
import { BoardPapers } from "./board-papers";
import { ConversationLetters, numbersOf } from "./conversation-letters";
import { OwnSlip, useMarkedWords } from "./own-slip";
import { SlipCard } from "./slip-card";
import type { SlipField } from "./slip-card-props";
import { SlipMargin } from "./slip-margin";
import { type Place, useConversation } from "./sort-data";
import { useConversationActs } from "./use-conversation-acts";

interface BoardProps {
  readonly id: string;
  readonly first: ConversationView | null;
  readonly place: Place;
  readonly nextId: string | null;
  readonly onGo: (id: string | null) => void;
  readonly onStep: (by: number) => void;
  readonly onChoose: () => void;
}

/** The board of the conversation that is here: its letters, its slips, and the acts. */
export function Board(props: BoardProps) {
  const { data: conversation, error } = useConversation(props.id, props.first);
  if (error) {
    return (
      <section className="pan flex flex-1 flex-col items-center justify-center gap-3 p-8">
        <p role="alert">{error.message}</p>
        <button type="button" className="btn" onClick={() => props.onGo(props.nextId)}>
          To the next one
        </button>
      </section>
    );
  }
  if (!conversation) return <section className="pan flex-1" aria-busy="true" aria-label="The letter is on its way" />;
  return <OpenBoard {...props} conversation={conversation} />;
}

function OpenBoard({
  conversation,
  place,
  nextId,
  onGo,
  onStep,
  onChoose,
}: BoardProps & { conversation: ConversationView }) {
  const { today, now } = useToday();
  const acts = useConversationActs(conversation, { place, nextId, onGo });
  const { keep, nothing, brushOff, undoLast, addSlip } = acts;
  const board = useRef<HTMLDivElement>(null);
  const marked = useMarkedWords();
  const [isWriting, setWriting] = useState(false);
  const [isJoining, setJoining] = useState(false);
  const [isPutting, setPutting] = useState(false);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [looked, setLooked] = useState<ReadonlySet<string>>(new Set());
  const [editing, setEditing] = useState<SlipField | null>(null);
  const [isProjectOpen, openProject] = useState(false);
  const [focusCall, setFocusCall] = useState(0);
  const [handingId, setHanding] = useState<string | null>(null);

  const { id } = conversation;
  const shown = conversation.slips.filter((slip) => slip.state !== "brushed off");
  const open = shown.filter((slip) => slip.state === "proposed");
  const numbers = numbersOf(conversation.slips);
  const { outside } = conversation;
  const lit = open.find((slip) => slip.id === chosenId) ?? open[0] ?? null;
  const foreign = [
    ...new Set(
      conversation.letters.flatMap((letter) => {
        const language = letter.automatic === null ? languageOf(newText(letter)) : null;
        return language === null || language === "English" ? [] : [language];
      }),
    ),
  ];
  const away = outside.filter((one) => one.awayUntil !== null && one.awayUntil >= today);
  const isHere = conversation.place === "sort";

  const lastLetter = conversation.letters.at(-1);
  // Machines get no answer: the last letter of a person is answered, the one that the lit slip stands in first.
  const answerable = conversation.letters.filter((letter) => letter.automatic === null || letter.automatic === "list");
  const answered =
    answerable.find((letter) => letter.id === lit?.letterId) ??
    answerable.findLast((letter) => !letter.from.isTeam) ??
    answerable.at(-1) ??
    null;

  // What stood there when the editing began: somebody else's change meanwhile must not go unnoticed.
  const seen = useRef<SlipView | null>(null);
  if (editing === null || seen.current?.id !== lit?.id) seen.current = lit;

  // What the reader is unsure of is kept with the others only once it was looked at.
  const keepable = open.filter((slip) => isSure(slip) || slip.id === lit?.id || looked.has(slip.id));
  const light = (slipId: string) => {
    if (slipId !== lit?.id) setEditing(null);
    setLooked(new Set([...looked, slipId, ...(lit ? [lit.id] : [])]));
    setChosenId(slipId);
  };
  const lightNext = (by: number) => {
    const at = open.findIndex((slip) => slip.id === lit?.id);
    const to = open[Math.max(0, Math.min(open.length - 1, at + by))];
    if (to) {
      light(to.id);
      board.current?.querySelector(`[data-passage="${to.id}"]`)?.scrollIntoView({ block: "nearest" });
    }
  };
  const joinTo = (task: { id: string; reference: string }) => {
    setJoining(false);
    acts.joinTo(task);
  };
  const makeMarked = () => {
    if (!marked) return setFocusCall((count) => count + 1);
    document.getSelection()?.removeAllRanges();
    void addSlip(marked.words, marked);
  };

  useKeys({
    Enter: () => (open.length > 0 ? keep(keepable) : isHere ? nothing() : undefined),
    k: () => lit && keep([lit]),
    x: () => lit && brushOff(lit),
    n: () => isHere && nothing(),
    u: undoLast,
    ArrowDown: () => lightNext(1),
    ArrowUp: () => lightNext(-1),
    ArrowRight: () => onStep(1),
    ArrowLeft: () => onStep(-1),
    // Of an offered change only what it brings can be set right.
    o: () => lit && (!lit.changes || lit.changes.change === "passed") && setEditing("owner"),
    e: () => lit && (!lit.changes || lit.due) && setEditing("due"),
    r: () => lit && !lit.changes && setEditing("priority"),
    t: () => lit && !lit.changes && setEditing("title"),
    i: () => lit && !lit.changes && setEditing("kind"),
    h: () => lit && !lit.changes && setHanding(lit.id),
    g: () => openProject(true),
    w: () => answered && setWriting(true),
    j: () => setJoining(true),
    p: () => conversation.place !== "put by" && setPutting(true),
    s: makeMarked,
  });

  const card = (slipId: string) => {
    const slip = shown.find((one) => one.id === slipId)!;
    return (
      <SlipCard
        slip={slip}
        number={numbers.get(slipId) ?? null}
        isLit={slipId === lit?.id}
        editing={slipId === lit?.id ? editing : null}
        outside={outside}
        onLight={() => light(slipId)}
        onEdit={(field) => {
          light(slipId);
          setEditing(field);
        }}
        onChange={(to) =>
          acts.change(slip, to, to.field === editing && seen.current?.id === slip.id ? seen.current : slip)
        }
        onKeep={() => keep([slip])}
        onHandOver={slip.changes ? null : () => setHanding(slip.id)}
        handing={
          handingId === slip.id ? (
            <HandOver
              task={{
                id: slip.id,
                title: slip.title,
                due: slip.due,
                owner: null,
                chain: [],
                projectId: slip.projectId ?? conversation.projectId,
                quiet: [],
              }}
              onAsk={null}
              onHand={(hand) => acts.handOver(slip, hand)}
              onClose={() => setHanding(null)}
            />
          ) : null
        }
        onBrushOff={() => brushOff(slip)}
      />
    );
  };
  const goesTo = (
    <>
      <div className="flex items-center gap-1.5">
        <span className="text-soft">{isHere ? "Goes to" : "Went to"}</span>
        <b className="min-w-0">
          <ProjectWord
            projectId={conversation.projectId}
            workstreamId={null}
            isOpen={isProjectOpen}
            onOpen={openProject}
            onPick={({ projectId }) => acts.goesTo(projectId)}
          />
        </b>
      </div>
      {foreign.length > 0 && (
        <div className="mt-[5px] text-[12px] text-soft">
          <b className="text-ink">Not read for slips:</b> it is in {foreign.join(" and ")}.
        </div>
      )}
      {away.map((one) => (
        <div key={one.id} className="mt-[5px] truncate text-[12px] text-soft">
          <b className="text-ink">{one.name}</b> is away until {sayDay(one.awayUntil!, today)}
        </div>
      ))}
      <div className="mt-[5px] truncate text-[12px] text-soft">
        {isHere
          ? `came through ${[...new Set(conversation.letters.flatMap((letter) => letter.waysIn))].join(", ")}`
          : conversation.place === "put by"
            ? conversation.putUntil !== null && isOnShelf(conversation.putUntil)
              ? "on the shelf"
              : `put by until ${sayMomentFully(conversation.putUntil ?? 0, now.zone, now)}`
            : `${conversation.outcome ?? "dealt with"}${conversation.dealtBy ? ` by ${conversation.dealtBy}` : ""}`}
      </div>
    </>
  );
  const files = conversation.letters
    .flatMap((letter) => letter.files.map((file) => ({ ...file, letterId: letter.id })))
    .slice(-6);
  return (
    <section
      className="pan flex min-h-0 flex-1 flex-col max-sm:rounded-none max-sm:border-0 max-sm:bg-transparent"
      aria-label="The letter"
    >
      <div
        ref={board}
        data-board
        className="min-h-0 flex-1 overflow-y-auto max-sm:mx-2 max-sm:rounded-[16px] max-sm:border-2 max-sm:border-rim max-sm:bg-pan"
        tabIndex={-1}
      >
        <div className="grid min-h-full grid-cols-[minmax(0,1fr)_388px] max-lg:grid-cols-[minmax(0,1fr)_330px] max-sm:block">
          <div className="flex min-w-0 flex-col px-[30px] pt-[17px] max-sm:px-4">
            <h2 className="mb-2 text-[20.8px] leading-[27px] tracking-[-.012em] [overflow-wrap:anywhere]">
              {conversation.subject}
            </h2>
            {conversation.offered && (
              <p
                className="mb-3 rounded-[10px] px-3 py-2 text-[13px]"
                style={{ background: "var(--note)", color: "var(--on-note)" }}
              >
                Sent to the address of <b>{conversation.offered.reference}</b>, “{conversation.offered.title}”, by
                somebody who may not write there.{" "}
                <button
                  type="button"
                  className="word font-bold"
                  onClick={() => conversation.offered && joinTo(conversation.offered)}
                >
                  Join it
                </button>
              </p>
            )}
            <div className="flex-1">
              <ConversationLetters
                conversation={conversation}
                litId={lit?.id ?? null}
                onPick={light}
                onSplit={acts.split}
              />
              <BoardPapers
                conversation={conversation}
                answered={answered}
                isDone={isHere && open.length === 0}
                writing={{ isOpen: isWriting, onClose: () => setWriting(false), onSend: acts.send }}
                putting={{ isOpen: isPutting, onClose: () => setPutting(false), onPutBy: acts.putBy }}
                joining={{ isOpen: isJoining, onClose: () => setJoining(false), onPick: joinTo }}
                onAgain={acts.sendAgain}
              />
            </div>
            {lastLetter && (
              <LetterFoot
                letterId={(conversation.letters.find((letter) => letter.id === lit?.letterId) ?? lastLetter).id}
                files={files}
              />
            )}
          </div>
          <SlipMargin
            ids={shown.map((slip) => slip.id)}
            litId={lit?.id ?? null}
            head={goesTo}
            slip={card}
            foot={
              lastLetter ? (
                <OwnSlip
                  conversationId={id}
                  marked={marked}
                  onMarked={makeMarked}
                  focusCall={focusCall}
                  onTyped={(line) => addSlip(line, { letterId: lastLetter.id, start: null, end: null })}
                />
              ) : null
            }
          />
        </div>
      </div>
      <div className="px-2 pb-2 sm:hidden">
        {shown.length > 0 && (
          <div className="flex items-center gap-4 px-2 py-1.5">
            {shown.map((slip) => (
              <button
                key={slip.id}
                type="button"
                className={`flex h-9 min-w-8 items-center justify-center border-b-[3px] ${slip.id === lit?.id ? "border-act" : "border-transparent"}`}
                onClick={() => light(slip.id)}
              >
                <KindMark kind={slip.kind} number={numbers.get(slip.id) ?? null} size={24} />
              </button>
            ))}
          </div>
        )}
        {lit && card(lit.id)}
      </div>
      <BoardActs
        openCount={open.length}
        isHere={isHere}
        keepCount={keepable.length}
        onKeepAll={() => keep(keepable)}
        onKeep={() => lit && keep([lit])}
        onBrushOff={() => lit && brushOff(lit)}
        onNothing={nothing}
        onJoin={() => setJoining(true)}
        onPutBy={() => setPutting(true)}
        onWrite={answered ? () => setWriting(true) : null}
        onBack={acts.backToSort}
        onChoose={onChoose}
        onUndo={undoLast}
      />
    </section>
  );
}
