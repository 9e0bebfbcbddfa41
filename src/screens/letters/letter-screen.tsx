"use client";

import Link from "next/link";
import { useEffect, useRef, useState } from "react";
import { sayMomentFully } from "../../core/time/say-day";
import type { ConversationView, LetterView } from "../../core/views/views";
import { useToday } from "../parts/house";
import { LetterFoot } from "./letter-files";
import { LetterHead, useWritten } from "./letter-head";
import { LetterText, type MarkedPassage } from "./letter-text";

/** A whole letter at its lasting address, with the passage lit that led here, and its place in the conversation. */
export function LetterScreen({
  letter,
  conversation,
  lit,
}: {
  letter: LetterView | null;
  conversation: ConversationView | null;
  lit: { start: number; end: number } | null;
}) {
  if (!letter || !conversation) {
    return (
      <section className="pan m-4 flex flex-1 flex-col items-center justify-center gap-2">
        <h1 className="text-[21px]">This letter is not here</h1>
        <p className="text-soft">It is not in this house, or you may not see it.</p>
      </section>
    );
  }
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_300px] gap-[14px] px-4 pb-4 pt-[14px] max-sm:flex max-sm:flex-col max-sm:overflow-y-auto max-sm:px-2">
      <Paper letter={letter} lit={lit} />
      <Aside letter={letter} conversation={conversation} />
    </div>
  );
}

function Paper({ letter, lit }: { letter: LetterView; lit: { start: number; end: number } | null }) {
  const [isLaidOut, layOut] = useState(false);
  const box = useRef<HTMLDivElement>(null);
  const passages: MarkedPassage[] = lit
    ? [{ id: "lit", start: lit.start, end: Math.min(lit.end, letter.text.length), kind: null, number: null }]
    : [];
  useEffect(() => {
    if (lit) box.current?.querySelector('[data-passage="lit"]')?.scrollIntoView({ block: "center" });
  }, [lit]);
  return (
    <section className="pan flex min-h-0 flex-col max-sm:min-h-[70vh]" aria-label="The letter">
      <div ref={box} className="flex min-h-0 flex-1 flex-col overflow-y-auto px-[30px] pt-[17px] max-sm:px-4">
        <h1 className="mb-2 text-[20.8px] leading-[27px] tracking-[-.012em] [overflow-wrap:anywhere]">
          {letter.subject || "(no subject)"}
        </h1>
        <LetterHead letter={letter} />
        {letter.hasHtml && (
          <fieldset className="mt-3 flex gap-2">
            <legend className="sr-only">How the letter is shown</legend>
            <button
              type="button"
              className={`btn is-small ${isLaidOut ? "is-line" : ""}`}
              aria-pressed={!isLaidOut}
              onClick={() => layOut(false)}
            >
              Its words
            </button>
            <button
              type="button"
              className={`btn is-small ${isLaidOut ? "" : "is-line"}`}
              aria-pressed={isLaidOut}
              onClick={() => layOut(true)}
            >
              As it was laid out
            </button>
            <span className="self-center text-[12px] text-soft">
              {isLaidOut ? "Pictures from elsewhere stay off: they would tell the sender that you looked." : ""}
            </span>
          </fieldset>
        )}
        <div className="mt-4 flex max-w-[680px] flex-1 flex-col">
          {letter.unreadable ? (
            <>
              <p className="font-semibold text-late">{letter.unreadable}</p>
              <iframe
                title="The file as it came"
                src={`/api/letters/${letter.id}/raw?show=1`}
                sandbox=""
                className="my-2 min-h-80 w-full flex-1 rounded-[3px] border border-edge bg-white"
              />
            </>
          ) : isLaidOut ? (
            <iframe
              title="The letter as it was laid out"
              src={`/api/letters/${letter.id}/laid-out`}
              sandbox="allow-popups allow-popups-to-escape-sandbox"
              referrerPolicy="no-referrer"
              className="mb-3 min-h-96 w-full flex-1 rounded-[3px] border border-edge bg-white"
            />
          ) : (
            <LetterText letter={letter} passages={passages} litId="lit" />
          )}
        </div>
        <LetterFoot letterId={null} files={letter.files.map((file) => ({ ...file, letterId: letter.id }))} />
      </div>
    </section>
  );
}

function Aside({ letter, conversation }: { letter: LetterView; conversation: ConversationView }) {
  const { now } = useToday();
  const written = useWritten(letter);
  const kept = conversation.slips.filter((slip) => slip.task);
  return (
    <aside className="pan flex flex-col gap-4 overflow-y-auto p-[18px] text-[13px]" aria-label="About this letter">
      <div>
        <a href={`/api/letters/${letter.id}/raw`} className="btn w-full justify-center" download>
          Save as .eml
        </a>
        <p className="mt-2 text-[12px] text-soft">
          Byte for byte as it came: {letter.size.toLocaleString("en")} bytes, SHA-256 {letter.sha256.slice(0, 12)}…
        </p>
      </div>
      <dl className="grid grid-cols-[62px_1fr] gap-y-1.5">
        <dt className="text-soft">Written</dt>
        <dd>{written}</dd>
        <dt className="text-soft">Came</dt>
        <dd>{sayMomentFully(letter.receivedAt, now.zone, now)}</dd>
        <dt className="text-soft">Through</dt>
        <dd>{letter.waysIn.join(", ")}</dd>
        {letter.automatic && (
          <>
            <dt className="text-soft">Kind</dt>
            <dd>{letter.automatic}, written by a machine</dd>
          </>
        )}
        <dt className="text-soft">Is now</dt>
        <dd>
          <Link className="word" href={`/sort/${conversation.id}`}>
            {conversation.place === "sort" ? "in Sort" : (conversation.outcome ?? "dealt with")}
          </Link>
        </dd>
      </dl>
      {kept.length > 0 && (
        <section>
          <h2 className="text-[14px]">Tasks from this conversation</h2>
          <ul className="mt-1">
            {kept.map((slip) => (
              <li key={slip.id} className="border-b border-hairline py-1.5 last:border-0">
                <Link href={`/tasks/${slip.task!.slug}`} className="block">
                  <b className="block">{slip.task!.title}</b>
                  <span className="text-[12px] text-soft">
                    {slip.task!.reference} · {slip.task!.state}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="text-[14px]">The conversation</h2>
        <ul className="mt-1">
          {conversation.letters.map((one) => (
            <li key={one.id}>
              <Link
                href={`/letters/${one.id}`}
                aria-current={one.id === letter.id ? "page" : undefined}
                className={`block rounded-lg px-2 py-1.5 hover:bg-wash ${one.id === letter.id ? "here" : ""}`}
              >
                <b className="block">{one.from.name}</b>
                <span className="text-[12px] text-soft">{sayMomentFully(one.sentAt, now.zone, now)}</span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </aside>
  );
}
