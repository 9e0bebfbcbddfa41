"use client";

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { sayMomentFully } from "../../core/time/say-day";
import type { PostRoomView } from "../../core/views/post-room-view";
import { ask } from "../parts/client";

const ZONE = "Europe/London";

/** Milliseconds between two looks at what has come and gone. */
const LOOK_MS = 1_500;

function moment(at: number, now: number): string {
  return sayMomentFully(at, ZONE, { at: now, zone: ZONE });
}

function WriteAs({ view, onDo }: { view: PostRoomView; onDo: (what: object) => Promise<boolean> }) {
  const [from, setFrom] = useState(view.writers[0]!.key);
  const [to, setTo] = useState("hello@larkmoor.example");
  const [subject, setSubject] = useState("");
  const [text, setText] = useState("");
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (!(await onDo({ do: "write", from, to, subject, text }))) return;
    setSubject("");
    setText("");
  };
  const field = "w-full rounded-[10px] border border-tie bg-pan px-3 py-2 text-[14px]";
  return (
    <form className="paper flex flex-col gap-2 p-4" onSubmit={(event) => void send(event)}>
      <h2 className="text-[16px]">Write to Larkmoor</h2>
      <label className="text-[12px] text-soft">
        As
        <select className={field} value={from} onChange={(event) => setFrom(event.target.value)}>
          {view.writers.map((one) => (
            <option key={one.key} value={one.key}>
              {one.name} · {one.manner === "asks back" ? "asks back" : `answers ${one.manner}`}
            </option>
          ))}
        </select>
      </label>
      <label className="text-[12px] text-soft">
        To
        <input className={field} list="addresses-of-ours" value={to} onChange={(event) => setTo(event.target.value)} />
      </label>
      <datalist id="addresses-of-ours">
        {view.addresses.map(({ address, says }) => (
          <option key={address} value={address}>
            {says}
          </option>
        ))}
      </datalist>
      <label className="text-[12px] text-soft">
        Subject
        <input className={field} value={subject} onChange={(event) => setSubject(event.target.value)} />
      </label>
      <label className="text-[12px] text-soft">
        Words
        <textarea
          className={`${field} font-letter text-[15px]`}
          rows={7}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button type="submit" className="btn self-start">
        Post it
      </button>
    </form>
  );
}

function Room() {
  const queries = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  const { data: view } = useQuery({
    queryKey: ["post room"],
    queryFn: () => ask<PostRoomView>("/api/post-room"),
    refetchInterval: LOOK_MS,
  });
  if (!view) return <p className="p-8 text-soft">The post room opens …</p>;
  const onDo = async (what: object): Promise<boolean> => {
    const response = await fetch("/api/post-room", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(what),
    });
    const body = (await response.json()) as PostRoomView & { says?: string };
    setFault(response.ok ? null : (body.says ?? "That did not work."));
    if (response.ok) queries.setQueryData(["post room"], body);
    return response.ok;
  };
  return (
    <main className="mx-auto grid max-w-[1200px] grid-cols-[minmax(0,1fr)_380px] gap-[14px] px-4 pb-8 max-lg:block">
      <section className="pan mb-[14px] self-start p-5" aria-label="What went out">
        <h2 className="mb-2 text-[18px]">What went out</h2>
        {view.wentOut.length === 0 && (
          <p className="text-soft">Nothing yet. Write back from Sort or from a task, and it appears here.</p>
        )}
        {view.wentOut.map((letter) => (
          <article key={`${letter.at}${letter.subject}`} className="border-t border-hairline py-3">
            <p className="flex justify-between gap-3 text-[12.5px] text-soft">
              <span className="truncate">
                <b className="text-ink">{letter.from}</b> to {letter.to.join(", ")}
              </span>
              <span className="flex-none">{moment(letter.at, view.now)}</span>
            </p>
            <p className="font-semibold">{letter.subject}</p>
            <p className="font-letter line-clamp-3 whitespace-pre-wrap text-[14.5px] [overflow-wrap:anywhere]">
              {letter.text}
            </p>
          </article>
        ))}
      </section>
      <div className="flex flex-col gap-[14px]">
        {fault && (
          <p role="alert" className="text-late">
            {fault}
          </p>
        )}
        <section className="pan p-4" aria-label="Time">
          <h2 className="text-[16px]">{moment(view.now, view.now)}</h2>
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn is-line" onClick={() => void onDo({ do: "pass", hours: 1 })}>
              Let an hour go by
            </button>
            <button type="button" className="btn is-line" onClick={() => void onDo({ do: "pass", hours: 24 })}>
              Let a day go by
            </button>
          </div>
          <h3 className="mb-1 mt-4 text-[14px]">Still to come</h3>
          {view.planned.length === 0 && <p className="text-[13px] text-soft">Nobody is about to write.</p>}
          <ul className="text-[13px]">
            {view.planned.map((letter) => (
              <li key={`${letter.at}${letter.from}`} className="flex justify-between gap-3 py-0.5">
                <span className="truncate">
                  <b>{letter.from}</b>{" "}
                  <span className="text-soft">{letter.isAutomatic ? "automatic reply" : letter.subject}</span>
                </span>
                <span className="flex-none text-soft">{moment(letter.at, view.now)}</span>
              </li>
            ))}
          </ul>
        </section>
        <WriteAs view={view} onDo={onDo} />
      </div>
    </main>
  );
}

/** The post room: what went out, what is still to come, and a way to write as somebody outside. */
export function PostRoomScreen() {
  const [queries] = useState(() => new QueryClient());
  return (
    <QueryClientProvider client={queries}>
      <div className="h-dvh overflow-y-auto">
        <header className="mx-auto max-w-[1200px] px-4 pb-3 pt-4">
          <h1 className="text-[22px]">Post room</h1>
          <p className="text-[13px] text-soft">
            The world outside Larkmoor, made up for this demo: everybody here answers by ordinary mail, each in their
            own way.
          </p>
        </header>
        <Room />
      </div>
    </QueryClientProvider>
  );
}
