"use client";

import Link from "next/link";
import { useState } from "react";
import { ServerSaysNo, tell } from "../parts/client";

/** A hand-over as it is answered from a letter. */
interface Answerable {
  readonly name: string;
  readonly reference: string;
  readonly slug: string;
  readonly title: string;
  readonly giver: string;
  readonly note: string;
  /** How it stands, where it is not open any more. */
  readonly stands: string | null;
  readonly canAnswer: boolean;
}

type Act = "take on" | "hand back" | "ask back";
const DONE: Readonly<Record<Act, string>> = {
  "take on": "You have taken it on.",
  "hand back": "It is handed back, with your reason.",
  "ask back": "Your question is asked; the answer stands on the task.",
};

/** Answering to a hand-over from a letter: what it is, and the answers; nothing happens before one is pressed. */
export function AnswerScreen({ link, answerKey }: { link: Answerable | null; answerKey: string }) {
  const [words, setWords] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const answer = async (act: Act) => {
    setBusy(true);
    setFault(null);
    try {
      await tell("/api/answer", { key: answerKey, act, words });
      setSaid(DONE[act]);
    } catch (error) {
      setFault(error instanceof ServerSaysNo ? error.message : "The server cannot be reached. Nothing was changed.");
    }
    setBusy(false);
  };
  return (
    <main className="flex min-h-dvh items-center justify-center p-4">
      <section className="pan w-full max-w-[480px] p-6" aria-label="Answer">
        {link === null ? (
          <>
            <h1 className="text-[20px]">This link answers to nothing any more</h1>
            <p className="mt-2 text-soft">
              The task may have changed hands since the letter was written. Nothing was changed.{" "}
              <Link className="word" href="/tasks?whose=to+me">
                What was given to you
              </Link>{" "}
              stands in Tasks.
            </p>
          </>
        ) : (
          <>
            <p className="text-[12.5px] text-soft">
              {link.name}, {link.giver} gave this to you · {link.reference}
            </p>
            <h1 className="mt-1 text-[20px] [overflow-wrap:anywhere]">{link.title}</h1>
            {link.note !== "" && <div className="note mt-3 whitespace-pre-wrap">{link.note}</div>}
            {(said ?? link.stands) ? (
              <p role="status" className="mt-4 font-semibold text-going">
                {said ?? link.stands}
              </p>
            ) : null}
            {link.canAnswer && said === null && (
              <>
                <textarea
                  className="field mt-4 !h-auto w-full py-2"
                  rows={2}
                  aria-label="Your reason or question"
                  placeholder="Why it comes back, or your question"
                  value={words}
                  onChange={(event) => setWords(event.target.value)}
                />
                <div className="mt-3 flex flex-wrap gap-2">
                  <button type="button" className="btn" disabled={isBusy} onClick={() => void answer("take on")}>
                    Take on
                  </button>
                  {(["hand back", "ask back"] as const).map((act) => (
                    <button
                      key={act}
                      type="button"
                      className="btn is-line"
                      disabled={isBusy || words.trim() === ""}
                      onClick={() => void answer(act)}
                    >
                      {act === "hand back" ? "Hand back" : "Ask"}
                    </button>
                  ))}
                </div>
              </>
            )}
            {fault && (
              <p role="alert" className="mt-3 text-late">
                {fault}
              </p>
            )}
            <p className="mt-4 text-[13px]">
              <Link className="word" href={`/tasks/${link.slug}`}>
                Open the task
              </Link>
            </p>
          </>
        )}
      </section>
    </main>
  );
}
