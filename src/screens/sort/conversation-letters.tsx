"use client";

import { useState } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import { dayOf } from "../../core/time/moment";
import { sayDay } from "../../core/time/say-day";
import type { ConversationView, LetterView, SlipView } from "../../core/views/views";
import { LetterHead } from "../letters/letter-head";
import { LetterText, type MarkedPassage } from "../letters/letter-text";
import { useToday } from "../parts/house";

/** The slips of a conversation that have a passage, numbered in the order of the text. */
export function numbersOf(slips: readonly SlipView[]): ReadonlyMap<string, number> {
  const shown = slips.filter((slip) => slip.start !== null && slip.state !== "brushed off");
  return new Map(shown.map((slip, i) => [slip.id, i + 1]));
}

function passagesIn(
  letter: LetterView,
  slips: readonly SlipView[],
  numbers: ReadonlyMap<string, number>,
): MarkedPassage[] {
  return slips.flatMap((slip) =>
    slip.letterId === letter.id && slip.start !== null && slip.end !== null && slip.state !== "brushed off"
      ? [{ id: slip.id, start: slip.start, end: slip.end, kind: slip.kind, number: numbers.get(slip.id) ?? null }]
      : [],
  );
}

/** A letter that could not be read, as it came. */
function Unreadable({ letter }: { letter: LetterView }) {
  return (
    <div className="text-[13px]">
      <p className="font-semibold text-late">{letter.unreadable}</p>
      <p className="mb-2 text-soft">
        It is kept as it came, {letter.size.toLocaleString("en")} bytes. You can save it, make a task of it, or say that
        there is nothing to do.
      </p>
      <iframe
        title="The file as it came"
        src={`/api/letters/${letter.id}/raw?show=1`}
        sandbox=""
        className="h-72 w-full rounded-[3px] border border-edge bg-white"
      />
    </div>
  );
}

function OneLetter(props: {
  letter: LetterView;
  slips: readonly SlipView[];
  numbers: ReadonlyMap<string, number>;
  litId: string | null;
  onPick: (id: string) => void;
  onSplit: (() => void) | null;
}) {
  return (
    <article className="group/letter relative mb-4" aria-label={`Letter from ${props.letter.from.name}`}>
      <LetterHead letter={props.letter} />
      {props.onSplit && (
        <button
          type="button"
          className="word is-quiet absolute right-0 top-0 text-[12px] text-soft opacity-0 focus-visible:opacity-100 group-hover/letter:opacity-100"
          onClick={props.onSplit}
        >
          split from here on
        </button>
      )}
      <div className="mt-3">
        {props.letter.unreadable ? (
          <Unreadable letter={props.letter} />
        ) : (
          <LetterText
            letter={props.letter}
            passages={passagesIn(props.letter, props.slips, props.numbers)}
            litId={props.litId}
            onPick={props.onPick}
          />
        )}
      </div>
    </article>
  );
}

/** The letters of a conversation: from the first with something open (or the newest) on in full, earlier ones folded. */
export function ConversationLetters(props: {
  conversation: ConversationView;
  litId: string | null;
  onPick: (id: string) => void;
  onSplit: (letterId: string) => void;
}) {
  const { letters, slips } = props.conversation;
  const { now } = useToday();
  const today = dayOf(now);
  const [areEarlierShown, showEarlier] = useState(false);
  const firstOpen = letters.findIndex((letter) =>
    slips.some((slip) => slip.letterId === letter.id && slip.state === "proposed"),
  );
  const from = firstOpen === -1 ? letters.length - 1 : firstOpen;
  const earlier = letters.slice(0, Math.max(0, from));
  const numbers = numbersOf(slips);
  const day = (letter: LetterView | undefined) =>
    letter ? sayDay(dayOf({ at: letter.sentAt, zone: now.zone }), today) : "";
  const ours = [...earlier].reverse().find((letter) => letter.from.isTeam);
  const shown = areEarlierShown ? letters : letters.slice(Math.max(0, from));
  return (
    <>
      {earlier.length > 0 && (
        <button
          type="button"
          className="folded mb-3"
          aria-expanded={areEarlierShown}
          onClick={() => showEarlier(!areEarlierShown)}
        >
          {areEarlierShown ? "Fold" : ""} {earlier.length} earlier {earlier.length === 1 ? "message" : "messages"} since{" "}
          {day(earlier[0])}
          {ours ? ` · last from ${firstNameOf(ours.from.name)} on ${day(ours)}` : ""}
        </button>
      )}
      {shown.map((letter) => (
        <OneLetter
          key={letter.id}
          letter={letter}
          slips={slips}
          numbers={numbers}
          litId={props.litId}
          onPick={props.onPick}
          onSplit={letter.id === letters[0]?.id ? null : () => props.onSplit(letter.id)}
        />
      ))}
    </>
  );
}
