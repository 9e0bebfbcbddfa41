"use client";

import { splitText } from "../../core/letters/split-text";
import { sayMomentFully } from "../../core/time/say-day";
import type { OutgoingView } from "../../core/views/views";
import { useToday } from "../parts/house";

/** What was written, without the original that goes along below it. */
function ownWords(text: string): string {
  const own = splitText(text, false).filter((part) => part.kind === "new");
  return own
    .map((part) => text.slice(part.start, part.end))
    .join("")
    .trim();
}

function useWords(letter: OutgoingView): string {
  const { now } = useToday();
  const twice = letter.maybeTwice ? " It may have gone out twice: the mail server’s answer was lost once." : "";
  switch (letter.state) {
    case "waiting":
      return letter.tries === 0
        ? "Goes out in a few seconds; undo takes it back."
        : `Not out yet: ${letter.said ?? "the mail server did not take it"}. Tried again ${sayMomentFully(letter.nextTry, now.zone, now)}.${twice}`;
    case "sending":
      return `Going out now.${twice}`;
    case "sent":
      return `Sent.${twice}`;
    case "given up":
      return `Not sent: ${letter.said ?? "the mail server did not take it"}.${twice}`;
  }
}

function OneOnItsWay({ letter, onAgain }: { letter: OutgoingView; onAgain: (id: string) => void }) {
  const words = useWords(letter);
  const isLost = letter.state === "given up";
  return (
    <article className="paper mb-4 mt-3 px-4 py-3" aria-label="A letter of ours on its way">
      <p className="text-[12px] text-soft">
        <b className="text-ink">{letter.by}</b> to {letter.to.map((one) => one.name || one.address).join(", ")}
      </p>
      <p className="font-letter mt-1 line-clamp-4 whitespace-pre-wrap text-[15px] leading-[23px] [overflow-wrap:anywhere]">
        {ownWords(letter.text)}
      </p>
      <p role="status" className={`mt-2 text-[12.5px] ${isLost ? "font-bold text-late" : "text-soft"}`}>
        {words}
        {isLost && (
          <button type="button" className="btn is-small ml-2" onClick={() => onAgain(letter.id)}>
            Try again
          </button>
        )}
      </p>
    </article>
  );
}

/** Letters of ours that are not out yet, each with how it stands. */
export function OnTheirWay(props: { letters: readonly OutgoingView[]; onAgain: (id: string) => void }) {
  return props.letters.map((letter) => <OneOnItsWay key={letter.id} letter={letter} onAgain={props.onAgain} />);
}
