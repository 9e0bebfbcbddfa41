"use client";

import { useState } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import { isOnShelf } from "../../core/tasks/decisions/put-by";
import { sayDay, sayMoment, sayMomentFully } from "../../core/time/say-day";
import { MOST_COUNTED, type RoundView, type SortRow } from "../../core/views/views";
import { useToday } from "../parts/house";
import { useRowsInSight } from "../parts/use-rows-in-sight";
import { PickWord } from "../words/pick-word";
import type { Place } from "./sort-data";

const ROW_HEIGHT = 73;

/** "1 answer · 2 asks · trouble": what a conversation holds, in words. */
export function kindsInWords(row: SortRow): string {
  const { ask, question, promise, trouble } = row.kinds;
  const parts = [
    row.changes > 0 && `${row.changes} ${row.changes === 1 ? "answer" : "answers"}`,
    ask && `${ask} ${ask === 1 ? "ask" : "asks"}`,
    question && `${question} ${question === 1 ? "question" : "questions"}`,
    promise && `${promise} ${promise === 1 ? "promise" : "promises"}`,
    trouble && (trouble === 1 ? "trouble" : `${trouble} troubles`),
  ];
  return parts.filter(Boolean).join(" · ");
}

function partOfDay(time: string): string {
  const hour = Number(time.slice(0, 2));
  return hour < 12 ? "Morning round" : hour < 17 ? "Afternoon round" : "Evening round";
}

function RoundHead({ round, place, hour }: { round: RoundView; place: Place; hour: string }) {
  const all = round.dealt + round.left;
  const left = round.left > MOST_COUNTED ? `${MOST_COUNTED}+` : round.left;
  if (place !== "sort") {
    return (
      <div className="h-[79px] flex-none border-b border-hairline px-[14px] pt-[11px]">
        <h2 className="text-[16px]">{place === "put by" ? "Put by" : "Dealt with"}</h2>
        <div className="mt-1 text-[12px] text-soft">
          {place === "put by"
            ? "Each comes back on its day, or when somebody writes in it. What has no day lies on the shelf."
            : "Where each conversation went, the last one first. Nothing here is gone."}
        </div>
      </div>
    );
  }
  return (
    <div className="h-[79px] flex-none border-b border-hairline px-[14px] pt-[11px]">
      <h2 className="text-[16px]">{partOfDay(hour)}</h2>
      <div
        className="mb-2 mt-[7px] h-1.5 overflow-hidden rounded-[3px] bg-hairline"
        role="progressbar"
        aria-label="Dealt with in this round"
        aria-valuemin={0}
        aria-valuemax={all}
        aria-valuenow={round.dealt}
      >
        <div className="h-1.5 bg-act" style={{ width: `${all === 0 ? 100 : (100 * round.dealt) / all}%` }} />
      </div>
      <div className="text-[12px] text-soft">
        {round.dealt} of {round.left > MOST_COUNTED ? left : all} dealt with
        {round.left === 0
          ? ""
          : round.minutesLeft === null
            ? ""
            : ` · about ${round.minutesLeft} ${round.minutesLeft === 1 ? "minute" : "minutes"} left`}
      </div>
    </div>
  );
}

/** The round: what is asked first, then who and when. Only the rows in sight are drawn. */
export function RoundList(props: {
  rows: readonly SortRow[];
  round: RoundView;
  place: Place;
  hereId: string | null;
  hasMore: boolean;
  onMore: () => void;
  onPick: (id: string) => void;
  onPlace: (place: Place) => void;
  way: string | null;
  ways: readonly { readonly id: string; readonly name: string }[];
}) {
  const { now, today } = useToday();
  const { box, items, height, lastIndex } = useRowsInSight({
    count: props.rows.length,
    rowHeight: ROW_HEIGHT,
    hereId: props.hereId,
    hereIndex: props.rows.findIndex((row) => row.id === props.hereId),
    hasMore: props.hasMore,
    onMore: props.onMore,
  });
  const [isWayOpen, openWay] = useState(false);
  const seen = Math.floor((box.current?.clientHeight ?? 620) / ROW_HEIGHT);
  const below = Math.max(0, props.round.left - Math.max(seen, lastIndex + 1 - 8));
  return (
    <section className="pan flex h-full flex-col" aria-label="The round">
      <RoundHead
        round={props.round}
        place={props.place}
        hour={new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: now.zone }).format(
          now.at,
        )}
      />
      {props.place === "sort" && props.ways.length > 1 && (
        <div className="flex-none truncate border-b border-hairline px-[14px] pb-[9px] text-[12px] text-soft">
          from{" "}
          <PickWord
            label="Way in"
            shown={props.ways.find((one) => one.id === props.way)?.name ?? "every way in"}
            picks={() => [
              { id: "all", value: null, name: "every way in", matches: ["every way in", "all"] },
              ...props.ways.map(({ id, name }) => ({ id, value: id, name, matches: [name] })),
            ]}
            isOpen={isWayOpen}
            onOpen={openWay}
            onPick={(id) => window.location.assign(id ? `/sort?way=${id}` : "/sort")}
            width={190}
          />
        </div>
      )}
      <div ref={box} className="min-h-0 flex-1 overflow-y-auto">
        <ul
          style={{ height: height, position: "relative" }}
          aria-label={{ sort: "To sort", "dealt with": "Dealt with", "put by": "Put by" }[props.place]}
        >
          {items.map((item) => {
            const row = props.rows[item.index]!;
            return (
              <li key={row.id} style={{ position: "absolute", top: item.start, left: 0, right: 0 }}>
                <Row
                  row={row}
                  isHere={row.id === props.hereId}
                  today={today}
                  when={sayMoment(props.place === "dealt with" ? (row.dealtAt ?? row.lastAt) : row.lastAt, now)}
                  place={props.place}
                  onPick={props.onPick}
                />
              </li>
            );
          })}
        </ul>
      </div>
      <div className="flex h-[49px] flex-none items-center justify-between border-t border-hairline px-[14px] text-[12px] text-soft">
        {props.place === "sort" ? (
          <>
            <span className="flex gap-3">
              <button type="button" className="word" onClick={() => props.onPlace("dealt with")}>
                Dealt with
              </button>
              <button type="button" className="word" onClick={() => props.onPlace("put by")}>
                Put by
              </button>
            </span>
            <span>
              {props.round.cameSince > 0 ? (
                `${props.round.cameSince} came since you began`
              ) : below > 0 ? (
                <>
                  <b className="text-ink">{props.round.left > MOST_COUNTED ? "many" : below} more</b> below
                </>
              ) : (
                ""
              )}
            </span>
          </>
        ) : (
          <button type="button" className="word" onClick={() => props.onPlace("sort")}>
            Back to what is left to sort
          </button>
        )}
      </div>
    </section>
  );
}

function Row({
  row,
  isHere,
  today,
  when,
  place,
  onPick,
}: {
  row: SortRow;
  isHere: boolean;
  today: string;
  when: string;
  place: Place;
  onPick: (id: string) => void;
}) {
  const { now } = useToday();
  const asks = kindsInWords(row);
  const first = row.first;
  const isRead = place === "sort" && !row.isUnread;
  const headline = first
    ? first.title
    : row.isUnreadable
      ? "Cannot be read"
      : row.automatic
        ? row.subject
        : "Nothing asked";
  const due = first?.due ? ` by ${sayDay(first.due.day, today)}` : "";
  const returns =
    row.putUntil === null
      ? ""
      : isOnShelf(row.putUntil)
        ? "on the shelf"
        : `back ${sayMomentFully(row.putUntil, now.zone, now)}`;
  const note =
    place === "put by"
      ? returns
      : row.isReturned
        ? `back from being put by${asks ? ` · ${asks}` : ""}`
        : place === "dealt with"
          ? `${row.outcome === "kept" ? `kept: ${asks || "as tasks"}` : (row.outcome ?? "dealt with")}${row.dealtBy ? ` · ${firstNameOf(row.dealtBy)}` : ""}`
          : asks || row.automatic || row.subject;
  return (
    <button
      type="button"
      className={`round-row ${isHere ? "here" : ""}`}
      aria-current={isHere ? "true" : undefined}
      onClick={() => onPick(row.id)}
    >
      <span
        className={`block truncate text-[14px] leading-[18px] ${isRead ? "font-medium" : "font-bold"} ${first ? "" : "text-soft"}`}
      >
        {headline}
        {due}
      </span>
      <span className="flex justify-between gap-2 text-[13px] leading-[18px]">
        <span className="truncate">{row.from}</span>
        <span className="whitespace-nowrap text-[12px] text-soft">
          {isRead ? "read · " : ""}
          {when}
        </span>
      </span>
      <span
        className={`mt-px block truncate text-[12px] leading-[18px] ${asks && place !== "dealt with" ? "font-bold text-act" : "text-soft"}`}
      >
        {note}
      </span>
    </button>
  );
}
