"use client";

import { useEffect, useRef, useState } from "react";
import type { ChangeKind, FoundChange } from "../../core/following/item";
import { firstNameOf } from "../../core/letters/first-name";
import type { Correspondent } from "../../core/letters/letter";
import { quotedBelow, replyHead } from "../../core/letters/reply";
import { type FoundSlip, isSure } from "../../core/reading/slip";
import type { LetterView } from "../../core/views/views";
import { useHouse } from "../parts/house";
import { PaperFiles } from "./paper-files";
import { PeopleField } from "./people-field";
import { useDraftReading } from "./use-draft-reading";
import { useWritten, type Written } from "./use-written";
import { slipKey, WrittenSlips } from "./written-slips";

/** What is sent, as the act "write" takes it. */
export interface Sending extends Omit<Written, "files"> {
  readonly files: readonly string[];
  readonly answersId: string | null;
  readonly finishes: boolean;
  readonly dealsWith: boolean;
  /** What it asks and promises that is kept with it, as the act takes it. */
  readonly slips: readonly SentSlip[];
  /** What it says of tasks that are here already, as the act takes it. */
  readonly changes: readonly SentChange[];
}

interface SentSlip extends Pick<FoundSlip, "kind" | "title" | "start" | "end" | "owner" | "priority" | "estimate"> {
  readonly due: { readonly day: string; readonly time: string | null; readonly zone: string } | null;
}

interface SentChange extends Pick<SentSlip, "start" | "end" | "owner" | "due"> {
  readonly taskId: string;
  readonly change: ChangeKind;
}

/** The changes as they are sent: where their words stand now. */
function asSentChange(slip: FoundSlip | FoundChange, read: string, now: string, zone: string): SentChange[] {
  if (!("changes" in slip)) return [];
  const { taskId, change } = slip.changes;
  return asSent(slip, read, now, zone).map(({ start, end, owner, due }) => ({
    taskId,
    change,
    start,
    end,
    owner,
    due,
  }));
}

/** A slip as it is sent: where its words stand now. One whose words were changed since it was shown is not kept unseen. */
function asSent(slip: FoundSlip, read: string, now: string, zone: string): SentSlip[] {
  const { kind, title, owner, priority, estimate, due } = slip;
  const quote = read.slice(slip.start, slip.end);
  const start = now.indexOf(quote);
  if (start === -1) return [];
  return [
    {
      kind,
      title,
      owner,
      priority,
      estimate,
      start,
      end: start + quote.length,
      due: due && { day: due.day, time: due.time, zone },
    },
  ];
}

interface PaperProps {
  /** What it is about, by which the draft is found again. */
  readonly about: string;
  readonly answers: LetterView | null;
  /** Subject of a letter that answers nothing. */
  readonly subject?: string;
  readonly known: readonly Correspondent[];
  /** What may be done in the same step, and its name on the button. */
  readonly also: { readonly kind: "finishes" | "dealsWith"; readonly label: string } | null;
  readonly onSend: (letter: Sending) => Promise<boolean>;
  readonly onClose: () => void;
}

/** A letter being written: who it is from and goes to, its words, and the original that goes along below them. */
export function WritingPaper(props: PaperProps) {
  const { about, answers, also } = props;
  const { me, team, zone } = useHouse();
  const original = answers ? quotedBelow(answers) : "";
  const { written, from, change, forget } = useWritten(about, answers?.id ?? null, (own) => ({
    ...(answers
      ? replyHead(answers, new Set(own.map(({ address }) => address)))
      : { to: [], cc: [], subject: props.subject ?? "" }),
    text: "",
  }));
  const [isQuoted, setQuoted] = useState(true);
  const [isBusy, setBusy] = useState(false);
  const reading = useDraftReading(
    written && {
      from: { name: me.name, address: me.address },
      to: written.to,
      cc: written.cc,
      subject: written.subject,
      text: written.text,
    },
    props.known,
    answers?.id ?? null,
  );
  /** Ticks that were set by hand; the others follow how sure the reader is. */
  const [ticks, setTicks] = useState<ReadonlyMap<string, boolean>>(new Map());
  const isKept = (slip: FoundSlip | FoundChange) => ticks.get(slipKey(slip, reading.text)) ?? isSure(slip);
  const field = useRef<HTMLTextAreaElement>(null);
  const paper = useRef<HTMLFormElement>(null);
  const isReady = written !== null;
  const hasPeople = useRef(false);
  if (written && !hasPeople.current && written.to.length > 0) hasPeople.current = true;
  useEffect(() => {
    if (!isReady) return;
    // Whom it goes to comes first; an answer has that already.
    const first = hasPeople.current ? field.current : paper.current?.querySelector("input");
    first?.focus({ preventScroll: true });
    first?.setSelectionRange(first.value.length, first.value.length);
    paper.current?.scrollIntoView({ block: "nearest" });
  }, [isReady]);
  if (!written) return <div className="paper mt-3 h-[220px]" aria-busy="true" />;
  const send = async (step: "finishes" | "dealsWith" | null) => {
    if (isBusy) return;
    setBusy(true);
    const text = isQuoted && original !== "" ? `${written.text.trimEnd()}\n\n${original}` : written.text;
    const kept = reading.slips.filter(isKept);
    const isSent = await props.onSend({
      ...written,
      text: written.text.trim() === "" ? "" : text,
      files: written.files.map((file) => file.id),
      answersId: answers?.id ?? null,
      finishes: step === "finishes",
      dealsWith: step === "dealsWith",
      slips: kept.flatMap((slip) => ("changes" in slip ? [] : asSent(slip, reading.text, written.text, zone))),
      changes: kept.flatMap((slip) => asSentChange(slip, reading.text, written.text, zone)),
    });
    if (isSent) forget();
    setBusy(false);
    if (isSent) props.onClose();
  };
  const known = [...props.known, ...written.to, ...written.cc, ...team.map(({ name, address }) => ({ name, address }))];
  return (
    <form
      ref={paper}
      className="paper mb-4 mt-3 px-4 pb-3 pt-2"
      aria-label="Your letter"
      onSubmit={(event) => {
        event.preventDefault();
        void send(also?.kind === "dealsWith" ? "dealsWith" : null);
      }}
      onKeyDown={(event) => {
        if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
          event.preventDefault();
          void send(also?.kind === "dealsWith" ? "dealsWith" : null);
        }
        if (event.key === "Escape") {
          event.stopPropagation();
          props.onClose();
        }
      }}
    >
      {from.length > 1 ? (
        <label className="flex items-baseline gap-2 border-b border-hairline py-1">
          <span className="w-12 flex-none text-[12px] text-soft">From</span>
          <select
            className="min-w-0 flex-1 bg-transparent text-[13.5px]"
            value={written.from}
            onChange={(event) => change({ from: event.target.value })}
          >
            {from.map((one) => (
              <option key={one.address} value={one.address}>
                {one.name} &lt;{one.address}&gt;
              </option>
            ))}
          </select>
        </label>
      ) : (
        <div className="flex items-baseline gap-2 border-b border-hairline py-1">
          <span className="w-12 flex-none text-[12px] text-soft">From</span>
          <span className="truncate text-[13.5px]">
            {me.name} &lt;{written.from}&gt;
          </span>
        </div>
      )}
      <PeopleField label="To" people={written.to} known={known} onChange={(to) => change({ to })} />
      <PeopleField label="Copy to" people={written.cc} known={known} onChange={(cc) => change({ cc })} />
      <label className="flex items-baseline gap-2 border-b border-hairline py-1">
        <span className="w-12 flex-none text-[12px] text-soft">Subject</span>
        <input
          className="min-w-0 flex-1 bg-transparent text-[13.5px]"
          value={written.subject}
          onChange={(event) => change({ subject: event.target.value })}
        />
      </label>
      <textarea
        ref={field}
        aria-label="Words of the letter"
        rows={6}
        className="font-letter mt-2 min-h-[128px] w-full resize-y bg-transparent text-[16px] leading-[25px] [field-sizing:content]"
        value={written.text}
        onChange={(event) => change({ text: event.target.value })}
      />
      <WrittenSlips
        slips={reading.slips}
        text={reading.text}
        isKept={isKept}
        nameOf={(address) => firstNameOf(known.find((one) => one.address === address)?.name ?? "") || address}
        onTurn={(slip) => setTicks(new Map(ticks).set(slipKey(slip, reading.text), !isKept(slip)))}
      />
      {original !== "" && (
        <label className="mb-2 flex items-center gap-2 text-[12px] text-soft">
          <input type="checkbox" checked={isQuoted} onChange={(event) => setQuoted(event.target.checked)} />
          {answers?.from.name}’s letter goes along below yours
        </label>
      )}
      <PaperFiles files={written.files} onChange={(files) => change({ files })} />
      <div className="flex flex-wrap items-center gap-2">
        <button type="submit" className="btn" disabled={isBusy}>
          {also?.kind === "dealsWith" ? also.label : "Send"}
        </button>
        {also && (
          <button
            type="button"
            className="btn is-line"
            disabled={isBusy}
            onClick={() => void send(also.kind === "dealsWith" ? null : also.kind)}
          >
            {also.kind === "dealsWith" ? "Send, and stay here" : also.label}
          </button>
        )}
        <button type="button" className="btn is-line ml-auto" onClick={props.onClose}>
          Put it aside
        </button>
      </div>
    </form>
  );
}
